import sharp from 'sharp';
import { expect, test } from 'vitest';
import type { ReleaseDraft } from '../../core/checklist/draft/draft.ts';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { good } from '../../core/problem.ts';
import { importRelease } from '../checklists/import-release.ts';
import { saveRelease } from '../checklists/save-release.ts';
import { withCollection } from '../collection.fixture.ts';
import { addCopy } from '../copies/edit-copy.ts';
import type { Collection } from '../database/open.ts';
import { undo } from '../journal/undo.ts';
import { loadRelease } from '../releases/load-release.ts';
import { keepLookAlikes } from '../telling/look-alikes.ts';
import { addReferencePicture } from '../telling/reference-pictures.ts';
import { notePrices } from '../worth/prices/note-prices.ts';
import { exportKnowledge } from './export-knowledge.ts';
import { lookAtKnowledge, openKnowledge } from './look-at-knowledge.ts';
import { readMine } from './read-mine.ts';
import { takeInKnowledge } from './take-in-knowledge.ts';

/** Two collectors. */
const mara = withCollection();
const here = withCollection();

const DRAFT: ReleaseDraft = {
	release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
	sections: [
		{ name: 'Base', cards: [1, 2, 3].map((n) => ({ number: String(n), title: `Card ${n}` })) }
	],
	parallels: [{ name: 'Brass', runs: [{ sections: ['base'] }] }]
};
function made(draft: ReleaseDraft) {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
const must = async (done: Promise<{ readonly ok: boolean }>) => {
	const outcome = await done;
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome));
};

/** What Mara has learnt: tells, an error, a picture, a price. */
async function learn(collection: Collection): Promise<void> {
	await must(importRelease(collection, made(DRAFT)));
	await must(
		saveRelease(collection, 'r', 'learn', (release) =>
			good({
				...release,
				parallels: release.parallels.map((each) => ({
					...each,
					tells: [{ feature: 'name on the back', value: 'BRASS', where: 'back' as const }]
				})),
				variants: [
					...release.variants,
					...made({
						...DRAFT,
						variants: [
							{
								key: 'turned',
								kind: 'error',
								name: 'back turned',
								cards: ['2'],
								source: 'a letter'
							}
						]
					}).variants
				]
			})
		)
	);
	const bytes = await sharp({
		create: { width: 40, height: 60, channels: 3, background: '#284' }
	})
		.jpeg()
		.toBuffer();
	await must(
		addReferencePicture(collection, 'r/base~brass', { side: 'back', source: 'Mara', bytes })
	);
	await must(
		notePrices(collection, {
			...{ release: 'r', line: '2 5', kind: 'sale', house: '', source: 'A fair' },
			...{ on: '1996-01-02', currency: 'EUR' }
		})
	);
	await must(
		keepLookAlikes(collection, {
			name: 'Both finishes',
			keys: ['r/base', 'r/base~brass'],
			note: ''
		})
	);
}
const file = async (hasPrices = true) => {
	const ask = { release: 'r', from: 'Mara', hasPictures: true, hasPrices, on: '1996-10-06' };
	const bytes = await exportKnowledge(mara.collection.db, ask);
	if (!bytes) throw new RangeError('no file');
	return bytes;
};
async function look(bytes: Uint8Array) {
	const { db } = here.collection;
	const opened = await openKnowledge(db, bytes, (stored) => readMine(db, stored));
	if (!opened.ok) throw new RangeError(JSON.stringify(opened.problems));
	return lookAtKnowledge(db, opened.value);
}
const mine = async () => {
	const { db } = here.collection;
	const stored = await loadRelease(db, 'r');
	if (!stored) throw new RangeError('no release');
	return readMine(db, stored);
};

test('a release that is not here comes whole, with what is chosen beside it; undo takes all of it back', async () => {
	await learn(mara.collection);
	const bytes = await file();
	const view = await look(bytes);
	expect(view).toMatchObject({ from: 'Mara', isNew: true, cards: 3 });
	expect(view.differences.map(({ kind }) => kind)).toEqual(['look-alikes', 'pictures', 'prices']);
	const ids = new Set(view.differences.map(({ id }) => id));
	expect(await takeInKnowledge(here.collection, bytes, ids, view.seen)).toMatchObject({
		ok: true,
		value: { release: 'r', taken: 3, left: 0 }
	});
	const theirs = await loadRelease(mara.collection.db, 'r');
	expect(await mine()).toEqual(theirs && (await readMine(mara.collection.db, theirs)));
	expect((await look(bytes)).differences).toEqual([]);
	await undo(here.collection);
	expect(await loadRelease(here.collection.db, 'r')).toBeNull();
});

test('line by line: what is taken is known, what is left is remembered, what is owned stays', async () => {
	await learn(mara.collection);
	await must(importRelease(here.collection, made(DRAFT)));
	await must(addCopy(here.collection, 'r/base-2', { quantity: 2 }));
	const bytes = await file();
	const view = await look(bytes);
	const lines = view.differences.map(({ id, kind, source, on }) => [
		id.split('/').slice(0, 2).join('/'),
		kind,
		source,
		on
	]);
	expect(lines).toEqual([
		['parallels/brass#tells', 'tells', null, null],
		['variants/turned', 'errors and variations', 'a letter', null],
		['look-alikes/r', 'look-alikes', null, null],
		['pictures/r', 'pictures', 'Mara', null],
		['prices/r', 'prices', 'A fair', '1996-01-02']
	]);
	const [tells, , , , price] = view.differences;
	const ids = new Set([tells?.id ?? '', price?.id ?? '']);
	await must(takeInKnowledge(here.collection, bytes, ids, view.seen));
	expect(await mine()).toMatchObject({
		checklist: { parallels: [{ tells: [{ value: 'BRASS' }] }] },
		...{ pictures: [], prices: [{ version: 'r/base-2', lowMinor: 500, source: 'A fair' }] }
	});
	const again = await look(bytes);
	expect(again.differences.map(({ wasLeft }) => wasLeft)).toEqual([true, true, true]);
	// A later version says more: it is told, and what says the same stays left.
	await must(
		saveRelease(mara.collection, 'r', 'more', (release) => good({ ...release, theme: 'Sea' }))
	);
	const later = await look(await file());
	expect(later.differences.map(({ kind, wasLeft }) => [kind, wasLeft])).toEqual([
		['release', false],
		['errors and variations', true],
		['look-alikes', true],
		['pictures', true]
	]);
	// What was looked at has changed meanwhile: nothing is taken.
	await must(saveRelease(here.collection, 'r', 'x', (release) => good({ ...release, note: 'n' })));
	const stale = await takeInKnowledge(
		here.collection,
		await file(),
		new Set(['release#theme']),
		later.seen
	);
	expect(stale).toMatchObject({ ok: false, problems: [{ field: 'release' }] });
});

test('a line that stands on another is refused without it, and says so; nothing is taken then', async () => {
	await learn(mara.collection);
	await must(addCopy(mara.collection, 'r/base-2!turned', { quantity: 1 }));
	await must(
		notePrices(mara.collection, {
			...{ release: 'r', line: '2 back turned 40', kind: 'sale', house: '', source: 'x' },
			...{ on: '1996-01-03', currency: 'EUR' }
		})
	);
	await must(importRelease(here.collection, made(DRAFT)));
	const bytes = await file();
	const view = await look(bytes);
	const price = view.differences.find(({ id }) => id.includes('!turned'));
	expect(price).toBeDefined();
	const before = await mine();
	const alone = await takeInKnowledge(
		here.collection,
		bytes,
		new Set([price?.id ?? '']),
		view.seen
	);
	expect(alone).toMatchObject({
		ok: false,
		problems: [{ message: expect.stringContaining('r/base-2!turned') as string }]
	});
	expect(await mine()).toEqual(before);
	const both = new Set([price?.id ?? '', 'variants/turned']);
	await must(takeInKnowledge(here.collection, bytes, both, view.seen));
	// Without prices none travel, and never what is owned.
	const { differences } = await look(await file(false));
	expect(differences.map(({ kind }) => kind)).not.toContain('prices');
});
