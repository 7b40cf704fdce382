import { describe, expect, test } from 'vitest';
import { readOutline } from '../checklist/outline/read-outline.ts';
import { fillSlots } from './fill-slots.ts';
import { newlyKnown } from './newly-known.ts';
import { nextRings } from './next-ring.ts';
import { progressBy } from './progress-by.ts';
import { scopeGoal } from './scope-goal.ts';

const { release, problems } = readOutline(
	[
		'release Lamps, M, 1994',
		'base Base: 1-6',
		'series Series 1: 1-3',
		'series Series 2: 4-6',
		'subset Dogs in Base: 6',
		'insert Ink: K1-K2',
		'parallel Red: Base',
		'image variation 2: dusk',
		'3: back, two printings',
		'tag role = keeper: 1-2',
		'tag role = pilot: 2-3'
	].join('\n')
);

test('the sample is right', () => expect(problems).toEqual([]));

describe('progress in other ways', () => {
	test('by series, tag and set; a card with two words counts in both', () => {
		const slots = scopeGoal(release, { preset: 'complete', sets: 2 });
		const copies = ['1', '2', '4'].map((number) => ({
			key: number,
			version: `lamps-1994/base-${number}`,
			quantity: number === '1' ? 2 : 1
		}));
		const divisions = progressBy([release], slots, fillSlots(slots, copies));
		const told = divisions.map(
			({ by, parts }) =>
				`${by}: ${parts.map(({ name, have, need }) => `${name} ${have}/${need}`).join(', ')}`
		);
		expect(told).toEqual([
			'Series: Series 1 3/6, Series 2 1/6',
			'role: keeper 3/4, pilot 1/4, other 1/6',
			'Set: Set 1 3/6, Set 2 1/6'
		]);
	});

	test('a way that parts nothing is none', () => {
		const slots = scopeGoal(release, { preset: 'with-inserts', kinds: ['insert'] });
		expect(progressBy([release], slots, fillSlots(slots, []))).toEqual([]);
		expect(progressBy([], [], fillSlots([], []))).toEqual([]);
	});
});

describe('the next ring', () => {
	test.each([
		[
			{ preset: 'base' },
			['subsets 1', 'inserts 2', 'variations 1', 'errors 1', 'parallels 5', 'another set 5']
		],
		[
			{ preset: 'complete' },
			['inserts 2', 'variations 1', 'errors 1', 'parallels 5', 'another set 6']
		],
		[{ preset: 'strict-master' }, ['another set 15']],
		[
			{ preset: 'base', sets: 3 },
			['subsets 3', 'inserts 6', 'variations 3', 'errors 3', 'parallels 15', 'another set 5']
		],
		[
			{ preset: 'base', sets: 100 },
			['subsets 100', 'inserts 200', 'variations 100', 'errors 100', 'parallels 500']
		]
	] as const)('of %j', (choice, rings) => {
		const found = nextRings([release], choice);
		expect(found.map(({ key, more }) => `${key} ${more}`)).toEqual(rings);
		for (const ring of found) {
			expect(scopeGoal(release, ring.rules)).toHaveLength(
				scopeGoal(release, choice).length + ring.more
			);
		}
	});
});

describe('what became known', () => {
	const history = [
		{ day: '1996-10-01', have: 10, need: 300 },
		{ day: '1996-10-02', have: 200, need: 240 },
		{ day: '1996-10-05', have: 240, need: 240 }
	];
	const grown = { day: '1996-10-06', have: 240, need: 241 };
	test.each([
		['a variant turned up', 241, '1996-10-02', { slots: 1, since: '1996-10-05' }],
		['other rules before count for nothing', 240, '1996-10-02', null],
		['fewer than before', 239, '1996-10-02', null],
		['two turned up, one after the other', 242, '1996-10-02', { slots: 2, since: '1996-10-05' }],
		['no day yet', 241, '1996-10-06', null]
	] as const)('%s', (_, need, decidedOn, told) => {
		expect(newlyKnown(history, need, decidedOn)).toEqual(told);
		// A day on which some of it was known already changes nothing.
		if (told?.slots === 2) expect(newlyKnown([...history, grown], need, decidedOn)).toEqual(told);
	});
});
