import fc from 'fast-check';
import { expect, test } from 'vitest';
import { planMoves, type Lying } from './plan-moves.ts';
import { settleRuns } from './settle-runs.ts';

const pocketsOf = (name: string, count: number) =>
	Array.from({ length: count }, (_, i) => `${name}${i}`);

/** Every way to choose so many of some places, in order. */
function waysToChoose(places: readonly string[], count: number): string[][] {
	if (count === 0) return [[]];
	return places.flatMap((first, i) =>
		waysToChoose(places.slice(i + 1), count - 1).map((rest) => [first, ...rest])
	);
}

/** Two sections with blanks, whose cards lie anywhere in the pockets of both, or in none. */
const sections = fc
	.record({
		cards: fc.tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 0, max: 3 })),
		blanks: fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 2 }))
	})
	.chain(({ cards, blanks }) => {
		const runs = cards.map((count, i) => ({
			items: Array.from({ length: count }, (_, n) => `${'ab'[i]}#${n}`),
			pockets: pocketsOf('ab'[i] ?? '', count + (blanks[i] ?? 0))
		}));
		const items = runs.flatMap((run) => run.items);
		const pockets = runs.flatMap((run) => run.pockets);
		return fc.record({
			runs: fc.constant(runs),
			now: fc
				.tuple(
					fc.shuffledSubarray(pockets, { minLength: items.length }),
					fc.array(fc.integer({ min: 0, max: 5 }), {
						minLength: items.length,
						maxLength: items.length
					})
				)
				.map(([at, away]) =>
					items.flatMap((item, i): Lying[] => {
						const pocket = at[i];
						return pocket === undefined || away[i] === 0 ? [] : [{ item, pocket }];
					})
				)
		});
	});

test('for all small sections: no places for the blanks take fewer steps, rings reckoned in (brute force)', () => {
	fc.assert(
		fc.property(sections, ({ runs, now }) => {
			const target = settleRuns(runs, now);
			for (const { items, pockets } of runs) {
				const at = items.map((item) =>
					pockets.indexOf(target.find((card) => card.item === item)?.pocket ?? '')
				);
				expect(at.every((place, i) => place > (at[i - 1] ?? -1))).toBe(true);
			}
			const ways = runs.map(({ items, pockets }) =>
				waysToChoose(pockets, items.length).map((chosen) =>
					chosen.map((pocket, i): Lying => ({ item: items[i] ?? '', pocket }))
				)
			);
			const fewest = Math.min(
				...(ways[0] ?? []).flatMap((first) =>
					(ways[1] ?? [[]]).map((second) => planMoves(now, [...first, ...second]).steps.length)
				)
			);
			expect(planMoves(now, target).steps.length).toBe(fewest);
		}),
		{ numRuns: Number(process.env.RUNS ?? 400) }
	);
});

test.each<[string, string, string[], string[]]>([
	// Two cards that changed places: with a blank beside them the second goes on to it, and no ring is left.
	['a blank behind opens the ring', 'ba.', ['a', 'b'], ['1', '2']],
	['no blank: the ring stays', 'ba', ['a', 'b'], ['0', '1']]
])('%s', (_, before, items, wanted) => {
	const now = [...before].flatMap((item, i) => (item === '.' ? [] : [{ item, pocket: String(i) }]));
	const pockets = [...before].map((_, i) => String(i));
	expect(settleRuns([{ items, pockets }], now).map(({ pocket }) => pocket)).toEqual(wanted);
});
