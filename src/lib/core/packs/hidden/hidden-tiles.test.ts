import fc from 'fast-check';
import { sum } from 'd3-array';
import { describe, expect, test } from 'vitest';
import { hiddenTiles, type HidingCard } from './hidden-tiles.ts';

const harmonic = (n: number) => sum(Array.from({ length: n }, (_, i) => 1 / (i + 1)));
const card = (tiles: number, missing = tiles, unopened = 0): HidingCard => ({
	...{ tiles, missing, unopened }
});

/** Copies that come at random, followed state by state: until the first prize, or until all. */
function everyState(cards: readonly HidingCard[], isOver: (missing: readonly number[]) => boolean) {
	const known = new Map<string, number>();
	const of = (missing: readonly number[]): number => {
		if (isOver(missing)) return 0;
		const key = missing.join();
		const found = known.get(key);
		if (found !== undefined) return found;
		let [stays, rest] = [0, 0];
		for (const [i, { tiles }] of cards.entries()) {
			const fresh = (missing[i] ?? 0) / tiles / cards.length;
			stays += 1 / cards.length - fresh;
			if (fresh > 0) rest += fresh * of(missing.map((count, j) => (j === i ? count - 1 : count)));
		}
		const copies = (1 + rest) / (1 - stays);
		known.set(key, copies);
		return copies;
	};
	return of(cards.map(({ missing }) => missing));
}

describe('hidden tiles', () => {
	// Feller, An Introduction to Probability Theory and Its Applications, vol. 1, ch. IX: n·H(n).
	test.each([1, 2, 4, 9])('a full set of %s tiles', (tiles) => {
		const { cards, nearest, random } = hiddenTiles([card(tiles)]);
		expect(cards[0]?.copies).toBeCloseTo(tiles * harmonic(tiles), 10);
		expect(nearest?.card).toBe(0);
		expect(random.first).toBeCloseTo(tiles * harmonic(tiles), 6);
		expect(random.all).toBeCloseTo(tiles * harmonic(tiles), 6);
	});

	test('of ten cards with four tiles all at random are forty coupons', () => {
		const { random, chosen } = hiddenTiles(Array.from({ length: 10 }, () => card(4)));
		expect(random.all).toBeCloseTo(40 * harmonic(40), 5);
		expect(chosen.all).toBeCloseTo((10 * 4 * 25) / 12, 10);
		expect(chosen.first).toBeCloseTo(25 / 3, 10);
	});

	test('for all small sets it is what following every state gives', () => {
		const drawn = fc
			.record({ tiles: fc.integer({ min: 1, max: 4 }), have: fc.integer({ min: 0, max: 4 }) })
			.map(({ tiles, have }) => card(tiles, Math.max(0, tiles - have)));
		fc.assert(
			fc.property(fc.array(drawn, { minLength: 1, maxLength: 4 }), (cards) => {
				const open = cards.some(({ missing }) => missing > 0);
				const { random } = hiddenTiles(cards);
				const earned = cards.map(({ missing }) => missing === 0);
				const first = everyState(cards, (missing) =>
					missing.some((count, i) => count === 0 && !earned[i])
				);
				const all = everyState(cards, (missing) => missing.every((count) => count === 0));
				expect(random.first).toBeCloseTo(open ? first : 0, 5);
				expect(random.all).toBeCloseTo(all, 5);
			}),
			{ numRuns: 60 }
		);
	});

	test('the copies at hand: every way in which they may fall', () => {
		// Three copies of a card with two tiles, one of them missing: 1 − 1/8; two of another with both missing: 1/2.
		const { cards, chanceOfPrize, prizes, nearest } = hiddenTiles([
			...[card(2, 1, 3), card(2, 2, 2), card(4, 4, 3), card(3, 0, 1)]
		]);
		expect(cards.map(({ chance }) => chance)).toEqual([7 / 8, 1 / 2, 0, 1]);
		expect(chanceOfPrize).toBeCloseTo(1 - (1 / 8) * (1 / 2), 12);
		expect(prizes).toBeCloseTo(7 / 8 + 1 / 2, 12);
		expect(nearest).toEqual({ card: 0, copies: 2 });
	});

	test('nothing missing, no cards, and what cannot be', () => {
		const none = { cards: [], nearest: null, chanceOfPrize: 0, prizes: 0 };
		const nothing = { chosen: { first: 0, all: 0 }, random: { first: 0, all: 0 } };
		expect(hiddenTiles([])).toEqual({ ...none, ...nothing });
		expect(hiddenTiles([card(4, 0, 2)])).toMatchObject({ nearest: null, ...nothing });
		expect(() => hiddenTiles([card(4, 5)])).toThrow('5 of 4 tiles missing');
	});
});
