import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../../checklist/draft/resolve-release.ts';
import type { Release } from '../../checklist/release.ts';
import { cardsOfRun } from './cards-of-run.ts';
import { dealSets } from './deal-sets.ts';
import { homeFinder, type HomeDivider } from './find-home.ts';
import { DOUBLES, nameRun, runKeyOfAnySet, runOrder, wholeRun, type Run } from './run.ts';
import { rowId } from '../../row-id.ts';

function sample(): Release {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				cards: [1, 2, 3, 4, 5].map((n) => ({ number: String(n), title: `Card ${n}` }))
			},
			{ name: 'Dogs', kind: 'subset', numberedIn: 'base', cards: [{ number: '6', title: 'Dog' }] },
			{ name: 'Fresnel', kind: 'insert', cards: [{ number: 'F1', title: 'Lens' }] },
			{ name: 'Abroad', kind: 'insert', cards: [], edition: { of: ['base'], without: ['5'] } }
		],
		parallels: [{ name: 'Brass', runs: [{ sections: ['dogs'] }, { cards: ['1', '2'] }] }]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
const run = (section: string | null, parallel: string | null = null, set = 1): Run => ({
	release: 'r',
	section,
	parallel,
	set
});

describe('a run', () => {
	test.each([
		['the base run has its subsets in its numbering', run('base'), '1 2 3 4 5 6'],
		['a finish has the cards that were made in it', run('base', 'brass'), '1 2 6'],
		['an insert is a run of its own', run('fresnel'), 'F1'],
		['an edition has the cards that it repeats', run('abroad'), '1 2 3 4'],
		['a finish that is not there has none', run('base', 'tin'), ''],
		['a whole release has all', wholeRun('r'), '1 2 3 4 5 6 F1 1 2 3 4']
	])('%s', (_, which, numbers) => {
		expect(
			cardsOfRun(sample(), which)
				.map(({ card }) => card.number)
				.join(' ')
		).toBe(numbers);
	});

	test('is named by what parts it from the first, and stands in checklist order, doubles last', () => {
		const runs = [
			run('base'),
			run('fresnel'),
			run('base', 'brass'),
			run('base', null, 2),
			run('fresnel', 'brass', 2),
			run('base', null, DOUBLES)
		];
		expect(runs.map((each) => nameRun(each, sample()))).toEqual([
			'',
			'Fresnel',
			'Brass',
			'set 2',
			'Fresnel, Brass, set 2',
			'doubles'
		]);
		const order = runs.map((each) => runOrder(each, sample()));
		expect([...order].sort()).toEqual(order);
	});
});

test('for all stacks: each set gets a version once, the best first, and no card is lost', () => {
	const copy = fc.record({
		version: fc.constantFrom('a', 'b'),
		quantity: fc.integer({ min: 1, max: 4 }),
		rank: fc.integer({ min: 0, max: 3 })
	});
	fc.assert(
		fc.property(
			fc.array(copy, { maxLength: 6 }),
			fc.integer({ min: 0, max: 3 }),
			fc.integer({ min: 1, max: 4 }),
			(stack, standing, sets) => {
				const copies = stack.map((piece, i) => ({ ...piece, copyId: rowId<'copies'>(i) }));
				const dealt = dealSets(copies, new Map([['a', standing]]), sets);
				for (const version of ['a', 'b']) {
					// By brute force: card by card, the best first, into the first set that lacks it.
					const cards = copies
						.filter((piece) => piece.version === version)
						.sort((a, b) => b.rank - a.rank || a.copyId - b.copyId)
						.flatMap(({ copyId, quantity }) => Array<number>(quantity).fill(copyId));
					const free = Array.from({ length: sets }, (_, i) => i + 1).slice(
						version === 'a' ? standing : 0
					);
					const expected = cards.map((copyId) => `${copyId} ${free.shift() ?? DOUBLES}`);
					const given = dealt
						.filter(({ copyId }) => copies[copyId]?.version === version)
						.flatMap(({ copyId, set, quantity }) =>
							Array<string>(quantity).fill(`${copyId} ${set}`)
						);
					expect(given).toEqual(expected);
				}
			}
		)
	);
});

describe('the home of a run', () => {
	const divider = (id: number, of: Run | null, straysOf: string | null = null): HomeDivider => ({
		...{ id, use: 'sets', run: of, straysOf }
	});
	const dividers = [
		divider(1, run('base')),
		divider(2, run('base', null, 2)),
		divider(3, null, '1994'),
		divider(4, { ...wholeRun('s') }),
		divider(5, null)
	];
	const among = new Map([
		[5, new Set([runKeyOfAnySet(run('fresnel'))])],
		[1, new Set([runKeyOfAnySet(run('base', 'brass'))])]
	]);
	const find = homeFinder(dividers, among);
	test.each([
		['its own divider', run('base'), true, [1]],
		['set 2 has one of its own', run('base', null, 2), true, [2]],
		['cards that stand where a person put them draw their like', run('fresnel'), true, [5]],
		[
			'what stood in the base run before runs were told apart goes on there',
			run('base', 'brass'),
			true,
			[1]
		],
		['a double does not go where its set stands', run('base', null, DOUBLES), false, []],
		['a few of them are strays', run('base', null, DOUBLES), true, [3]],
		['an unparted release takes all its runs', { ...run('base'), release: 's' }, false, [4]],
		['many cards of a new run have none', run('abroad'), false, []],
		['a few are strays', run('abroad'), true, [3]]
	])('%s', (_, which, isFew, ids) => {
		const found = find({ run: which, use: 'sets', year: '1994', isFew });
		expect(found.map(({ id }) => id)).toEqual(ids);
		expect(find({ run: which, use: 'graded', year: '1994', isFew })).toEqual([]);
	});
});
