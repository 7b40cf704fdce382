import sharp from 'sharp';
import { beforeEach, describe, expect, test } from 'vitest';
import { rowId } from '../../core/row-id.ts';
import { importRelease } from '../checklists/import-release.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { copies } from '../database/tables/index.ts';
import { must } from '../demo/must.ts';
import { undo } from '../journal/undo.ts';
import { addPhoto } from '../media/photos.ts';
import { groupPhotos } from './group-photos.ts';
import { dropLookAlikes, keepLookAlikes, listLookAlikes } from './look-alikes.ts';
import { printSecondPass } from './print-second-pass.ts';
import { printTells } from './print-tells.ts';
import { addReferencePicture, picturesOf, removeReferencePicture } from './reference-pictures.ts';
import { countUnseen, readSecondPass, settlePrinting } from './second-pass.ts';
import { practisePair, readSitting } from './trainer.ts';

const at = withCollection();
const NOW = '2026-05-01T10:00:00.000Z';
const told = [{ feature: 'edge', value: 'white' }];

beforeEach(async () => {
	const sample = sampleRelease();
	await importRelease(at.collection, {
		...sample,
		sections: sample.sections.map((section, i) =>
			i === 0 ? { ...section, tells: told } : section
		),
		parallels: sample.parallels.map((parallel) => ({
			...parallel,
			tells: [{ feature: 'edge', value: parallel.name }]
		})),
		variants: [
			{
				key: 'night',
				kind: 'image variation' as const,
				name: 'at night',
				cards: ['1'],
				howToTell: 'A moon.',
				confidence: 'certain' as const,
				source: 'seen'
			}
		]
	});
});

describe('look-alikes', () => {
	test('are kept over releases, found from their release and card, and let go; what is not here is refused', async () => {
		const { db } = at.collection;
		const keys = ['r/base', 'r/base~brass', 'r/base-1'];
		const { id } = must(await keepLookAlikes(at.collection, { name: '', keys, note: ' n ' }));
		expect(await listLookAlikes(db)).toMatchObject([{ keys, note: 'n' }]);
		expect(await listLookAlikes(db, { release: 'r', card: 'base-1' })).toHaveLength(1);
		expect(await listLookAlikes(db, { release: 'r', card: 'base-2' })).toEqual([]);
		expect(await listLookAlikes(db, { release: 'other' })).toEqual([]);
		const wrong = await keepLookAlikes(at.collection, {
			name: '',
			keys: ['r/base', 'r/nix'],
			note: ''
		});
		expect(wrong).toMatchObject({
			ok: false,
			problems: [{ message: '"r/nix" is nothing of this collection' }, {}]
		});
		expect(await printTells(db, keys, NOW)).toBeInstanceOf(Uint8Array);
		expect(await printTells(db, ['r/base', 'r/nix'], NOW)).toBeNull();
		expect(await dropLookAlikes(at.collection, id)).toBe(true);
		expect(await dropLookAlikes(at.collection, id)).toBe(false);
		await undo(at.collection);
		expect(await listLookAlikes(db)).toHaveLength(1);
	});
});

describe('the second pass', () => {
	test('asks for what nobody looked at; an answer settles as many as it is about, in one step', async () => {
		const { db } = at.collection;
		await at.line('1x2 2');
		await addCopy(at.collection, 'r/base-1', { isPrintingUnseen: true, quantity: 3 });
		expect(await countUnseen(db)).toBe(1);
		const all = { release: 'r', all: true };
		expect((await readSecondPass(db, all)).map(({ quantity }) => quantity)).toEqual([2, 3]);
		const [line] = await readSecondPass(db, { release: null, all: false });
		expect(line).toMatchObject({
			quantity: 3,
			printings: [{ name: 'regular' }, { name: 'at night', lookFor: 'A moon.' }]
		});
		const copy = rowId<'copies'>(Number(line?.key));
		expect(await settlePrinting(at.collection, copy, 'r/base-1!dusk', 1)).toMatchObject({
			ok: false
		});
		expect(await settlePrinting(at.collection, copy, 'r/base-1!night', 4)).toMatchObject({
			ok: false
		});
		must(await settlePrinting(at.collection, copy, 'r/base-1!night', 1));
		must(await settlePrinting(at.collection, copy, 'r/base-1', 2));
		expect(await countUnseen(db)).toBe(0);
		expect(await at.owned()).toEqual({ 'r/base-1': 4, 'r/base-1!night': 1, 'r/base-2': 1 });
		expect(await readSecondPass(db, { release: 'nix', all: true })).toEqual([]);
		expect((await printSecondPass(db, all, NOW)).byteLength).toBeGreaterThan(1000);
		await undo(at.collection);
		expect((await db.select().from(copies)).filter((row) => row.isPrintingUnseen)).toHaveLength(1);
	});
});

describe('pictures', () => {
	const drawn = (shape: string) =>
		sharp(
			Buffer.from(`<svg width="250" height="350"><defs><linearGradient id="g" x2="0.3" y2="1">
				<stop stop-color="#bcd"/><stop offset="1" stop-color="#234"/></linearGradient></defs>
				<rect width="250" height="350" fill="#fdf8ea"/>
				<rect x="12" y="12" width="226" height="326" fill="url(#g)"/>
				<path d="M12 260h226v78H12z" fill="#465"/>${shape}</svg>`)
		)
			.png()
			.toBuffer();
	const tower =
		'<rect x="100" y="60" width="50" height="250" fill="#eee"/><circle cx="125" cy="60" r="40" fill="#fd8"/>';
	const boat =
		'<path d="M20 220h210l-40 60H60z" fill="#722"/><path d="M120 60v160l-70-20z" fill="#fff"/>';

	test('are kept of what one does not own, front and back, and go with their release', async () => {
		const { db } = at.collection;
		const bytes = await drawn(tower);
		const back = { side: 'back' as const, source: ' a book ', bytes };
		const { id } = must(await addReferencePicture(at.collection, 'r/base~brass', back));
		must(await addReferencePicture(at.collection, 'r/base-1!night', { ...back, side: 'front' }));
		expect(await picturesOf(db, ['r/base~brass'])).toMatchObject([
			{ side: 'back', source: 'a book' }
		]);
		expect(await addReferencePicture(at.collection, 'r/nix', back)).toMatchObject({ ok: false });
		const broken = { ...back, bytes: new Uint8Array([1, 2, 3]) };
		expect(await addReferencePicture(at.collection, 'r', broken)).toMatchObject({ ok: false });
		expect(await removeReferencePicture(at.collection, id)).toBe(true);
		expect(await removeReferencePicture(at.collection, id)).toBe(false);
		await removeRelease(at.collection, 'r');
		expect(await picturesOf(db, ['r/base-1!night'])).toEqual([]);
		await undo(at.collection);
		expect(await picturesOf(db, ['r/base-1!night'])).toHaveLength(1);
	});

	test('of one number are told apart by what they show, not by their light', async () => {
		const { db } = at.collection;
		const photo = await drawn(tower);
		const photos = [
			photo,
			await sharp(photo).linear(0.8, -5).png().toBuffer(),
			await sharp(photo).rotate(1.5, { background: '#333' }).blur(1.5).png().toBuffer(),
			await drawn(boat)
		];
		for (const bytes of photos) {
			const copy = must(await addCopy(at.collection, 'r/base-1', {}));
			must(await addPhoto(at.collection, copy.id, bytes));
		}
		const lone = must(await addCopy(at.collection, 'r/base-2', {}));
		must(await addPhoto(at.collection, lone.id, await drawn(boat)));
		const found = await groupPhotos(db, 'r', null);
		expect(found?.map(({ card, groups }) => [card, groups.map(({ length }) => length)])).toEqual([
			['base-1', [3, 1]]
		]);
		expect(await groupPhotos(db, 'r', 'base-2')).toEqual([]);
		expect(await groupPhotos(db, 'nix', null)).toBeNull();
	});
});

describe('the trainer', () => {
	test('asks for pairs that are kept; what was wrong is due again soon, what was right later', async () => {
		const { db } = at.collection;
		await keepLookAlikes(at.collection, { name: 'a', keys: ['r/base', 'r/base~brass'], note: '' });
		const sitting = (now: string) => readSitting(db, now, () => 0.25);
		const now = at.collection.now();
		const first = await sitting(now);
		expect(first).toMatchObject({ due: 0, scores: [], rounds: [{ answer: 'r/base' }] });
		const pair = ['r/base~brass', 'r/base'] as const;
		const wrong = must(await practisePair(at.collection, pair, false));
		expect((await sitting(now)).rounds).toEqual([]);
		const again = await sitting(wrong.dueAt);
		expect(again).toMatchObject({ due: 1, scores: [{ asked: 1, right: 0 }] });
		const right = must(await practisePair(at.collection, pair, true));
		expect(right.dueAt > wrong.dueAt).toBe(true);
		expect((await sitting(right.dueAt)).scores).toMatchObject([{ asked: 2, right: 1 }]);
		expect(await practisePair(at.collection, ['r/base', 'r/nix'], true)).toMatchObject({
			ok: false
		});
	});
});
