import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { spareCards } from './spare-cards.ts';
import { tradeOptions } from './trade-options.ts';
import { matchTrades, type TradeCard } from './match-trades.ts';

const cards = (prefix: string) =>
	fc
		.array(fc.record({ minor: fc.integer({ min: 0, max: 60 }), isFixed: fc.boolean() }), {
			maxLength: 5
		})
		.map((some) =>
			some.map(({ minor, isFixed }, i): TradeCard => ({
				...{ key: `${prefix}${i}`, minor },
				...(isFixed && i === 0 ? { isFixed } : {})
			}))
		);

/** Every part of both lists that keeps to the rules: how many cards, how far apart. */
function everyTrade(give: readonly TradeCard[], take: readonly TradeCard[], tolerance: number) {
	const all = [...give, ...take];
	const found: { count: number; off: number }[] = [];
	for (let some = 1; some < 2 ** all.length; some++) {
		const isIn = (i: number) => ((some >> i) & 1) === 1;
		if (all.some(({ isFixed }, i) => isFixed && !isIn(i))) continue;
		const off = all.reduce(
			(sum, { minor }, i) => sum + (isIn(i) ? (i < give.length ? minor : -minor) : 0),
			0
		);
		if (Math.abs(off) <= tolerance) {
			found.push({ count: all.filter((_, i) => isIn(i)).length, off: Math.abs(off) });
		}
	}
	return found;
}

describe('matchTrades', () => {
	test('for all lists it is the most cards, of those the most even, by trying all', () => {
		fc.assert(
			fc.property(
				cards('g'),
				cards('t'),
				fc.integer({ min: 0, max: 30 }),
				(give, take, tolerance) => {
					const { best, others, unitMinor } = matchTrades(give, take, tolerance);
					const all = everyTrade(give, take, tolerance);
					expect(unitMinor).toBe(1);
					const most = Math.max(0, ...all.map(({ count }) => count));
					if (most === 0) {
						expect(best).toBeNull();
						return;
					}
					const off = Math.min(
						...all.filter(({ count }) => count === most).map((trade) => trade.off)
					);
					expect((best?.give.length ?? 0) + (best?.take.length ?? 0)).toBe(most);
					expect(Math.abs((best?.giveMinor ?? 0) - (best?.takeMinor ?? 0))).toBe(off);
					for (const { trade, why } of others) {
						const apart = Math.abs(trade.giveMinor - trade.takeMinor);
						expect(apart).toBeLessThanOrEqual(tolerance);
						if (why === 'most even of all')
							expect(apart).toBe(Math.min(...all.map((each) => each.off)));
					}
				}
			)
		);
	});

	test('dear lists are reckoned in larger units, and say so; a worth below nothing is refused', () => {
		const dear = (key: string) => ({ key, minor: 900_000 });
		const { best, unitMinor } = matchTrades([dear('a')], [dear('b')], 0);
		expect(unitMinor).toBe(5);
		expect(best).toMatchObject({ give: ['a'], take: ['b'] });
		expect(() => matchTrades([{ key: 'a', minor: -1 }], [], 0)).toThrow(RangeError);
		expect(matchTrades([], [], 100).best).toBeNull();
	});
});

test('what no goal needs is spare: shared copies count once, kept ones add up (against placing card by card)', () => {
	const goalsDrawn = fc.array(
		fc.record({
			keepsOwn: fc.boolean(),
			uses: fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 6 })
		}),
		{ maxLength: 4 }
	);
	fc.assert(
		fc.property(goalsDrawn, fc.nat(4), (drawn, more) => {
			const copies = ['a', 'b', 'c'].map((key, i) => ({ key, quantity: 1 + ((more + i) % 5) }));
			const left = spareCards(
				copies,
				drawn.map(({ keepsOwn, uses }) => ({
					keepsOwn,
					placements: uses.map((copy, i) => ({ copy, slot: String(i) }))
				}))
			);
			for (const { key, quantity } of copies) {
				const count = (some: typeof drawn) =>
					some.map(({ uses }) => uses.filter((use) => use === key).length);
				const needed = Math.max(
					0,
					...count(drawn.filter(({ keepsOwn }) => !keepsOwn)),
					count(drawn.filter(({ keepsOwn }) => keepsOwn)).reduce((a, b) => a + b, 0)
				);
				expect(left.get(key) ?? 0).toBe(Math.max(0, quantity - needed));
			}
		})
	);
});

describe('what each side could give', () => {
	const maps = (give: Record<string, number>, want: Record<string, number> = {}) => ({
		...{ give: new Map(Object.entries(give)), want: new Map(Object.entries(want)) }
	});
	const keys = (some: readonly { readonly key: string }[]) => some.map(({ key }) => key);
	test.each([
		[
			'goals share a card: it is taken once',
			{ a: 3 },
			[
				['a', 1],
				['a b', 1]
			],
			['take a 0']
		],
		[
			'as often as one of them lacks it',
			{ a: 3 },
			[
				['a', 1],
				['a', 2]
			],
			['take a 0', 'take a 1']
		],
		['any version that would do, once', { b: 2, a: 1 }, [['a b', 2]], ['take a 0', 'take b 0']],
		['no more than there are', { a: 1 }, [['a', 4]], ['take a 0']],
		['what is not lacked is not taken', { c: 1 }, [['a', 1]], []]
	] as const)('%s', (_, give, wants, expected) => {
		const options = tradeOptions(
			maps({ ...give }),
			[],
			wants.map(([versions, quantity]) => ({ versions: versions.split(' '), quantity }))
		);
		expect(keys(options.take)).toEqual(expected);
	});
	test('spares go to whom wants them, the first first, and each card has a name of its own', () => {
		const spares = [
			{ copy: '7', version: 'a', quantity: 2 },
			{ copy: '8', version: 'a', quantity: 5 },
			{ copy: '9', version: 'b', quantity: 1 }
		];
		const { give } = tradeOptions(maps({}, { a: 3, c: 1 }), spares, []);
		expect(keys(give)).toEqual(['give 7 0', 'give 7 1', 'give 8 0']);
	});
});
