import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq, min } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { resolveRelease } from '../core/checklist/resolve-release.ts';
import { good } from '../core/problem.ts';
import { progressOf } from '../core/goal/progress.ts';
import { makeBinder } from './binders/change-binder.ts';
import { listBinders, readBinder } from './binders/read-binder.ts';
import { readBoxes } from './storage/room/read-storage.ts';
import { logLine, logOwned } from './copies/log.ts';
import { countOwned, readCopies } from './copies/read-copies.ts';
import type { Collection } from './database/open.ts';
import { openCollection } from './upkeep/open-collection.ts';
import { copies, releases } from './database/tables/index.ts';
import { loadDemo } from './demo/load-demo.ts';
import { makeGoal, removeGoal } from './goals/make-goal.ts';
import { listGoals, readGoal } from './goals/read-goals.ts';
import { nextSteps, redo, undo } from './journal/undo.ts';
import { importRelease } from './checklists/import-release.ts';
import { listReleases } from './releases/list-releases.ts';
import { loadRelease } from './releases/load-release.ts';
import { saveRelease } from './checklists/save-release.ts';
import { readSubject } from './releases/read-subject.ts';
import { removeRelease } from './checklists/remove-release.ts';
import { readSettings } from './database/settings.ts';

let folder: string;
let collection: Collection;

const open = () =>
	openCollection(readSettings({ JADE_DATA: folder, JADE_NOW: '1996-10-05T18:30:00.000Z' }));

beforeEach(async () => {
	folder = mkdtempSync(join(tmpdir(), 'jade-test-'));
	collection = await open();
});
afterEach(() => {
	collection.close();
	rmSync(folder, { recursive: true, force: true });
});

const cards = (from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({
		number: String(from + i),
		title: `Card ${from + i}`
	}));

function sample() {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994', note: 'n' },
		packTypes: [{ name: 'Hobby', packsPerBox: 36, cardsPerPack: 10 }],
		sections: [
			{
				name: 'Base',
				cards: cards(1, 20),
				series: [{ name: 'I', from: '1', to: '25' }],
				odds: { hobby: '9:1' }
			},
			{ name: 'Sub', kind: 'subset', numberedIn: 'base', cards: cards(21, 25) }
		],
		parallels: [{ name: 'Brass', runs: [{ sections: ['base'], printRun: 120 }] }]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const line = (text: string, rest: { parallel?: string; condition?: 'mint' | 'poor' } = {}) =>
	logLine(collection, 'r', { line: text, numbering: null, parallel: null, ...rest });
const owned = async () => {
	const stored = await loadRelease(collection.db, 'r');
	return stored ? Object.fromEntries(countOwned(await readCopies(collection.db, stored.id))) : {};
};
const totals = async () =>
	(await listGoals(collection.db)).map(({ have, need }) => `${have}/${need}`);

describe('a release', () => {
	test('is stored whole and read back the same', async () => {
		const release = sample();
		expect(await importRelease(collection, release)).toMatchObject({ ok: true });
		expect((await loadRelease(collection.db, 'r'))?.release).toEqual(release);
	});

	test('cannot be imported twice, and the refusal changes nothing', async () => {
		await importRelease(collection, sample());
		const again = await importRelease(collection, sample());
		expect(again).toMatchObject({ ok: false, problems: [{ field: 'release' }] });
		expect(await listReleases(collection.db)).toHaveLength(1);
	});

	test('goes with all that hangs on it, and undo brings all of it back', async () => {
		await importRelease(collection, sample());
		await line('1-5 7x2');
		await makeGoal(collection, { release: 'r', rules: { preset: 'complete' }, name: '' });
		await makeBinder(collection, { goalId: 1, name: 'B' });
		const before = [await owned(), await totals(), await listBinders(collection.db)];
		expect(await removeRelease(collection, 'r')).toBe(true);
		expect(await listReleases(collection.db)).toEqual([]);
		expect(await listGoals(collection.db)).toEqual([]);
		await undo(collection);
		expect([await owned(), await totals(), await listBinders(collection.db)]).toEqual(before);
		expect(await removeRelease(collection, 'nix')).toBe(false);
	});
});

const card21 = {
	title: 'Late',
	subjects: [],
	marks: [],
	otherNumbers: [],
	panelOf: []
};

describe('an edit of a release', () => {
	beforeEach(async () => {
		await importRelease(collection, sample());
		await makeGoal(collection, { release: 'r', rules: { preset: 'complete' }, name: 'G' });
		await line('1-5 21');
		await line('3', { parallel: 'brass' });
	});

	test('keeps every copy attached, moves progress, and is undone', async () => {
		const before = await owned();
		const saved = await saveRelease(collection, 'r', 'edit', (release) =>
			good({
				...release,
				name: 'Renamed',
				sections: release.sections.map((section) => ({
					...section,
					cards: [
						...section.cards.map((card) => ({
							...card,
							title: `${card.title}!`,
							number: `${card.number}`
						})),
						...(section.key === 'sub' ? [{ ...card21, key: 'base-26', number: '26' }] : [])
					]
				})),
				variants: [{ key: 'town', kind: 'error', name: 'Town', cards: ['3'] }]
			})
		);
		expect(saved).toMatchObject({ ok: true });
		expect(await owned()).toEqual(before);
		expect(await totals()).toEqual(['6/26']);
		expect((await loadRelease(collection.db, 'r'))?.release.variants).toHaveLength(1);
		await undo(collection);
		expect((await loadRelease(collection.db, 'r'))?.release).toEqual(sample());
		expect(await totals()).toEqual(['6/25']);
	});

	test('that would orphan copies is refused, and each version is named', async () => {
		const saved = await saveRelease(collection, 'r', 'edit', (release) =>
			good({
				...release,
				parallels: [],
				sections: release.sections.map((section) => ({
					...section,
					cards: section.cards.filter(({ number }) => number !== '2')
				}))
			})
		);
		expect(saved.ok ? [] : saved.problems.map(({ field }) => field)).toEqual([
			'r/base-2',
			'r/base-3~brass'
		]);
		expect(Object.keys(await owned())).toHaveLength(7);
		expect((await nextSteps(collection.db)).undo?.label).toContain('log 3');
	});

	test('that changes nothing leaves no step', async () => {
		const at = (await nextSteps(collection.db)).undo?.id;
		await saveRelease(collection, 'r', 'edit', (release) => good({ ...release }));
		expect((await nextSteps(collection.db)).undo?.id).toBe(at);
	});
});

describe('the journal', () => {
	beforeEach(async () => {
		await importRelease(collection, sample());
		await makeGoal(collection, { release: 'r', rules: { preset: 'complete' }, name: 'G' });
	});

	test('undoes and redoes line by line, also after a restart, and progress follows', async () => {
		await line('1-10');
		await line('3x2 11');
		expect(await totals()).toEqual(['11/25']);
		collection.close();
		collection = await open();
		expect(await undo(collection)).toMatchObject({ label: 'R: log 3x2 11' });
		expect(await totals()).toEqual(['10/25']);
		expect((await owned())['r/base-3']).toBe(1);
		await undo(collection);
		expect(await owned()).toEqual({});
		collection.close();
		collection = await open();
		await redo(collection);
		await redo(collection);
		expect(await redo(collection)).toBeNull();
		expect(await totals()).toEqual(['11/25']);
		expect((await owned())['r/base-3']).toBe(3);
	});

	test('what was undone cannot be redone once something else is done', async () => {
		await line('1');
		await undo(collection);
		await line('2');
		expect(await nextSteps(collection.db)).toMatchObject({
			redo: null,
			undo: { label: 'R: log 2' }
		});
		expect(Object.keys(await owned())).toEqual(['r/base-2']);
	});

	test('can be walked back to the empty collection and forth again', async () => {
		await line('all but 3');
		const state = async () => JSON.stringify([await owned(), await totals()]);
		const end = await state();
		while (await undo(collection));
		expect(await listReleases(collection.db)).toEqual([]);
		while (await redo(collection));
		expect(await state()).toBe(end);
	});

	test('a line with one unknown word changes nothing and leaves no step', async () => {
		const outcome = await line('1-5 Q9');
		expect(outcome).toMatchObject({ ok: false, problems: [{ start: 4, end: 6 }] });
		expect(await owned()).toEqual({});
		expect((await nextSteps(collection.db)).undo?.label).toBe('Goal G');
	});
});

describe('copies', () => {
	beforeEach(async () => {
		await importRelease(collection, sample());
	});

	test('equal ones are one pile; the worst go first', async () => {
		await line('1x2', { condition: 'poor' });
		await line('1', { condition: 'mint' });
		await line('1', { condition: 'poor' });
		const piles = () => collection.db.select().from(copies).orderBy(copies.id);
		expect((await piles()).map(({ quantity, condition }) => `${quantity} ${condition}`)).toEqual([
			'3 poor',
			'1 mint'
		]);
		await logOwned(collection, 'r', [{ version: 'r/base-1', quantity: 1 }]);
		expect((await piles()).map(({ quantity, condition }) => `${quantity} ${condition}`)).toEqual([
			'1 mint'
		]);
	});

	test('versions that do not exist are refused, all at once', async () => {
		const outcome = await logOwned(collection, 'r', [
			{ version: 'r/base-1', quantity: 1 },
			{ version: 'r/base-99', quantity: 1 },
			{ version: 'r/base-21~brass', quantity: 1 }
		]);
		expect(outcome).toMatchObject({
			ok: false,
			problems: [{ pointer: '/changes/1/version' }, { pointer: '/changes/2/version' }]
		});
		expect(await owned()).toEqual({});
	});

	test('two hundred changes at once all come through, one after the other', async () => {
		await Promise.all(Array.from({ length: 200 }, (_, i) => line(`${(i % 25) + 1}`)));
		const counts = Object.values(await owned());
		expect(counts).toEqual(Array.from({ length: 25 }, () => 8));
	});
});

describe('goals and binders', () => {
	beforeEach(async () => {
		await importRelease(collection, sample());
	});

	test('summary rows are what the goal itself gives', async () => {
		await makeGoal(collection, { release: 'r', rules: { preset: 'strict-master' }, name: '' });
		await makeGoal(collection, {
			release: 'r',
			rules: { preset: 'parallel-run', parallel: 'brass' },
			name: ''
		});
		await line('1-9 21');
		await line('all but 4', { parallel: 'brass' });
		const goals = await listGoals(collection.db);
		expect(goals.map(({ name, have, need }) => `${name} ${have}/${need}`)).toEqual([
			'R, strict master 29/45',
			'R, Brass run 19/20'
		]);
		for (const { id, rows } of goals) {
			const goal = await readGoal(collection.db, id);
			expect(rows).toEqual(goal && progressOf(goal.slots, goal.filling));
		}
	});

	test('a parallel run without its parallel is refused; a goal goes with its binders', async () => {
		const refused = await makeGoal(collection, {
			release: 'r',
			rules: { preset: 'parallel-run' },
			name: ''
		});
		expect(refused).toMatchObject({ ok: false, problems: [{ field: 'parallels' }] });
		await makeGoal(collection, { release: 'r', rules: { preset: 'base' }, name: '' });
		const id = await makeBinder(collection, { goalId: 1, name: '' });
		expect(await makeBinder(collection, { goalId: 9, name: '' })).toBeNull();
		expect((await readBinder(collection.db, id ?? 0))?.plan).toMatchObject({
			leaves: 2,
			emptyPockets: 7
		});
		expect(await removeGoal(collection, 1)).toBe(true);
		expect(await listBinders(collection.db)).toEqual([]);
		await undo(collection);
		expect(await listBinders(collection.db)).toHaveLength(1);
	});
});

test('the demo is the same every time, fills an empty collection only, and is 60 % collected', async () => {
	expect(await loadDemo(collection)).toBe(true);
	expect(await loadDemo(collection)).toBe(false);
	const [first] = await listGoals(collection.db);
	expect(first && Math.round((100 * first.have) / first.need)).toBe(60);
	const [oldest] = await collection.db
		.select({ at: min(copies.loggedAt) })
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.where(eq(releases.key, 'harbour-lights-1994'));
	expect(oldest?.at).toBe('1996-02-11T16:00:00.000Z');
	// Two years share a subject; its cards are found over both.
	const both = await readSubject(collection.db, 'Quiet Harbour Light');
	expect(both.map(({ releaseKey }) => releaseKey)).toEqual(
		expect.arrayContaining(['harbour-lights-1994', 'harbour-lights-1995'])
	);
	expect(await readSubject(collection.db, "x' or 1=1 --")).toEqual([]);
	const summary = (await listReleases(collection.db)).map(
		({ key, cards: count, parallels }) => `${key} ${count} ${parallels}`
	);
	// design.md §4: 240 base, inserts of 15, 10 and 12, nine stickers, three foils; 270; 5 × 16 and 40 panels; 96.
	expect(summary).toEqual(
		expect.arrayContaining([
			'tidewater-strips-1926 60 0',
			'regatta-almanac-1948 120 0',
			'moths-of-the-lamp 25 0',
			'harbour-lights-1994 289 3',
			'harbour-lights-1995 279 4',
			'the-drowned-bell 97 0',
			'brine-and-beacon 96 0',
			'signal-year-2019 280 5'
		])
	);
	// And the basement: 45 older sets, some 60,000 cards in boxes.
	expect(summary).toHaveLength(8 + 45);
	const standing = (await readBoxes(collection.db)).reduce(
		(sum, { cards: count }) => sum + count,
		0
	);
	expect(Math.round(standing / 1000)).toBe(60);
});
