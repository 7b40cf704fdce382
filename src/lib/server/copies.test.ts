import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { resolveRelease } from '../core/checklist/resolve-release.ts';
import { addCopy, editCopy, removeCopy, splitCopy } from './copies/edit-copy.ts';
import { logLine, logOwned } from './copies/log.ts';
import { readCopies } from './copies/read-copies.ts';
import { addPile, listTrays } from './copies/trays.ts';
import { setSynonym } from './copies/synonyms.ts';
import type { Collection } from './database/open.ts';
import { openCollection } from './upkeep/open-collection.ts';
import { makeGoal } from './goals/make-goal.ts';
import { readGoal, readHistory } from './goals/read-goals.ts';
import { importHoldings, listUnmatched } from './holdings/import-holdings.ts';
import { settleRow } from './holdings/settle-row.ts';
import { nextSteps, recentSteps, undo } from './journal/undo.ts';
import { takeBack, undoStep } from './journal/undo-step.ts';
import { addPhoto, photosOf, preparePhoto, readPicture } from './media/photos.ts';
import { importRelease } from './checklists/import-release.ts';
import { removeRelease } from './checklists/remove-release.ts';
import { search } from './search/search.ts';
import { readSettings } from './database/settings.ts';

let folder: string;
let collection: Collection;
let now = '1996-10-06T09:00:00.000Z';

beforeEach(async () => {
	folder = mkdtempSync(join(tmpdir(), 'jade-copies-'));
	collection = { ...(await openCollection(readSettings({ JADE_DATA: folder }))), now: () => now };
	const outcome = resolveRelease({
		release: { name: 'Gulls', maker: 'M', year: '1996' },
		sections: [
			{
				name: 'Base',
				cards: [1, 2, 3, 4].map((n) => ({
					number: String(n),
					title: `Gull ${n}`,
					subjects: [n === 4 ? 'Ada Hale' : 'Bram']
				}))
			}
		],
		parallels: [{ name: 'Slate', runs: [{ sections: ['base'], printRun: 65 }] }]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	await importRelease(collection, outcome.value);
});
afterEach(() => {
	collection.close();
	rmSync(folder, { recursive: true, force: true });
});

const log = (line: string, more: object = {}) =>
	logLine(collection, 'gulls-1996', { line, numbering: null, parallel: null, ...more });
const copies = async () =>
	(await readCopies(collection.db, 1)).map(({ version, quantity, condition, serial, place }) =>
		[version.replace('gulls-1996/', ''), quantity, condition, serial, place]
			.filter(Boolean)
			.join(' ')
	);

describe('what is logged', () => {
	test('plain copies of a condition make a pile; what is said of a copy sets it apart', async () => {
		await log('1x2 nm 2 slate 14/65 vg');
		await log('1 nm 1 vg 3 @tin');
		expect(await copies()).toEqual([
			'base-2~slate 1 very good 14/65',
			'base-1 3 near mint',
			'base-3 1 tin',
			'base-1 1 very good'
		]);
		// Taking away on the wall takes the plain and the worst first.
		await logOwned(collection, 'gulls-1996', [{ version: 'gulls-1996/base-1', quantity: 2 }]);
		expect(await copies()).toContain('base-1 2 near mint');
	});

	test('a serial number is checked against the run; two copies with one are pointed out', async () => {
		expect(await log('2 slate 66/65')).toMatchObject({ ok: false });
		const first = await addCopy(collection, 'gulls-1996/base-2~slate', { serial: '7/65' });
		expect(first).toMatchObject({ ok: true, notes: [] });
		const second = await addCopy(collection, 'gulls-1996/base-2~slate', { serial: '007/65' });
		expect(second.ok && second.notes[0]?.message).toBe('2 copies bear the serial number 7/65');
		expect(await addCopy(collection, 'gulls-1996/base-9', {})).toMatchObject({ ok: false });
	});

	test('a pile is split, described, taken out, and all of it undone', async () => {
		await log('1x3 nm');
		const [pile] = await readCopies(collection.db, 1);
		const split = await splitCopy(collection, pile?.id ?? 0);
		const id = split.ok ? split.value.id : 0;
		expect(
			await editCopy(collection, id, { grade: 9.5, house: 'Lantern', serial: 'x' })
		).toMatchObject({
			ok: false
		});
		await editCopy(collection, id, { grade: 9.5, house: 'Lantern', note: 'sharp' });
		await removeCopy(collection, pile?.id ?? 0);
		expect(await copies()).toEqual(['base-1 1 near mint']);
		for (let i = 0; i < 3; i++) await undo(collection);
		expect(await copies()).toEqual(['base-1 3 near mint']);
		expect(await splitCopy(collection, 999)).toMatchObject({ ok: false });
	});

	test('own words and trays: what is logged from a pile goes over into the tray to sort', async () => {
		await setSynonym(collection, 'S', 'slate nm');
		await addPile(collection, 'to log', 'fair', 3);
		const [pile] = await listTrays(collection.db);
		await log('1 s 2', { pile: pile?.id });
		const trays = async () =>
			(await listTrays(collection.db)).map(({ tray, cards }) => `${tray} ${cards}`).sort();
		expect(await copies()).toEqual(['base-1~slate 1 near mint', 'base-2 1']);
		expect(await trays()).toEqual(['to log 1', 'to sort 2']);
		await log('3', { pile: pile?.id });
		expect(await trays()).toEqual(['to sort 3']);
	});
});

describe('photos', () => {
	const jpeg = () =>
		sharp({ create: { width: 3000, height: 20, channels: 3, background: 'red' } })
			.withExif({ IFD0: { Copyright: 'nobody' }, IFD3: { GPSLatitudeRef: 'N' } })
			.jpeg()
			.toBuffer();

	test('are made smaller, rid of metadata, kept once, and come back with undo', async () => {
		const source = await jpeg();
		expect((await sharp(source).metadata()).exif).toBeDefined();
		await log('1');
		await addPhoto(collection, 1, source);
		await addPhoto(collection, 1, source);
		const photos = await photosOf(collection.db, [1]);
		expect(new Set(photos.map(({ hash }) => hash)).size).toBe(1);
		const kept = await readPicture(collection.db, photos[0]?.hash ?? '', 'whole');
		const { width, format, exif } = await sharp(kept ?? Buffer.alloc(0)).metadata();
		expect({ width, format, exif }).toEqual({ width: 2000, format: 'webp', exif: undefined });
		const small = await readPicture(collection.db, photos[0]?.hash ?? '', 'thumbnail');
		expect((await sharp(small ?? Buffer.alloc(0)).metadata()).width).toBe(320);
		await removeRelease(collection, 'gulls-1996');
		expect(await photosOf(collection.db, [1])).toEqual([]);
		await undo(collection);
		expect(await photosOf(collection.db, [1])).toHaveLength(2);
	});

	test.each<[string, () => Promise<Uint8Array>, RegExp]>([
		['nothing', async () => new Uint8Array(), /empty/],
		['text', async () => new TextEncoder().encode('hello'), /cannot be read/],
		[
			'a GIF',
			() =>
				sharp({ create: { width: 2, height: 2, channels: 3, background: 'red' } })
					.gif()
					.toBuffer(),
			/this is gif/
		],
		['a cut-off JPEG', async () => (await jpeg()).subarray(0, 400), /cannot be read/],
		['too much', async () => new Uint8Array(20 * 1024 * 1024 + 1), /larger than 20 MB/]
	])('%s is refused with its reason', async (_, file, message) => {
		const outcome = await preparePhoto(await file());
		expect(outcome.ok ? '' : outcome.problems[0]?.message).toMatch(message);
	});
});

test('search finds cards by any of their words and copies by place and serial, quickly by beginnings', async () => {
	await log('2 slate 14/65 @"Long box 4"');
	const titles = async (text: string) =>
		(await search(collection.db, text)).map(({ title, copy }) =>
			copy ? `${title} · ${copy.text}` : title
		);
	expect(await titles('ada')).toEqual(['Gull 4']);
	expect(await titles('gulls 3')).toEqual(['Gull 3']);
	expect(await titles('1996 gul')).toHaveLength(4);
	const slate = 'Gull 2 · Slate · 14/65 · Long box 4';
	for (const text of ['long box', '14/65', 'slate', 'gull 2 sla', 'box 1996 14/65'])
		expect([text, await titles(text)]).toEqual([text, [slate]]);
	// Words of the card alone find the card, once.
	expect(await titles('gull 2')).toEqual(['Gull 2']);
	expect(await titles('slate 3')).toEqual([]);
	for (const odd of ['', '"', '* OR 1', 'x" NEAR y', '%', '(('])
		expect(await titles(odd)).toEqual([]);
	await removeRelease(collection, 'gulls-1996');
	expect(await titles('gull')).toEqual([]);
	await undo(collection);
	expect(await titles('gulls 3')).toEqual(['Gull 3']);
});

test('any step is taken back unless a later one changed the same things', async () => {
	await log('1');
	await log('2');
	await log('1');
	const steps = await recentSteps(collection.db, 10);
	const [second, two, first] = steps.map(({ id }) => id);
	expect(await undoStep(collection, first ?? 0)).toMatchObject({
		ok: false,
		problems: [{ message: '"Gulls: log 1" changed the same things later' }]
	});
	expect(await undoStep(collection, two ?? 0)).toMatchObject({ ok: true });
	expect(await copies()).toEqual(['base-1 2']);
	await undoStep(collection, second ?? 0);
	expect(await copies()).toEqual(['base-1 1']);
	// Taking back is a step, too.
	await undo(collection);
	await undo(collection);
	expect(await copies()).toEqual(['base-1 2', 'base-2 1']);
	expect(await undoStep(collection, 999)).toMatchObject({ ok: false });
});

test('goals: history by day, goals that keep their own, and a subject across releases', async () => {
	const rules = { preset: 'base' as const };
	const goal = await makeGoal(collection, { release: 'gulls-1996', name: 'A', rules });
	const id = goal.ok ? goal.value.id : 0;
	await log('1 2');
	now = '1996-10-08T09:00:00.000Z';
	await log('3');
	now = '1996-10-06T09:00:00.000Z';
	expect(await readHistory(collection.db, id)).toEqual([
		{ day: '1996-10-06', have: 2, need: 4 },
		{ day: '1996-10-08', have: 3, need: 4 }
	]);
	const keeps = { preset: 'base' as const, keepsOwn: true };
	await makeGoal(collection, { release: 'gulls-1996', name: 'B', rules: keeps });
	expect((await readGoal(collection.db, id))?.filling.missing).toHaveLength(4);

	const other = resolveRelease({
		release: { name: 'Terns', maker: 'M', year: '1997' },
		sections: [{ name: 'Base', cards: [{ number: '9', title: 'Ada', subjects: ['Ada Hale'] }] }]
	});
	if (other.ok) await importRelease(collection, other.value);
	const subject = await makeGoal(collection, {
		release: 'gulls-1996',
		name: '',
		rules: { preset: 'subject', subject: 'Ada Hale' }
	});
	const subjectId = subject.ok ? subject.value.id : 0;
	const slots = async () => (await readGoal(collection.db, subjectId))?.slots.map(({ key }) => key);
	expect(await slots()).toEqual(['gulls-1996/base-4', 'terns-1997/base-9']);
	// Its home goes; the goal goes on in the other release.
	await removeRelease(collection, 'gulls-1996');
	expect(await slots()).toEqual(['terns-1997/base-9']);
	await undo(collection);
	expect(await slots()).toEqual(['gulls-1996/base-4', 'terns-1997/base-9']);
	for (const bad of [{ preset: 'subject' }, { preset: 'rainbow' }, { preset: 'group' }] as const) {
		const refused = await makeGoal(collection, { release: 'gulls-1996', name: '', rules: bad });
		expect(refused.ok).toBe(false);
	}
});

test('holdings come in as one step; rows that fit nothing wait, and are settled one by one', async () => {
	const row = (line: number, set: string, number: string) => ({
		line,
		year: '1996',
		maker: 'M',
		set,
		section: '',
		number,
		subject: '',
		parallel: '',
		attributes: ['rookie'],
		fields: { quantity: 2, valueMinor: 50, currency: 'EUR' }
	});
	const rows = [row(2, 'Gulls', '1'), row(3, 'Gulls', '77'), row(4, 'Unheard Of', '1')];
	expect(await importHoldings(collection, 'list.csv', rows, {})).toEqual({
		copies: 1,
		unmatched: 2
	});
	const waiting = await listUnmatched(collection.db);
	expect(waiting.map(({ line, reason }) => `${line}: ${reason}`)).toEqual([
		'3: Gulls has no 77',
		'4: which release is "Unheard Of"?'
	]);
	const [first] = waiting;
	expect(await settleRow(collection, first?.id ?? 0, 'gulls-1996', '1-2')).toMatchObject({
		ok: false
	});
	expect(await settleRow(collection, first?.id ?? 0, 'gulls-1996', '4 slate')).toMatchObject({
		ok: true
	});
	expect(await readCopies(collection.db, 1)).toMatchObject([
		{ version: 'gulls-1996/base-1', quantity: 2, attributes: ['rookie'], valueMinor: 50 },
		{ version: 'gulls-1996/base-4~slate', quantity: 2, attributes: ['rookie'], valueMinor: 50 }
	]);
	await undo(collection);
	await undo(collection);
	expect(await copies()).toEqual([]);
	expect(await listUnmatched(collection.db)).toEqual([]);
});

test('a step is taken back by its id: as undo where it is the last, else alone, or not at all', async () => {
	const step = async (line: string) => {
		const outcome = await log(line);
		return outcome.ok ? (outcome.value.step ?? 0) : 0;
	};
	const [first, second] = [await step('1'), await step('1')];
	await addPile(collection, 'to sort', 'Elsewhere', 3);
	// Something else was done since: only this step goes, and the pile stays.
	expect(await takeBack(collection, second)).toMatchObject({ ok: true });
	expect(await copies()).toEqual(['base-1 1']);
	expect((await listTrays(collection.db)).length).toBeGreaterThan(0);
	// The first is built on by the second and by its taking back.
	expect(await takeBack(collection, first)).toMatchObject({ ok: false });
	const last = await step('2');
	expect(await takeBack(collection, last)).toMatchObject({ ok: true });
	expect((await nextSteps(collection.db)).redo?.id).toBe(last);
	expect(await takeBack(collection, 999)).toMatchObject({ ok: false });
});
