import { expect, test } from 'vitest';
import { resolveRelease } from '../../../core/checklist/draft/resolve-release.ts';
import { binderSlots } from '../../../core/binder/binder-slots.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { scopeGoal } from '../../../core/goal/scope-goal.ts';
import { cardUm } from '../../../core/measuring/stock.ts';
import { homelessCopies } from '../../places/homeless.ts';
import { importRelease } from '../../checklists/import-release.ts';
import { undo } from '../../journal/undo.ts';
import { makeGoal } from '../../goals/make-goal.ts';
import { labelTexts } from '../labels/label-texts.ts';
import { planStorage } from '../plan/plan-storage.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { answerLine, makeSlip } from '../slips/change-slips.ts';
import { readSlip } from '../slips/slips.ts';
import { NOTHING_VALUABLE, withStorage } from '../storage.fixture.ts';
import { rowId } from '../../../core/row-id.ts';

const storage = withStorage();

/** 60 base cards with a subset, an insert of 5, an edition abroad, and a finish of 12. */
async function release(): Promise<void> {
	const numbered = (from: number, to: number, prefix = '') =>
		Array.from({ length: to - from + 1 }, (_, i) => ({
			number: `${prefix}${from + i}`,
			title: `Card ${prefix}${from + i}`
		}));
	const outcome = resolveRelease({
		release: { key: 'r', name: 'Lights', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: numbered(1, 50) },
			{ name: 'Dogs', kind: 'subset', numberedIn: 'base', cards: numbered(51, 60) },
			{ name: 'Fresnel', kind: 'insert', cards: numbered(1, 5, 'F') },
			{ name: 'Abroad', kind: 'insert', cards: [], edition: { of: ['fresnel'] } }
		],
		parallels: [{ name: 'Brass', runs: [{ cards: numbered(1, 12).map(({ number }) => number) }] }]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	await importRelease(storage.collection, outcome.value);
}
const labels = async () =>
	(
		await labelTexts(storage.collection.db, {
			sort: 'boxes',
			boxIds: [],
			address: '',
			date: '1996-10-06'
		})
	).flatMap(({ lines }) => lines);

test('a label counts what its box is for; runs stand apart, and lone ones with the strays', async () => {
	await release();
	await storage.log('r', '1-55, fresnel F1-F4');
	await storage.log('r', '3 brass');
	await storage.log('r', '7x4');
	await standAsPlanned(storage.collection);
	expect((await storage.rows()).map((row) => row.replace(/( \d\d?(?= |$)){9,}/, ' …'))).toEqual([
		'Long box 1 / 1: Lights 1994 …',
		'Long box 1 / 1: Lights 1994, Fresnel F1 F2 F3 F4',
		'Long box 1 / 1: Lights 1994, doubles 7x4',
		'Long box 1 / 1: 1994, strays 3'
	]);
	expect(await labels()).toEqual([
		// 60 with the subset that lives in its numbering; the lone Brass counts for neither.
		'Lights 1994, 55 of 60',
		'Missing: 56–60',
		'Lights 1994, Fresnel, 4 of 5',
		'Missing: F5',
		'Lights 1994, doubles, 1 number',
		'1996-10-06'
	]);
});

test('two sets that are built have dividers, labels and slip lines of their own', async () => {
	await release();
	const rules = { preset: 'complete', sets: 2 } as const;
	expect(await makeGoal(storage.collection, { release: 'r', rules, name: '' })).toMatchObject({
		ok: true
	});
	await storage.log('r', '1-20 1-10');
	await standAsPlanned(storage.collection);
	expect(await storage.rows()).toEqual([
		`Long box 1 / 1: Lights 1994 ${Array.from({ length: 20 }, (_, i) => i + 1).join(' ')}`,
		'Long box 1 / 1: Lights 1994, set 2 1 2 3 4 5 6 7 8 9 10'
	]);
	expect(await labels()).toEqual([
		'Lights 1994, 20 of 60',
		'Missing: 21–60',
		'Lights 1994, set 2, 10 of 60',
		'Missing: 11–60',
		'1996-10-06'
	]);
	// A second 15 has no place: the one of the first set, in the same box, is none of the second's.
	await storage.log('r', '15');
	expect((await labels()).slice(2, 5)).toEqual([
		'Lights 1994, set 2, 11 of 60',
		'Missing: 11–14, 16–60',
		'no place yet: 15'
	]);
	await undo(storage.collection);
	// Of three more 21s one goes to each set, and one is a double: it waits for the plan, or the strays.
	await storage.log('r', '21x3');
	await makeSlip(storage.collection, 'put away', '', { of: 'homeless' });
	const lines = (await readSlip(storage.collection.db, rowId(1)))?.lines ?? [];
	expect(lines.map(({ quantity, place }) => `${quantity} ${place?.divider ?? ''}`)).toEqual([
		'1 Lights 1994',
		'1 Lights 1994, set 2'
	]);
	for (const { id, place } of lines) {
		const done = await answerLine(
			storage.collection,
			rowId(1),
			id,
			'done',
			place?.dividerId ?? null
		);
		expect(done).toMatchObject({ ok: true });
	}
	expect((await storage.rows())[1]).toBe(
		'Long box 1 / 1: Lights 1994, set 2 1 2 3 4 5 6 7 8 9 10 21'
	);
	const plan = await planStorage(storage.collection.db);
	expect(plan.added.map(({ label }) => label)).toEqual(['1994, strays']);
});

test('cards of an edition stand with their own numbers and titles', async () => {
	await release();
	await storage.log('r', 'abroad F1-F3');
	await standAsPlanned(storage.collection);
	expect(await storage.rows()).toEqual(['Long box 1 / 1: Lights 1994, Abroad F1 F2 F3']);
	expect((await storage.dividerOf('Lights 1994, Abroad')).standing[0]?.title).toBe('Card F1');
});

test('cards without numbers stand as they are sorted, those of an edition too; a slip finds the gap', async () => {
	const keeper = (title: string, sortAs?: string) => ({ title, ...(sortAs ? { sortAs } : {}) });
	const outcome = resolveRelease({
		release: { key: 'r', name: 'Lights', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Keepers',
				cards: [
					keeper('Zoe Ayre', 'Ayre'),
					keeper('Ada Wren', 'Wren'),
					keeper('Fog'),
					keeper('Ben Hale', 'Hale')
				]
			},
			{ name: 'Abroad', kind: 'extra', cards: [], edition: { of: ['keepers'] } }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	await importRelease(storage.collection, outcome.value);
	for (const line of [
		'keepers "Ada Wren", keepers "Fog", keepers "Zoe Ayre"',
		'abroad "Ada Wren", abroad "Fog", abroad "Zoe Ayre"'
	]) {
		await storage.log('r', line);
	}
	await standAsPlanned(storage.collection);
	const standing = async (label: string) =>
		(await storage.dividerOf(label)).standing.map(({ title }) => title);
	for (const label of ['Lights 1994', 'Lights 1994, Abroad']) {
		expect(await standing(label)).toEqual(['Zoe Ayre', 'Fog', 'Ada Wren']);
	}
	await storage.log('r', 'keepers "Ben Hale", abroad "Ben Hale"');
	await makeSlip(storage.collection, 'put away', '', { of: 'homeless' });
	const lines = (await readSlip(storage.collection.db, rowId(1)))?.lines ?? [];
	expect(lines.map(({ place }) => [place?.after, place?.before])).toEqual([
		['Fog', 'Ada Wren'],
		['Fog', 'Ada Wren']
	]);
});

test('binder and box know a card by the same thickness: parallel stock, and a swatch', async () => {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'Lights', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: [1, 2, 3].map((n) => ({ number: String(n), title: `Card ${n}` })) }
		],
		parallels: [
			{ name: 'Brass', stockPt: 35, runs: [{ sections: ['base'] }] },
			{
				name: 'Relic',
				runs: [
					{ cards: ['1'], swatch: 'with' },
					{ cards: ['2'], swatch: 'without' }
				]
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	await importRelease(storage.collection, outcome.value);
	await storage.log('r', '1-3, 1-3 brass, 1-2 relic');
	const slots = scopeGoal(outcome.value, { preset: 'strict-master' });
	const inBinder = new Map(
		binderSlots([outcome.value], slots).map(({ key, format }) => [
			key.replace(/#\d+$/, ''),
			cardUm(format?.stockPt)
		])
	);
	const homeless = await homelessCopies(storage.collection.db, NOTHING_VALUABLE);
	const inBox = homeless.map(({ cardKey, parallelKey: parallel, um }) => [
		formatVersionKey({ release: 'r', card: cardKey, parallel, variant: null }),
		um
	]);
	expect(inBox).toHaveLength(8);
	expect(inBox).toEqual(inBox.map(([key]) => [key, inBinder.get(String(key))]));
	expect(new Set(inBox.map(([, um]) => um))).toEqual(new Set([cardUm(), cardUm(35), cardUm(100)]));
});
