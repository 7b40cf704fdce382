import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { LayoutChoice } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { planBinder } from './plan-binder.ts';
import { spreadOfPage, spreadsOf } from './spread.ts';

const layout = (rest: Partial<LayoutChoice> = {}): LayoutChoice => ({
	pageKind: '3x3',
	order: 'number',
	blockStart: 'new-page',
	...rest
});
const numbered = (block: string, count: number): BinderSlot[] =>
	Array.from({ length: count }, (_, i) => ({
		key: `${block}-${i + 1}`,
		number: String(i + 1),
		title: '',
		block
	}));

describe('planBinder', () => {
	// Nine pockets a page, two pages a leaf; worked by hand.
	test.each([
		['new-page', [10, 5], 3, 2, 12, ['a', 'a', 'b']],
		['runs-on', [10, 5], 2, 1, 3, ['a', 'a b']],
		['new-page', [9, 9], 2, 1, 0, ['a', 'b']],
		['runs-on', [9, 1], 2, 1, 8, ['a', 'b']],
		['new-page', [0, 0], 0, 0, 0, []]
	] as const)('%s with %j', (blockStart, [a, b], pages, leaves, empty, blocks) => {
		const plan = planBinder([...numbered('a', a), ...numbered('b', b)], layout({ blockStart }));
		expect(plan.pages).toHaveLength(pages);
		expect(plan).toMatchObject({ leaves, emptyPockets: empty });
		expect(plan.pages.map((page) => page.blocks.join(' '))).toEqual(blocks);
	});

	test('by rarity: classes in their order, titles in the alphabet, strangers last', () => {
		const slots = [
			['1', 'Whale', 'rare'],
			['2', 'éclair', 'common'],
			['3', 'Eel', 'common'],
			['4', 'Auk', undefined],
			['5', 'Crab', 'odd']
		].map(([key = '', title = '', rarity]) => ({
			key,
			title,
			number: null,
			block: 'x',
			...(rarity ? { rarity } : {})
		}));
		const plan = planBinder(slots, layout({ order: 'rarity', blockStart: 'runs-on' }), {
			rarities: ['common', 'rare']
		});
		expect(plan.pages[0]?.blocks).toEqual(['common', 'rare', 'No rarity class', 'odd']);
		expect(plan.pages[0]?.pockets.slice(0, 5)).toEqual(['2', '3', '1', '4', '5']);
	});

	test('for all slots: each lies in one pocket, in order, however they come', () => {
		const slot = fc.record({
			number: fc.option(fc.integer({ min: 1, max: 99 }).map(String), { nil: null }),
			title: fc.constantFrom('A', 'B', 'C'),
			block: fc.constantFrom('a', 'b')
		});
		const blockStart = fc.constantFrom('new-page' as const, 'runs-on' as const);
		fc.assert(
			fc.property(fc.array(slot, { maxLength: 60 }), blockStart, (parts, start) => {
				const slots = parts.map((part, i) => ({ ...part, key: String(i) }));
				const plan = planBinder(slots, layout({ blockStart: start }));
				const laid = plan.pages.flatMap(({ pockets }) => pockets.filter((key) => key !== null));
				expect([...laid].sort()).toEqual(slots.map(({ key }) => key).sort());
				expect(plan.pages.every(({ pockets }) => pockets.length === 9)).toBe(true);
				const least = Math.ceil(slots.length / 9);
				const borders = new Set(parts.map(({ block }) => block)).size;
				expect(plan.pages.length).toBeGreaterThanOrEqual(least);
				expect(plan.pages.length).toBeLessThan(
					least + (start === 'runs-on' ? 1 : Math.max(1, borders))
				);
				// Ties go by key, so within each block the order does not depend on the order given.
				const inBlock = (keys: readonly string[]) =>
					keys.filter((key) => slots[Number(key)]?.block === 'a');
				const again = planBinder([...slots].reverse(), layout({ blockStart: start }));
				const laidAgain = again.pages.flatMap(({ pockets }) =>
					pockets.filter((key) => key !== null)
				);
				expect(inBlock(laidAgain)).toEqual(inBlock(laid));
			})
		);
	});

	test('an unknown page kind is refused by name', () => {
		expect(() => planBinder([], layout({ pageKind: '7x7' }))).toThrow('no page kind "7x7"');
	});
});

describe('spreads', () => {
	const pages = (...volumes: number[]) => {
		const all = volumes.flatMap((count, i) => Array<number>(count).fill(i + 1));
		return all.map((volume, i) => ({ page: i + 1, volume }));
	};
	test.each([
		[[0], [[null, null]]],
		[[1], [[null, 1]]],
		[
			[4],
			[
				[null, 1],
				[2, 3],
				[4, null]
			]
		],
		// Two volumes: the last page of one never lies beside the first of the next.
		[
			[2, 3],
			[
				[null, 1],
				[2, null],
				[null, 3],
				[4, 5]
			]
		]
	])('volumes of %j pages', (volumes, spreads) => {
		expect(spreadsOf(pages(...volumes)).map(({ left, right }) => [left, right])).toEqual(spreads);
	});

	test('for all binders: every page lies on its spread, and no page twice', () => {
		const whole = fc.integer({ min: 1, max: 40 }).map((leaves) => 2 * leaves);
		fc.assert(
			fc.property(fc.array(whole, { maxLength: 4 }), fc.nat(41), (volumes, last) => {
				const all = pages(...volumes, last);
				const spreads = spreadsOf(all);
				const seen = spreads.flatMap(({ left, right }, i) =>
					[left, right].flatMap((page) => (page === null ? [] : [{ page, i }]))
				);
				expect(seen.map(({ page }) => page)).toEqual(all.map(({ page }) => page));
				expect(seen.every(({ page, i }) => spreadOfPage(spreads, page) === i)).toBe(true);
			})
		);
	});
});

describe('subject pages', () => {
	// Two years: four versions of a subject in one, five in the next; one subject in one year only.
	const slots = ['Ada', 'Bram', 'Cato'].flatMap((subject) =>
		(subject === 'Cato' ? [1995] : [1994, 1995]).flatMap((year) =>
			Array.from({ length: year === 1994 ? 4 : 5 }, (_, i) => ({
				key: `${subject} ${year} ${i}`,
				number: String(i),
				title: `${subject}, ${i}`,
				subject,
				block: String(year)
			}))
		)
	);

	test('every subject lies on one page, whatever blocks it comes from', () => {
		const layout = { pageKind: '3x3', order: 'subject', blockStart: 'new-page' } as const;
		const plan = planBinder(slots, layout);
		expect(plan.pages.map(({ blocks }) => blocks)).toEqual([['Ada'], ['Bram'], ['Cato']]);
		expect(plan).toMatchObject({ leaves: 2, emptyPockets: 4, leastPages: 3 });
		expect(plan.pages[0]?.pockets.slice(3, 5)).toEqual(['Ada 1994 3', 'Ada 1995 0']);
	});

	test('on smaller pages a subject fills whole ones, and its rest shares one', () => {
		const layout = { pageKind: '2x2', order: 'subject', blockStart: 'new-page' } as const;
		const { pages } = planBinder(slots, layout);
		expect(pages.map(({ pockets }) => pockets.filter(Boolean).length)).toEqual([4, 4, 4, 4, 4, 3]);
		expect(new Set(pages.flatMap(({ pockets }) => pockets.filter(Boolean))).size).toBe(23);
	});
});
