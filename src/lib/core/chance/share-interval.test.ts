import fc from 'fast-check';
import jstat from 'jstat';
import { expect, test } from 'vitest';
import { shareInterval } from './share-interval.ts';

test('for all counts: as jstat has it (beta quantiles; Clopper and Pearson 1934)', () => {
	const tries = fc.oneof(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 61, max: 50_000 }));
	fc.assert(
		fc.property(
			tries,
			fc.double({ min: 0, max: 1, noNaN: true }),
			fc.constantFrom(0.5, 0.95, 0.9999),
			(n, part, confidence) => {
				const found = Math.round(n * part);
				const tail = (1 - confidence) / 2;
				const { low, high } = shareInterval(found, n, confidence);
				expect(low).toBeCloseTo(found === 0 ? 0 : jstat.beta.inv(tail, found, n - found + 1), 6);
				expect(high).toBeCloseTo(
					found === n ? 1 : jstat.beta.inv(1 - tail, found + 1, n - found),
					6
				);
			}
		),
		{ numRuns: 200 }
	);
});

test('more found than tried, or no confidence, is refused', () => {
	expect(() => shareInterval(2, 1)).toThrow(/2 of 1/);
	expect(() => shareInterval(1, 2, 1)).toThrow(RangeError);
});
