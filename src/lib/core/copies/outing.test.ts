import { describe, expect, test } from 'vitest';
import { checkOuting, compareOutings, outingState } from './outing.ts';

describe('cards that are out', () => {
	test.each([
		[null, 'out'],
		['1996-10-05', 'overdue'],
		['1996-10-06', 'due soon'],
		['1996-10-13', 'due soon'],
		['1996-10-14', 'out']
	] as const)('due %s, on 6 October: %s', (dueOn, state) => {
		expect(outingState({ dueOn }, '1996-10-06', '1996-10-13')).toBe(state);
	});

	test('the most pressing come first; what nobody has agreed comes last', () => {
		const outing = (dueOn: string | null, outOn: string) => ({ dueOn, outOn });
		const lines = [
			outing(null, '1996-01-01'),
			outing('1996-10-09', '1996-09-02'),
			outing('1996-10-09', '1996-09-01'),
			outing('1996-09-30', '1996-09-20')
		];
		expect(lines.toSorted(compareOutings)).toEqual([lines[3], lines[2], lines[1], lines[0]]);
	});

	const said = { quantity: 2, to: 'Wren', outOn: '1996-10-06', dueOn: null };
	test.each([
		['all is well', {}, 2, []],
		['more than are here', {}, 1, ['quantity']],
		['none is here', {}, 0, ['quantity']],
		['nobody', { to: '  ' }, 2, ['to']],
		['due the same day', { dueOn: '1996-10-06' }, 2, []],
		['due before, to nobody', { dueOn: '1996-10-05', to: '' }, 2, ['to', 'dueOn']]
	])('%s', (_, more, here, fields) => {
		expect(checkOuting({ ...said, ...more }, here).map(({ field }) => field)).toEqual(fields);
	});
});
