import fc from 'fast-check';
import { deepEqual } from 'fast-equals';
import { describe, expect, test } from 'vitest';
import {
	finishOf,
	followPalette,
	PALETTE_FIELDS,
	sharedFinishes,
	takeFinish,
	type PaletteFinish
} from './palette.ts';
import type { Parallel } from './parallel.ts';

const words = fc.constantFrom('green', 'matte', 'shop only');
const said = fc.record(
	{
		name: words,
		look: words,
		howToTell: words,
		channel: words,
		stockPt: fc.constantFrom(20, 35),
		shape: words,
		tells: words.map((value) => [{ feature: 'edge', value }])
	},
	{ requiredKeys: ['name'] }
);
const finish = said.map((fields): PaletteFinish => ({ ...fields, key: 'f' }));
const parallel = said.map((fields): Parallel => ({
	...fields,
	key: 'p',
	runs: [{ sections: ['base'], printRun: 75 }]
}));

describe('a finish of the palette', () => {
	test('for all: what a release does not say is taken over, what it says stays; runs and key are its own', () => {
		fc.assert(
			fc.property(parallel, finish, (before, entered) => {
				const taken = takeFinish(before, entered);
				for (const field of PALETTE_FIELDS) {
					expect(taken[field]).toEqual(before[field] ?? entered[field]);
				}
				expect(taken).toMatchObject({ key: 'p', runs: before.runs, palette: 'f' });
				expect(takeFinish(taken, entered)).toEqual(taken);
			})
		);
	});

	test('for all: a change follows where release and palette agreed, and changed back gives it back', () => {
		fc.assert(
			fc.property(parallel, finish, finish, (first, before, after) => {
				const used = takeFinish(first, before);
				const followed = followPalette(used, before, after);
				for (const field of PALETTE_FIELDS) {
					const isAgreed = deepEqual(used[field], before[field]);
					expect(followed[field]).toEqual(isAgreed ? after[field] : used[field]);
				}
				// What differs from both stays apart; the rest comes back.
				const isApart = PALETTE_FIELDS.some(
					(field) => !deepEqual(used[field], before[field]) && deepEqual(used[field], after[field])
				);
				if (!isApart) expect(followPalette(followed, after, before)).toEqual(used);
				expect(followPalette(first, before, after)).toBe(first);
			})
		);
	});

	test('entered from a parallel, the parallel says the same', () => {
		fc.assert(
			fc.property(parallel, (told) => {
				expect(takeFinish(told, finishOf(told, 'f'))).toEqual({ ...told, palette: 'f' });
			})
		);
	});
});

test('finishes of several releases are found whatever their case; those in the palette are not', () => {
	const of = (release: string, name: string, palette?: string) => ({
		release,
		parallel: { key: 'k', name, runs: [], ...(palette ? { palette } : {}) }
	});
	expect(
		sharedFinishes([
			of('a', 'Brass'),
			of('b', 'brass '),
			of('b', 'Brass'),
			of('a', 'Slate'),
			of('c', 'BRASS'),
			of('a', 'Zinc'),
			of('b', 'Zinc'),
			of('c', 'Zinc', 'zinc'),
			of('a', 'Tin', 'tin'),
			of('b', 'Tin')
		])
	).toEqual([
		{ name: 'Brass', releases: ['a', 'b', 'c'] },
		{ name: 'Zinc', releases: ['a', 'b'] }
	]);
	expect(sharedFinishes([])).toEqual([]);
});
