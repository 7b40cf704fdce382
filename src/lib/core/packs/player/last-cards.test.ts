import { sum } from 'd3-array';
import { describe, expect, test } from 'vitest';
import { followMissing } from '../odds/missing-chain.ts';
import { lastCards } from './last-cards.ts';

const harmonic = (n: number) => sum(Array.from({ length: n }, (_, i) => 1 / (i + 1)));

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
			...{ cards: 50, owned: 0, perPack: 1 }
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
		const asked = { cards: 30, owned: 4, perPack: 5 };
		const { stages, curve } = lastCards(asked);
		expect(curve[0]).toBe(26);
		expect(curve[1]).toBeCloseTo(26 * (1 - 5 / 30), 10);
		const { complete } = followMissing(30, 26, [{ count: 5, chance: 1 }], 400);
		expect(stages.at(-1)?.packs).toBeCloseTo(
			sum(complete, (chance) => 1 - chance),
			8
		);
		for (const [i, { packs }] of stages.entries()) {
			expect(packs).toBeGreaterThanOrEqual(stages[i - 1]?.packs ?? 0);
		}
	});

	test('nothing missing, one card, and what cannot be', () => {
		expect(lastCards({ cards: 9, owned: 9, perPack: 3 })).toMatchObject({
			...{ all: 0, least: 0, lastPart: 0, stages: [{ missing: 0, packs: 0 }] }
		});
		expect(lastCards({ cards: 1, owned: 0, perPack: 1 })).toMatchObject({ all: 1, lastPart: 1 });
		expect(() => lastCards({ cards: 3, owned: 4, perPack: 1 })).toThrow('4 of 3 owned');
		expect(() => lastCards({ cards: 3, owned: 0, perPack: 4 })).toThrow('4 a pack');
	});
});
