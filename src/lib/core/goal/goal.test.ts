import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { numberingsOf } from '../checklist/numbering.ts';
import { resolveRelease } from '../checklist/resolve-release.ts';
import type { Release } from '../checklist/release.ts';
import { fillSlots } from './fill-slots.ts';
import { foldRuns } from '../checklist/fold-runs.ts';
import { formatMissingText, missingList } from './missing-list.ts';
import { nearestToDone } from './nearest-to-done.ts';
import { percentDone, progressOf, totalProgress } from './progress.ts';
import { scopeGoal } from './scope-goal.ts';
import { fillTiles, stepTiles, wallFaces, wallTiles } from './wall.ts';

const numbers = (from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({ number: String(from + i) }));

function sample(): Release {
	const outcome = resolveRelease({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: [...numbers(1, 10), ...numbers(14, 20)] },
			{ name: 'Sub', kind: 'subset', numberedIn: 'base', cards: numbers(11, 13) },
			{ name: 'Log', kind: 'insert', cards: [{ title: 'Fog, again' }, { title: 'Bread' }] }
		],
		parallels: [
			{ key: 'brass', name: 'Brass', runs: [{ sections: ['base', 'sub'] }] },
			{ key: 'ten', name: 'Ten', runs: [{ sections: ['sub'], printRun: 10 }] }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const release = sample();
const copies = (cards: readonly string[]) =>
	cards.map((card) => ({ key: card, version: `r-1994/${card}`, quantity: 1 }));

describe('scopeGoal', () => {
	// 17 base, 3 subset, 2 insert; Brass on 20, Ten on 3. Worked by hand.
	test.each([
		['base', undefined, 17],
		['complete', undefined, 20],
		['with-inserts', undefined, 22],
		['parallel-run', 'brass', 20],
		['parallel-run', 'ten', 3],
		['parallel-run', undefined, 0],
		['parallel-run', 'nix', 0],
		['strict-master', undefined, 45]
	] as const)('%s %s has %i slots', (preset, parallel, count) => {
		expect(scopeGoal(release, { preset, parallel })).toHaveLength(count);
	});
});

test('a panel and its single cards are alternatives: where the singles are asked for, it is not', () => {
	const outcome = resolveRelease({
		release: { name: 'P', maker: 'M', year: '1948' },
		sections: [
			{ name: 'Base', cards: numbers(1, 4) },
			{
				name: 'Panels',
				kind: 'extra',
				cards: [
					{ number: 'P1', panelOf: ['1', '2'] },
					{ number: 'P2', title: 'Loose' }
				]
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	const keys = scopeGoal(outcome.value, { preset: 'strict-master' }).map(({ key }) => key);
	expect(keys).toEqual(
		['base-1', 'base-2', 'base-3', 'base-4', 'panels-p2'].map((card) => `p-1948/${card}`)
	);
});

describe('progress and the missing list', () => {
	const slots = scopeGoal(release, { preset: 'with-inserts' });
	const filling = fillSlots(
		slots,
		copies(['base-1', 'base-2', 'base-4', 'base-12', 'log-bread', 'base-1~brass'])
	);

	test('by section', () => {
		const rows = progressOf(slots, filling);
		expect(rows).toEqual([
			{ releaseKey: 'r-1994', sectionKey: 'base', parallelKey: null, have: 3, need: 17 },
			{ releaseKey: 'r-1994', sectionKey: 'sub', parallelKey: null, have: 1, need: 3 },
			{ releaseKey: 'r-1994', sectionKey: 'log', parallelKey: null, have: 1, need: 2 }
		]);
		expect(totalProgress(rows)).toEqual({ have: 5, need: 22 });
		expect(nearestToDone(rows)).toMatchObject({ sectionKey: 'log' });
	});

	test('as text', () => {
		const groups = missingList(release, slots, filling);
		expect(formatMissingText('Wanted', groups)).toBe(
			[
				'Wanted',
				'Base (3 of 17): 3, 5–10, 14–20',
				'Sub (1 of 3): 11, 13',
				'Log (1 of 2): "Fog, again"'
			].join('\n')
		);
		expect(formatMissingText('Wanted', [])).toBe('Wanted\nNothing is missing.');
	});

	test.each([
		[0, 0, 100],
		[0, 3, 0],
		[1, 3, 33],
		[239, 240, 99],
		[240, 240, 100]
	])('%i of %i is %i %%', (have, need, percent) => {
		expect(percentDone({ have, need })).toBe(percent);
	});

	test.each([
		['nothing begun', [{ have: 0, need: 3 }], null],
		['all complete', [{ have: 3, need: 3 }], null],
		[
			'fewest left, the larger of equals',
			[
				{ have: 1, need: 3 },
				{ have: 7, need: 9 },
				{ have: 1, need: 9 }
			],
			9
		]
	])('nearest to done: %s', (_, rows, need) => {
		expect(nearestToDone(rows)?.need ?? null).toBe(need);
	});
});

describe('foldRuns', () => {
	test.each([
		[['14', '20', '21', '22', '1', '2', '3'], '1–3, 14, 20–22'],
		[['7', '8'], '7, 8'],
		[['F1', 'F2', 'F3', '1', '2', '3'], '1–3, F1–F3'],
		[['1-1', '1-2', '1-3', '2-4'], '1-1–1-3, 2-4'],
		[['12', '12a', '13', '14'], '12, 12a, 13, 14'],
		[['9', '10', '11', '11'], '9–11'],
		[[], '']
	])('%j', (list, text) => {
		expect(foldRuns(list)).toBe(text);
	});

	// ● A range a–b counts b − a + 1 cards. Common practice, no source.
	test('for all sets of numbers, the folded runs count the same cards', () => {
		fc.assert(
			fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 1 }), (list) => {
				const counted = foldRuns(list.map(String))
					.split(', ')
					.flatMap((run) => {
						const [from = 0, to = from] = run.split('–').map(Number);
						return Array.from({ length: to - from + 1 }, (_, i) => from + i);
					});
				expect(counted).toEqual([...list].sort((a, b) => a - b));
			})
		);
	});
});

describe('the number wall', () => {
	const [numbering] = numberingsOf(release);
	if (!numbering) throw new RangeError('the sample has a numbering');
	const owned = new Map([
		['r-1994/base-1', 1],
		['r-1994/base-2', 3],
		['r-1994/base-12~ten', 1]
	]);

	test('tiles tell have, missing, spare and not needed, with subset and ladder', () => {
		const tiles = wallTiles(wallFaces(release, numbering, null), { owned });
		expect(tiles.map(({ state }) => state).slice(0, 3)).toEqual(['have', 'spare', 'missing']);
		expect(tiles[11]).toMatchObject({
			number: '12',
			subset: 'Sub',
			ladder: [
				{ key: 'r-1994/base-12', isVariant: false, owned: false },
				{ key: 'r-1994/base-12~brass', isVariant: false, owned: false },
				{ key: 'r-1994/base-12~ten', isVariant: false, owned: true }
			]
		});
		const inTen = wallTiles(wallFaces(release, numbering, 'ten'), { owned });
		expect(inTen.filter(({ state }) => state !== 'not-needed')).toHaveLength(3);
		const narrow = wallTiles(wallFaces(release, numbering, null), {
			owned,
			needed: new Set(['r-1994/base-3'])
		});
		expect(narrow.map(({ state }) => state).slice(0, 4)).toEqual([
			'spare',
			'spare',
			'missing',
			'not-needed'
		]);
	});

	test('a run of tiles is filled or emptied as a whole', () => {
		const [first, two, three, four] = wallTiles(wallFaces(release, numbering, null), { owned });
		if (!first || !two || !three || !four) throw new RangeError('the sample has four tiles');
		expect(fillTiles([first, two, three, four], true)).toEqual([
			{ version: 'r-1994/base-3', quantity: 1 },
			{ version: 'r-1994/base-4', quantity: 1 }
		]);
		expect(fillTiles([first, two, three], false)).toEqual([
			{ version: 'r-1994/base-1', quantity: 0 },
			{ version: 'r-1994/base-2', quantity: 0 }
		]);
		expect(stepTiles([two, three], -1)).toEqual([{ version: 'r-1994/base-2', quantity: 2 }]);
	});
});
