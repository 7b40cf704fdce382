import { mean, sum } from 'd3-array';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, test } from 'vitest';
import { followMissing } from '../odds/missing-chain.ts';
import { lastCards } from './last-cards.ts';
import { playPacks } from './play-packs.ts';

const harmonic = (n: number) => sum(Array.from({ length: n }, (_, i) => 1 / (i + 1)));

const singly = [{ count: 1, chance: 1 }];

describe('why the last cards cost most', () => {
	// Feller, vol. 1, ch. IX: from j missing to the next takes n/j, so n·(H(n) − H(j)) until j are missing.
	test('one card a pack, from nothing', () => {
		const {
			all,
			beforeLast,
			stages,
			lastCards: last,
			lastPart,
			least
		} = lastCards({
			...{ cards: 50, owned: 0, draws: singly }
		});
		expect(all).toBeCloseTo(50 * harmonic(50), 8);
		expect(last).toBe(5);
		expect(beforeLast).toBeCloseTo(50 * (harmonic(50) - harmonic(5)), 8);
		expect(lastPart).toBeCloseTo(harmonic(5) / harmonic(50), 8);
		expect(least).toBe(50);
		expect(stages.map(({ missing }) => missing)).toEqual([50, 25, 12, 6, 3, 2, 1, 0]);
		expect(stages.at(-1)?.packs).toBeCloseTo(all, 10);
	});

	test('several a pack: the chances that so many are missing still, added up pack by pack', () => {
		const draws = [{ count: 5, chance: 1 }];
		const asked = { cards: 30, owned: 4, draws };
		const { stages, curve } = lastCards(asked);
		expect(curve[0]).toEqual({ packs: 0, missing: 26 });
		expect(curve[1]?.missing).toBeCloseTo(26 * (1 - 5 / 30), 10);
		const { complete, missing } = followMissing(30, 26, draws, 400);
		for (const point of curve) expect(point.missing).toBeCloseTo(missing[point.packs] ?? NaN, 8);
		expect(stages.at(-1)?.packs).toBeCloseTo(
			sum(complete, (chance) => 1 - chance),
			8
		);
		for (const [i, { packs }] of stages.entries()) {
			expect(packs).toBeGreaterThanOrEqual(stages[i - 1]?.packs ?? 0);
		}
	});

	test('nothing missing, one card, and what cannot be', () => {
		expect(lastCards({ cards: 9, owned: 9, draws: [{ count: 3, chance: 1 }] })).toMatchObject({
			...{ all: 0, least: 0, lastPart: 0, stages: [{ missing: 0, packs: 0 }] }
		});
		expect(lastCards({ cards: 1, owned: 0, draws: singly })).toMatchObject({ all: 1, lastPart: 1 });
		expect(() => lastCards({ cards: 3, owned: 4, draws: singly })).toThrow('4 of 3 owned');
		expect(() => lastCards({ cards: 3, owned: 0, draws: [{ count: 4, chance: 1 }] })).toThrow(
			'4 a pack'
		);
	});

	test.each([
		[{ cards: 20, owned: 3, draws: singly }],
		[{ cards: 24, owned: 0, draws: [{ count: 5, chance: 1 }] }],
		[
			{
				cards: 6,
				owned: 1,
				draws: [
					{ count: 1, chance: 1 / 6 },
					{ count: 0, chance: 5 / 6 }
				]
			}
		]
	])('played packs end where the formula says, within four standard errors: %j', (asked) => {
		const generator = xoroshiro128plus(7);
		const random = () => uniformFloat64(generator);
		const ends = Array.from({ length: 3000 }, () => playPacks(asked, random, 1e6).length - 1);
		const { all, least } = lastCards(asked);
		const average = mean(ends) ?? NaN;
		const error = Math.sqrt((mean(ends, (end) => (end - average) ** 2) ?? NaN) / ends.length);
		expect(Math.abs(average - all)).toBeLessThan(4 * error);
		expect(all).toBeGreaterThanOrEqual(least);
	});

	test('a game ends with the packs that there are', () => {
		const asked = { cards: 5, owned: 0, draws: singly };
		expect(playPacks(asked, () => 0, 3)).toEqual([5, 4, 3, 2]);
		expect(playPacks(asked, () => 0.999, 2)).toEqual([5, 4, 4]);
		expect(playPacks({ ...asked, owned: 5 }, () => 0, 3)).toEqual([0]);
	});
});
