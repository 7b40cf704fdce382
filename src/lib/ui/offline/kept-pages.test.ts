import { expect, test } from 'vitest';
import { addressesOf, isWhole, keyOfPage, partOf } from './kept-pages';

const at = (path: string) => new URL(path, 'http://localhost:4173');

test.each([
	['/_app/immutable/chunks/a.js', false, 'built'],
	['/_app/version.json', false, null],
	['/favicon.svg', false, 'built'],
	['/boxes/slips/7', true, 'page'],
	['/boxes/slips/7', false, null],
	['/boxes/slips/7/__data.json?x-sveltekit-invalidated=01', false, 'data'],
	['/api/buying/fair', false, 'work'],
	['/api/buying/fair?together=a', false, null],
	['/api/journal/next', false, null],
	['/api/holdings.csv', true, null]
] as const)('%s, shown: %s, is kept as %s', (path, isPage, part) => {
	expect(partOf(at(path), isPage)).toBe(part);
});

test('a page is kept with its data, and what it works out; which part of the data is asked for does not matter', () => {
	expect(addressesOf('/')).toEqual(['/', '/__data.json']);
	expect(addressesOf('/log/pile?pile=3')).toEqual([
		'/log/pile?pile=3',
		'/log/pile/__data.json?pile=3'
	]);
	expect(addressesOf('/buying/fair')).toContain('/api/buying/fair');
	expect(keyOfPage(at('/log/pile/__data.json?pile=3&x-sveltekit-invalidated=01'))).toBe(
		'/log/pile/__data.json?pile=3'
	);
});

test.each([
	['/boxes/slips', true],
	['/boxes/slips/__data.json', true],
	['/boxes/slips/__data.json?x-sveltekit-invalidated=011', true],
	['/boxes/slips/__data.json?x-sveltekit-invalidated=111', true],
	['/boxes/slips/__data.json?x-sveltekit-invalidated=101', false],
	['/boxes/slips/__data.json?x-sveltekit-invalidated=100', false]
])('%s is all of a page: %s', (path, whole) => {
	expect(isWhole(at(path))).toBe(whole);
});
