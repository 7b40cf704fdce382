import fc from 'fast-check';
import jstat from 'jstat';
import { expect, test } from 'vitest';
import { oddsFit } from './odds-fit.ts';

const line = (packs: number, found: number, stated = 6, key = 'a') => ({
	...{ key, packs, found, stated: { cards: 1, packs: stated } }
});

test.each<[string, number, number, number, string]>([
	['a box of 36 with six at 1:6', 36, 6, 6, 'too few packs'],
	['none in 20 packs at 1:24 says nothing', 20, 0, 24, 'too few packs'],
	['none in 100 packs at 1:6', 100, 0, 6, 'fewer than stated'],
	['a card in every pack at 1:6', 30, 30, 6, 'more than stated'],
	['as many as promised in a thousand packs', 1000, 170, 6, 'as stated'],
	['no packs at all', 0, 0, 6, 'too few packs']
])('%s', (_, packs, found, stated, verdict) => {
	expect(oddsFit([line(packs, found, stated)])[0]?.verdict).toBe(verdict);
});

test('chance and interval, against a statistics package', () => {
	fc.assert(
		fc.property(
			fc.integer({ min: 1, max: 150 }),
			fc.double({ min: 0, max: 1, noNaN: true }),
			fc.integer({ min: 1, max: 40 }),
			(packs, part, stated) => {
				const found = Math.round(part * packs);
				const [fit] = oddsFit([line(packs, found, stated)]);
				const pdf = (k: number) => jstat.binomial.pdf(k, packs, 1 / stated);
				let right = 0;
				for (let k = 0; k <= packs; k++) if (pdf(k) <= pdf(found) * (1 + 1e-7)) right += pdf(k);
				expect(fit?.chance).toBeCloseTo(Math.min(1, right), 8);
				// Clopper and Pearson 1934: quantiles of beta laws.
				const low = found === 0 ? 0 : jstat.beta.inv(0.025, found, packs - found + 1);
				const high = found === packs ? 1 : jstat.beta.inv(0.975, found + 1, packs - found);
				expect(fit?.leastRate).toBeCloseTo(low, 5);
				expect(fit?.mostRate).toBeCloseTo(high, 5);
			}
		),
		{ numRuns: 60 }
	);
});

test('among many groups the odd one out is not doubted for chance alone', () => {
	// One in twenty is as unlikely as this by chance.
	const off = line(60, 4, 6, 'off');
	const [alone] = oddsFit([off]);
	expect(alone?.chance).toBeGreaterThan(0.01);
	expect(alone?.chance).toBeLessThan(0.06);
	const many = [off, ...Array.from({ length: 19 }, (_, i) => line(60, 10, 6, `g${i}`))];
	expect(oddsFit(many)[0]?.verdict).not.toBe('fewer than stated');
});

test('half the odds are told from those stated with as many packs as it says', () => {
	const [fit] = oddsFit([line(0, 0, 6)]);
	const packs = fit?.packsToTell ?? 0;
	const told = (n: number) => {
		let all = 0;
		for (let found = 0; found <= n; found++) {
			const [each] = oddsFit([line(n, found, 6)]);
			if (each?.verdict === 'fewer than stated') all += jstat.binomial.pdf(found, n, 1 / 12);
		}
		return all;
	};
	expect(told(packs)).toBeGreaterThan(0.75);
	expect(told(Math.floor(packs * 0.8))).toBeLessThan(0.8);
});

test('what cannot be is refused', () => {
	expect(() => oddsFit([line(3, 4)])).toThrow(RangeError);
	expect(() => oddsFit([line(3, 1, 0.5)])).toThrow(RangeError);
	expect(oddsFit([])).toEqual([]);
});
