import { expect, test } from 'vitest';
import { expectedLettering } from './strip-lettering.ts';

test.each<[string, number | undefined, string | null | undefined]>([
	['a text', 1, 'Salt'],
	['none at this place', 2, null],
	['not known', 3, undefined],
	['past the last', 4, undefined],
	['a card without a place', undefined, undefined]
])('letters along the edge: %s', (_, place, expected) => {
	const card = place === undefined ? {} : { place };
	expect(expectedLettering({ lettering: ['Salt', null, ''] }, card)).toBe(expected);
	expect(expectedLettering({}, card)).toBeUndefined();
});
