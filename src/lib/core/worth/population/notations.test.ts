import fc from 'fast-check';
import { expect, test } from 'vitest';
import { GRADES } from '../../copies/condition.ts';
import { formatHouseGrades, parseHouseGrades } from './house-grades.ts';
import { formatCounts, parseCounts } from './population-counts.ts';

const some = fc.uniqueArray(fc.constantFrom(...GRADES), { minLength: 1 });

test('for all counts and scales: parse(format(x)) = x', () => {
	fc.assert(
		fc.property(some, fc.integer({ min: 0, max: 99_999_999 }), (grades, count) => {
			const counts = [...grades.map((grade) => ({ grade, count })), { isAuthentic: true, count }];
			expect(parseCounts(formatCounts(counts))).toMatchObject({ ok: true, value: counts });
			const sorted = [...grades].sort((a, b) => b - a);
			expect(parseHouseGrades(formatHouseGrades(sorted))).toMatchObject({
				ok: true,
				value: sorted
			});
		})
	);
});

test.each<[string, readonly object[] | string]>([
	[
		'10:3,9,5: 12; authentic=2',
		[
			{ grade: 10, count: 3 },
			{ grade: 9.5, count: 12 },
			{ isAuthentic: true, count: 2 }
		]
	],
	['8 (OC): 1', [{ grade: 8, qualifier: 'OC', count: 1 }]],
	[
		'8: 3,5: 2',
		[
			{ grade: 8, count: 3 },
			{ grade: 5, count: 2 }
		]
	],
	['8: 3, 8: 2', '"8: 2" says its grade a second time'],
	['8.3: 1', '"8.3: 1" is of no grade'],
	['mint: 1', '"mint: 1" is of no grade'],
	['8: many', '"8: many" is no count'],
	[' ', 'nothing is counted']
])('%s', (text, wanted) => {
	const read = parseCounts(text);
	expect(read.ok ? read.value : read.problems[0]?.message).toEqual(wanted);
});

test.each<[string, readonly number[] | string]>([
	['10-8', [10, 9, 8]],
	['9,5; 9', [9.5, 9]],
	['', GRADES],
	['11', '"11" is no grade'],
	['7–x', '"7–x" is no grade']
])('grades of a house: "%s"', (text, wanted) => {
	const read = parseHouseGrades(text);
	expect(read.ok ? read.value : read.problems[0]?.message).toEqual(wanted);
});
