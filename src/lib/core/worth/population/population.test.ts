import jstat from 'jstat';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { populations, wrongSums, type PopulationReport } from './population.ts';
import { scarcityRatio } from './scarcity-ratio.ts';

const report = (
	house: string,
	on: string,
	counts: PopulationReport['counts'],
	total?: number
): PopulationReport => ({
	...{ version: 'a', house, on, counts },
	...(total === undefined ? {} : { total })
});

describe('populations', () => {
	const reports = [
		report('Gull', '1995-01-01', [{ grade: 9, count: 1 }]),
		report(
			'Gull',
			'1996-01-01',
			[
				{ grade: 9, count: 2 },
				{ grade: 8, count: 5 },
				{ grade: 9, qualifier: 'off centre', count: 3 },
				{ isAuthentic: true, count: 4 }
			],
			15
		),
		report('Tern', '1996-02-01', [
			{ grade: 9, count: 1 },
			{ grade: 7, count: 4 },
			{ grade: 10, count: 0 }
		])
	];
	test('worked by hand: of each house the latest, added; qualified and authentic apart', () => {
		const [all] = populations(reports, 8);
		expect(all).toMatchObject({
			graded: 19,
			numbered: 15,
			qualified: 3,
			authentic: 4,
			atLeast: 8,
			shareAtLeast: 8 / 15
		});
		expect(all?.levels.map(({ label, count, above }) => [label, count, above])).toEqual([
			['10', 0, 0],
			['9', 3, 0],
			['9 (off centre)', 3, 0],
			['8', 5, 3],
			['7', 4, 8],
			['authentic', 4, 12]
		]);
		expect(all?.levels[1]?.byHouse).toEqual({ Gull: 2, Tern: 1 });
		expect(all?.finest).toEqual({ grade: 9, count: 3, houses: ['Gull', 'Tern'] });
		expect(all?.reports.map(({ house, on, count }) => [house, on, count])).toEqual([
			['Gull', '1996-01-01', 14],
			['Tern', '1996-02-01', 5]
		]);
	});

	test('sums that do not come out are told, with what they come to', () => {
		expect(wrongSums(reports)).toEqual([
			{ version: 'a', house: 'Gull', on: '1996-01-01', statedTotal: 15, sum: 14 }
		]);
	});

	test('none has a number', () => {
		expect(
			populations([report('Gull', '1996-01-01', [{ isAuthentic: true, count: 2 }])], 8)[0]
		).toMatchObject({ shareAtLeast: null, finest: null, graded: 2 });
	});
});

describe('how many times scarcer', () => {
	test('for all counts: the exact interval as jstat has it (beta quantiles of Clopper and Pearson)', () => {
		const count = fc.integer({ min: 0, max: 2000 });
		fc.assert(
			fc.property(count, count, fc.constantFrom(0.8, 0.95, 0.99), (a, b, confidence) => {
				fc.pre(a + b > 0);
				const part = (1 - confidence) / 2;
				const low = a === 0 ? 0 : jstat.beta.inv(part, a, b + 1);
				const high = b === 0 ? 1 : jstat.beta.inv(1 - part, a + 1, b);
				const found = scarcityRatio(a, b, confidence);
				expect(found.low).toBeCloseTo((1 - high) / high, 5);
				if (a === 0) expect(found.high).toBeNull();
				else expect((found.high ?? 0) / ((1 - low) / low)).toBeCloseTo(1, 5);
			}),
			{ numRuns: 100 }
		);
	});

	test.each<[number, number, object]>([
		[10, 40, { times: 4, verdict: 'scarcer' }],
		[40, 10, { times: 0.25, verdict: 'commoner' }],
		[3, 4, { verdict: 'cannot tell' }],
		[0, 0, { times: null, low: 0, high: null, verdict: 'cannot tell' }],
		[0, 50, { times: null, high: null, verdict: 'scarcer' }]
	])('%i against %i', (count, against, holds) => {
		expect(scarcityRatio(count, against)).toMatchObject(holds);
	});
});
