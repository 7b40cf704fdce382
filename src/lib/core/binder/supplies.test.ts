import { describe, expect, test } from 'vitest';
import { resolveLayout } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { fitOf, lieIn, otherPageFor } from './card-fit.ts';
import { PAGE_KINDS, pageKindOf } from './page-kind.ts';
import { planBinder } from './plan-binder.ts';
import { parsePocketName, pocketName } from './pocket-name.ts';
import { settlePlan } from './settle-plan.ts';
import { priceSupplies, suppliesOf } from './supplies.ts';
import { usualChanges, whatIf } from './what-if.ts';

const layout = { pageKind: '3x3', order: 'number', blockStart: 'new-leaf' } as const;
const run = (block: string, count: number, rest: Partial<BinderSlot> = {}): BinderSlot[] =>
	Array.from({ length: count }, (_, i) => ({
		key: `${block}${i + 1}`,
		number: String(i + 1),
		title: '',
		block,
		...rest
	}));

test('a zip binder has its leaves sewn in: none are bought, another binder takes them', () => {
	const slots = run('a', 30);
	const keysOf = (binderKind: string) =>
		suppliesOf(planBinder(slots, { ...layout, binderKind }), slots, { ...layout, binderKind }).map(
			({ key }) => key
		);
	expect(keysOf('zip-20')).toEqual(['sleeve:63.5x88.9', 'binder:zip-20', 'divider']);
	expect(keysOf('rings-25')).toContain('page:3x3');
});

describe('fit', () => {
	// 63.5 × 88.9 mm is 2.5 × 3.5 in; a sleeve adds 2.5 mm each way.
	test.each([
		['a standard card on nine pockets', {}, '3x3', 'fits'],
		['a panel of two on nine pockets', { widthMm: 127 }, '3x3', 'too large'],
		['the same on its side on four pockets', { widthMm: 127 }, '2x2', 'fits'],
		['a mini', { widthMm: 35, heightMm: 60 }, '3x3', 'loose'],
		['a swatch card', { stockPt: 76 }, '3x3', 'too thick'],
		['just thin enough', { stockPt: 75 }, '3x3', 'fits'],
		['exactly as large as the pocket', { widthMm: 64.5, heightMm: 89.5 }, '3x3', 'fits'],
		['a hair larger', { widthMm: 64.6 }, '3x3', 'too large']
	] as const)('%s', (_, format, kind, fit) => {
		expect(fitOf(format, pageKindOf(kind))).toBe(fit);
	});

	test.each([
		['a standard card upright', {}, '2x2', 63.5, 88.9],
		['a panel on its side, for only so it goes in', { widthMm: 127 }, '2x2', 88.9, 127],
		['upright where both ways go', { widthMm: 127 }, '1x1', 127, 88.9],
		['upright where neither goes', { widthMm: 127 }, '3x3', 127, 88.9]
	] as const)('%s', (_, format, kind, acrossMm, upMm) => {
		expect(lieIn(format, pageKindOf(kind))).toEqual({ acrossMm, upMm });
	});

	test('the fitting kind with most pockets is taken', () => {
		const main = pageKindOf('2x2');
		expect(otherPageFor({}, main, PAGE_KINDS)).toBeNull();
		expect(otherPageFor({ widthMm: 35, heightMm: 60 }, main, PAGE_KINDS)).toEqual({
			kind: '2x2',
			why: 'loose'
		});
		expect(otherPageFor({ stockPt: 150 }, main, PAGE_KINDS)).toEqual({
			kind: '1x1',
			why: 'too thick'
		});
	});
});

describe('supplies', () => {
	const slots = [
		...run('a', 20),
		...run('b', 4, { format: { widthMm: 127, heightMm: 88.9 }, isFilled: false }),
		...run('c', 1, { format: { stockPt: 60 } })
	];
	const plan = planBinder(slots, layout);

	test('● one sleeve a card, by size; leaves by kind; a cover a volume; a divider a section', () => {
		const needs = suppliesOf(plan, slots, layout);
		expect(needs.map(({ key, count, today }) => [key, count, today])).toEqual([
			['sleeve:63.5x88.9', 20, 20],
			['sleeve:127x88.9', 4, 0],
			['sleeve:63.5x88.9-wide', 1, 1],
			['page:3x3', 3, undefined],
			['page:2x2', 1, undefined],
			['binder:rings-50', 1, undefined],
			['divider', 3, undefined]
		]);
	});

	test('prices count whole packs, by currency, and say what they lack', () => {
		const prices = [
			{ key: 'sleeve:63.5x88.9', priceMinor: 150, currency: 'EUR', packOf: 100 },
			{ key: 'page:3x3', priceMinor: 250, currency: 'EUR', packOf: 2 },
			{ key: 'binder:rings-50', priceMinor: 900, currency: 'GBP', packOf: 1 }
		];
		const list = priceSupplies(suppliesOf(plan, slots, layout), prices);
		expect(list.totals).toEqual([
			{ currency: 'EUR', costMinor: 150 + 2 * 250 },
			{ currency: 'GBP', costMinor: 900 }
		]);
		expect(list.unpriced).toHaveLength(4);
		expect(list.lines[3]).toMatchObject({ key: 'page:3x3', count: 3, packs: 2, costMinor: 500 });
	});

	test('what if: other pages, one card a pocket, more slack', () => {
		const even = run('a', 72);
		const asked = whatIf(even, layout, usualChanges(layout), {}, []);
		const by = (key: string) => asked.find(({ change }) => JSON.stringify(change).includes(key));
		// 72 cards: four leaves of two faces of nine, three of twelve, five of eight, nine of four.
		expect(asked[0]).toMatchObject({ change: {}, cardPages: 8, leaves: 4 });
		expect(by('3x4')).toMatchObject({ cardPages: 6, leaves: 3 });
		expect(by('2x4')).toMatchObject({ cardPages: 9, leaves: 5 });
		expect(by('2x2')).toMatchObject({ cardPages: 18, leaves: 9 });
		expect(by('cardsAPocket')).toMatchObject({ cardPages: 8, leaves: 8 });
		expect(by('slack')).toMatchObject({ cardPages: 9, leaves: 5 });
		expect(by('1x1')).toBeUndefined();
	});
});

describe('settlePlan', () => {
	const choice = { ...layout, pageKind: '2x2', missing: 'some', reserve: 2 } as const;
	const resolved = resolveLayout(choice);
	const settle = (slots: readonly BinderSlot[], lies: ReadonlyMap<string, string>) =>
		settlePlan(planBinder(slots, choice).pages, resolved, lies);
	const filled = (missing: readonly number[]) =>
		run('a', 6).map((slot, i) => ({ ...slot, isFilled: !missing.includes(i + 1) }));

	test('a card that arrives takes a reserved pocket, and all others stay', () => {
		const before = planBinder(filled([2, 4]), choice);
		const lies = new Map(
			before.pages.flatMap((page) =>
				page.pockets.flatMap((key, pocket) =>
					key === null ? [] : [[key, pocketName({ ...page, pocket })] as const]
				)
			)
		);
		// a1 a3 a5 a6 lie on the first page; a4 belongs behind a3: only what follows it moves.
		const after = settle(filled([2]), lies);
		expect(after.map(({ pockets }) => pockets)).toEqual([
			['a1', 'a3', 'a4', 'a5'],
			['a6', null, null, null]
		]);
		// Where the blank is already in the right place, nothing moves.
		lies.set('a5', '1/1/2x2/4').set('a6', '1/2/2x2/1');
		const still = settle(filled([2, 4]), lies);
		expect(still.map(({ pockets }) => pockets)).toEqual([
			['a1', 'a3', null, 'a5'],
			['a6', null, null, null]
		]);
		expect(still[0]?.marks).toEqual([{ pocket: 2, use: 'reserved' }]);
	});

	test('nothing lying, nothing to settle', () => {
		const { pages } = planBinder(filled([1]), choice);
		expect(settlePlan(pages, resolved, new Map())).toBe(pages);
		// Kept, closed up, by hand, by subject and in rows there is nothing to choose.
		const lies = new Map([['a6', '1/2/2x2/4']]);
		for (const change of [
			{ missing: 'keep' },
			{ missing: 'close-up' },
			{ order: 'by-hand' },
			{ order: 'subject' },
			{ parallels: 'rows' }
		] as const) {
			expect(settlePlan(pages, { ...resolved, ...change }, lies)).toBe(pages);
		}
		expect(settlePlan(pages, resolved, lies)).not.toEqual(pages);
	});
});

test.each([
	['2/17/3x3/4', { volume: 2, pageInVolume: 17, kind: '3x3', pocket: 3 }],
	['0/1/3x3/1', null],
	['1/1/1', null],
	['1/1/3x3/x', null]
])('the name of a pocket, %s', (name, address) => {
	expect(parsePocketName(name)).toEqual(address);
	if (address) expect(pocketName(address)).toBe(name);
});
