import fc from 'fast-check';
import { expect, test } from 'vitest';
import { BOX_KINDS } from '../kinds/box-kind.ts';
import { HOLDER_KEYS, HOLDER_KINDS } from '../kinds/holder-kind.ts';
import { holderUses, lowSupplies, stockAfter, suppliesFor } from './supply.ts';

const supplies = suppliesFor(BOX_KINDS, []);

test('what may be counted: each once; graded holders belong to those who grade', () => {
	const keys = supplies.map(({ key }) => key);
	expect(new Set(keys).size).toBe(keys.length);
	expect(keys).toContain('scuffed:magnetic-35');
	expect(keys).not.toContain('holder:slab');
	expect(keys.filter((key) => key.startsWith('box:'))).toHaveLength(BOX_KINDS.length);
});

test.each([
	[null, 'top-loader-35', { 'holder:sleeve': 8, 'holder:top-loader-35': 1 }],
	['sleeve', 'magnetic-35', { 'holder:sleeve': 10, 'holder:magnetic-35': 0 }],
	['top-loader-35', 'magnetic-35', { 'holder:top-loader-35': 5, 'holder:magnetic-35': 0 }],
	['slab', 'sleeve', { 'holder:sleeve': 8 }],
	['sleeve', null, { 'holder:sleeve': 10 }]
] as const)(
	'two cards from %s to %s: what they take is gone, a free loader comes back',
	(from, to, left) => {
		const onHand = {
			'holder:sleeve': { count: 10 },
			'holder:top-loader-35': { count: 3, least: 2 },
			'holder:magnetic-35': { count: 1 }
		};
		const after = stockAfter(onHand, holderUses({ from, to, quantity: 2 }));
		expect(
			Object.fromEntries(Object.entries(after).map(([key, { count }]) => [key, count]))
		).toEqual({
			...Object.fromEntries(Object.entries(onHand).map(([key, { count }]) => [key, count])),
			...left
		});
		expect(after['holder:top-loader-35']?.least).toBe(2);
	}
);

test('for all moves there and back with enough on hand, all rigid holders are as many as before', () => {
	const holder = fc.option(fc.constantFrom(...HOLDER_KEYS.filter((key) => key !== 'slab')));
	fc.assert(
		fc.property(holder, holder, fc.integer({ min: 1, max: 9 }), (from, to, quantity) => {
			const onHand = Object.fromEntries(supplies.map(({ key }) => [key, { count: 100 }]));
			const moved = stockAfter(onHand, holderUses({ from, to, quantity }));
			const back = stockAfter(moved, holderUses({ from: to, to: from, quantity }));
			for (const { key, isRigid } of HOLDER_KINDS) {
				if (isRigid) expect(back[`holder:${key}`]).toEqual(onHand[`holder:${key}`]);
			}
			// Sleeves are used up, never made.
			expect(back['holder:sleeve']?.count).toBeLessThanOrEqual(100);
			expect(stockAfter({}, holderUses({ from, to, quantity }))).toEqual({});
		})
	);
});

test('low is what is counted and less than wished for, or than what waits takes', () => {
	const onHand = {
		'box:800': { count: 1, least: 4 },
		'holder:sleeve': { count: 50, least: 50 },
		'holder:top-loader-35': { count: 3 },
		'bag:set': { count: 0 }
	};
	const low = (waiting = 0) =>
		lowSupplies(onHand, supplies, [
			{ key: 'holder:top-loader-35', count: waiting },
			{ key: 'holder:magnetic-35', count: 9 }
		]).map(({ key, count, enough }) => [key, count, enough]);
	expect(low()).toEqual([['box:800', 1, 4]]);
	expect(low(4)).toEqual([
		['box:800', 1, 4],
		['holder:top-loader-35', 3, 4]
	]);
});
