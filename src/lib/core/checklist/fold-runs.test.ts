import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { foldRuns } from './fold-runs.ts';

describe('foldRuns', () => {
	test.each([
		[['14', '20', '21', '22', '1', '2', '3'], '1–3, 14, 20–22'],
		[['7', '8'], '7, 8'],
		[['F1', 'F2', 'F3', '1', '2', '3'], '1–3, F1–F3'],
		[['1-1', '1-2', '1-3', '2-4'], '1-1–1-3, 2-4'],
		[['12', '12a', '13', '14'], '12, 12a, 13, 14'],
		[['9', '10', '11', '11'], '9–11'],
		[[], '']
	])('%j', (list, text) => {
		expect(foldRuns(list)).toBe(text);
	});

	// ● A range a–b counts b − a + 1 cards. Common practice, no source.
	test('for all sets of numbers, the folded runs count the same cards', () => {
		fc.assert(
			fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 1 }), (list) => {
				const counted = foldRuns(list.map(String))
					.split(', ')
					.flatMap((run) => {
						const [from = 0, to = from] = run.split('–').map(Number);
						return Array.from({ length: to - from + 1 }, (_, i) => from + i);
					});
				expect(counted).toEqual([...list].sort((a, b) => a - b));
			})
		);
	});
});
