import jstat from 'jstat';
import { describe, expect, test } from 'vitest';
import {
	binomial,
	chanceAt,
	chanceWithin,
	hypergeometric,
	meanOf,
	quantileOf
} from '../../chance/binomial.ts';
import { completeInDraws, expectedDraws } from './complete-in-draws.ts';
import { expectedPacks, followMissing } from './missing-chain.ts';

const SINGLY = [{ count: 1, chance: 1 }];
const choose = (n: number, k: number): number => {
	let found = 1;
	for (let i = 0; i < k; i++) found = (found * (n - i)) / (i + 1);
	return k > n ? 0 : found;
};

// W. Feller, An Introduction to Probability Theory and Its Applications, vol. 1, ch. IX.3: n·(1 + 1/2 + … + 1/n).
test.each([1, 2, 10, 50, 150, 1000])('all of %i cards, one a pack: n·H(n)', (n) => {
	let harmonic = 0;
	for (let i = n; i >= 1; i--) harmonic += 1 / i;
	expect(expectedPacks(n, n, SINGLY) / (n * harmonic)).toBeCloseTo(1, 12);
	expect(expectedDraws([{ cards: n, weight: 3, lacking: 1 }]) / (n * harmonic)).toBeCloseTo(1, 8);
});

// W. Stadje, The collector's problem with group drawings, 1990 (from memory): inclusion and exclusion over which cards
// are missing; it cancels from some 50 cards on, so only small sets are held against it.
test.each([
	[5, 2],
	[10, 3],
	[12, 9],
	[16, 4],
	[20, 5]
])('all of %i cards, %i different a pack: group drawings', (n, k) => {
	let right = 0;
	for (let j = 1; j <= n; j++) {
		right += ((-1) ** (j + 1) * choose(n, j)) / (1 - choose(n - j, k) / choose(n, k));
	}
	expect(expectedPacks(n, n, [{ count: k, chance: 1 }])).toBeCloseTo(right, 7);
	const m = 6;
	let complete = 0;
	for (let j = 0; j <= n; j++) {
		complete += (-1) ** j * choose(n, j) * (choose(n - j, k) / choose(n, k)) ** m;
	}
	const course = followMissing(n, n, [{ count: k, chance: 1 }], m);
	expect(course.complete[m]).toBeCloseTo(complete, 9);
});

// P. Flajolet, D. Gardy, L. Thimonier, Birthday paradox, coupon collectors, caching algorithms and self-organizing
// search, 1992 (from memory): Σ over parts of the cards, (−1)^(|part|+1) / p(part).
test('unequal odds: the sum over all parts of the cards', () => {
	const weights = [0.4, 0.2, 0.15, 0.1, 0.1, 0.04, 0.01];
	let right = 0;
	for (let part = 1; part < 2 ** weights.length; part++) {
		const some = weights.filter((_, i) => (part >> i) & 1);
		right += (-1) ** (some.length + 1) / some.reduce((sum, p) => sum + p, 0);
	}
	const classes = weights.map((weight) => ({ cards: 1, weight, lacking: 1 }));
	expect(expectedDraws(classes) / right).toBeCloseTo(1, 8);
	// The same from the chances draw by draw.
	const complete = completeInDraws(classes, 4000);
	const sum = complete.reduce((all, chance) => all + 1 - chance, 0);
	expect(sum / right).toBeCloseTo(1, 9);
});

// D. J. Newman and L. Shepp, The double dixie cup problem, 1960 (from memory): two sets of two cards take 5.5 draws.
test('two sets of two cards take 5.5 draws', () => {
	expect(expectedDraws([{ cards: 2, weight: 1, lacking: 2 }])).toBeCloseTo(5.5, 8);
});

describe('against a statistics package (jstat, which keeps its tails)', () => {
	test.each([
		[1, 0.5],
		[36, 1 / 6],
		[100, 1 / 3],
		[1000, 0.001],
		[600, 0.97]
	])('binomial(%i, %d)', (n, p) => {
		const found = binomial(n, p);
		for (let k = 0; k <= n; k++) {
			const right = jstat.binomial.pdf(k, n, p);
			expect(chanceAt(found, k)).toBeCloseTo(right, 10);
			if (right > 1e-12) expect(chanceAt(found, k) / right).toBeCloseTo(1, 6);
		}
		expect(meanOf(found)).toBeCloseTo(n * p, 8);
		for (const level of [0.05, 0.5, 0.95]) {
			const at = quantileOf(found, level);
			expect(jstat.binomial.cdf(at, n, p)).toBeGreaterThan(level - 1e-9);
			if (at > 0) expect(jstat.binomial.cdf(at - 1, n, p)).toBeLessThan(level + 1e-9);
		}
	});

	test.each([
		[60, 12, 9],
		[180, 40, 8],
		[10, 10, 4],
		[52, 0, 5]
	])('hypergeometric(%i, %i, %i)', (n, marked, k) => {
		const found = hypergeometric(n, marked, k);
		for (let h = 0; h <= k; h++) {
			const right = (choose(marked, h) * choose(n - marked, k - h)) / choose(n, k);
			expect(chanceAt(found, h)).toBeCloseTo(right, 12);
			if (marked > 0 && marked < n) {
				expect(chanceAt(found, h)).toBeCloseTo(jstat.hypgeom.pdf(h, n, marked, k), 8);
			}
		}
		expect(chanceWithin(found, 0, k)).toBeCloseTo(1, 12);
	});

	test('what cannot be is refused; the ends are certain', () => {
		for (const [n, p] of [
			[-1, 0.5],
			[1.5, 0.5],
			[3, 1.1],
			[3, NaN]
		]) {
			expect(() => binomial(n ?? 0, p ?? 0)).toThrow(RangeError);
		}
		expect(() => hypergeometric(3, 4, 1)).toThrow(RangeError);
		expect(chanceAt(binomial(5, 0), 0)).toBe(1);
		expect(chanceAt(binomial(5, 1), 5)).toBe(1);
	});
});
