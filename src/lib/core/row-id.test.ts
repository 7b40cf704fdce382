import { expect, test } from 'vitest';
import { rowId, type BoxId, type DividerId } from './row-id.ts';

test.each([NaN, Infinity, 1.5, 2 ** 53])('%s is no id', (id) => {
	expect(() => rowId(id)).toThrow(RangeError(`rowId: ${id} is no id of a row`));
});

test('the id of a box is not taken for that of a divider: the type check fails where it is', () => {
	const box: BoxId = rowId(7);
	// @ts-expect-error -- ids of different tables
	const divider: DividerId = box;
	expect(divider).toBe(7);
});
