import { expect, test } from 'vitest';
import { takeStock } from './take-stock.ts';

const lines = (counts: Readonly<Record<string, number>>) =>
	Object.entries(counts).map(([version, quantity]) => ({ version, quantity }));

test.each([
	['all is there', { a: 3 }, { a: 3 }, {}, []],
	['seen once, it stands for all of them', { a: 3 }, { a: 1 }, {}, []],
	['a count is taken at its word', { a: 3 }, { a: 2 }, {}, ['a 1 not there']],
	['none', { a: 3 }, {}, {}, ['a 3 not there']],
	['one more', { a: 1 }, { a: 2 }, {}, ['a 1 not recorded']],
	['what is out is not looked for', { a: 1 }, {}, { a: 1 }, []],
	['the others of it are', { a: 3 }, {}, { a: 1 }, ['a 2 not there']],
	['it came back: no question', { a: 3 }, { a: 3 }, { a: 1 }, []],
	['back, and one more', { a: 3 }, { a: 4 }, { a: 1 }, ['a 1 not recorded']]
])('%s', (_, recorded, found, out, told) => {
	const differences = takeStock(lines(recorded), lines(found), lines(out));
	expect(
		differences.map(({ version, quantity, sort }) => `${version} ${quantity} ${sort}`)
	).toEqual(told);
});
