import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { BinderSlot } from './binder-slot.ts';
import { nameItems, type CopyInPocket } from './name-items.ts';
import { orderOf, swapInOrder } from './order-by-hand.ts';
import { pageKindOf, PAGE_KINDS } from './page-kind.ts';
import { pagesAsTheyLie } from './pages-as-they-lie.ts';
import { planBinder } from './plan-binder.ts';
import { describePocketName, pocketName } from './pocket-name.ts';
import { findNumber, neighbour } from './spread.ts';

const run = (count: number, rest: Partial<BinderSlot> = {}): BinderSlot[] =>
	Array.from({ length: count }, (_, i) => ({
		key: `s${i + 1}`,
		number: String(i + 1),
		title: '',
		block: 'a',
		...rest
	}));
const layout = { pageKind: '2x2', order: 'number', blockStart: 'new-page' } as const;

describe('neighbour', () => {
	const open = { left: 2, right: 3 };
	const kinds: Readonly<Record<number, string>> = { 2: '3x3', 3: '2x4' };
	const kindOf = (page: number) => pageKindOf(kinds[page] ?? '3x3');
	// Pockets of three by three: 0 1 2 / 3 4 5 / 6 7 8; of two by four: 0–3 / 4–7.
	test.each([
		['ArrowRight', 2, 3, { page: 2, pocket: 4 }],
		['ArrowLeft', 2, 4, { page: 2, pocket: 3 }],
		['ArrowUp', 2, 4, { page: 2, pocket: 1 }],
		['ArrowDown', 2, 4, { page: 2, pocket: 7 }],
		['ArrowRight', 2, 5, { page: 3, pocket: 4 }],
		['ArrowLeft', 3, 4, { page: 2, pocket: 5 }],
		// The lowest row of the left page meets the lowest of the right one.
		['ArrowRight', 2, 8, { page: 3, pocket: 4 }],
		['ArrowUp', 2, 1, null],
		['ArrowDown', 3, 5, null],
		['ArrowLeft', 2, 3, null],
		['ArrowRight', 3, 7, null],
		['Enter', 2, 0, null]
	] as const)('%s from page %i, pocket %i', (key, page, pocket, to) => {
		expect(neighbour(open, kindOf, { page, pocket }, key)).toEqual(to);
	});
});

describe('findNumber', () => {
	const pages = [
		{ page: 1, pockets: ['a', null, 'b'] },
		{ page: 2, pockets: ['c'] },
		{ page: 3, pockets: ['d'] }
	];
	const numbers: Readonly<Record<string, string>> = { a: '7', b: 'K8', c: '7' };
	const numberOf = (slot: string) => numbers[slot] ?? null;
	test.each([
		['7', 0, { page: 1, pocket: 0 }],
		['7', 1, { page: 2, pocket: 0 }],
		// Behind the last one it begins again.
		['7', 2, { page: 1, pocket: 0 }],
		[' k8 ', 0, { page: 1, pocket: 2 }],
		['9', 0, null],
		['', 0, null]
	])('%j behind page %i', (wanted, behind, at) => {
		expect(findNumber(pages, wanted, numberOf, behind)).toEqual(at);
	});
});

describe('by hand', () => {
	test('for all swaps: two pockets change places, and swapped again all is as before', () => {
		const { pages } = planBinder(run(10), layout);
		const at = fc.record({ page: fc.integer({ min: 1, max: 3 }), pocket: fc.nat(3) });
		fc.assert(
			fc.property(at, at, (first, other) => {
				const order = swapInOrder(pages, '2x2', first, other);
				const held = ({ page, pocket }: typeof first) => pages[page - 1]?.pockets[pocket] ?? null;
				if (held(first) === null && held(other) === null) {
					expect(order).toBeNull();
					return;
				}
				const laid = planBinder(run(10), { ...layout, order: 'by-hand', ownOrder: order ?? [] });
				const now = ({ page, pocket }: typeof first) =>
					laid.pages[page - 1]?.pockets[pocket] ?? null;
				expect(now(first)).toBe(held(other));
				expect(now(other)).toBe(held(first));
				const back = swapInOrder(laid.pages, '2x2', first, other);
				const kept = orderOf(pages, '2x2').join().replace(/,+$/, '');
				expect(back?.join().replace(/,+$/, '')).toBe(kept);
			})
		);
	});

	test('pages of another kind take no part', () => {
		const slots = [...run(2), ...run(1, { key: 'wide', block: 'b', format: { widthMm: 127 } })];
		const { pages } = planBinder(slots, { ...layout, pageKind: '3x3' });
		expect(pages.map(({ kind }) => kind)).toEqual(['3x3', '3x3', '2x2']);
		expect(orderOf(pages, '3x3')).toHaveLength(18);
		const swap = swapInOrder(pages, '3x3', { page: 1, pocket: 0 }, { page: 3, pocket: 0 });
		expect(swap).toBeNull();
	});
});

describe('pagesAsTheyLie', () => {
	test('cards are shown where they lie; on leaves that the plan no longer has, behind all others', () => {
		const { pages } = planBinder(run(3), layout);
		const shown = pagesAsTheyLie(
			pages,
			[
				{ pocket: '1/1/2x2/4', slot: 's1' },
				{ pocket: '1/1/3x3/9', slot: 's2' },
				{ pocket: '1/7/2x2/1', slot: 'gone' },
				{ pocket: 'nonsense', slot: 's3' }
			],
			PAGE_KINDS
		);
		expect(shown.map(({ pockets }) => pockets.map((slot) => slot ?? '.').join(' '))).toEqual([
			'. . . s1',
			'. . . . . . . . s2',
			'gone . . .'
		]);
		expect(shown.map(({ page, blocks }) => `${page} ${blocks.join()}`)).toEqual([
			'1 a',
			'2 former page 1',
			'3 former page 7'
		]);
	});
});

describe('nameItems', () => {
	const at = (copy: string, slot: string, pocket: string): CopyInPocket => ({ copy, slot, pocket });
	test('of a pile, those that lie where one belongs stay; then those of the same slot', () => {
		const now = [at('7', 'x', '1'), at('7', 'y', '2'), at('8', 'z', '3')];
		const target = [at('7', 'y', '4'), at('7', 'x', '2'), at('9', 'w', '5'), at('7', 'v', '6')];
		const named = nameItems(now, target);
		expect(named.now.map(({ item, pocket }) => `${item} ${pocket}`)).toEqual([
			'7 1',
			'7#2 2',
			'8 3'
		]);
		expect(named.target.map(({ item, pocket }) => `${item} ${pocket}`)).toEqual([
			'7 4',
			'7#2 2',
			'9 5',
			'7#3 6'
		]);
	});

	test('for all piles: names are unique, and as many stay as can', () => {
		const some = (pockets: readonly string[]) =>
			fc
				.tuple(
					fc.shuffledSubarray([...pockets]),
					fc.array(fc.constantFrom('1', '2'), { minLength: 6, maxLength: 6 })
				)
				.map(([places, copies]) =>
					places.map((pocket, i) => at(copies[i] ?? '1', `s${pocket}`, pocket))
				);
		const pockets = ['a', 'b', 'c', 'd', 'e', 'f'];
		fc.assert(
			fc.property(some(pockets), some(pockets), (now, target) => {
				const named = nameItems(now, target);
				for (const list of [named.now, named.target]) {
					expect(new Set(list.map(({ item }) => item)).size).toBe(list.length);
				}
				const stay = target.filter((card) =>
					now.some(({ copy, pocket }) => copy === card.copy && pocket === card.pocket)
				).length;
				const stays = named.target.filter((card) =>
					named.now.some(({ item, pocket }) => item === card.item && pocket === card.pocket)
				);
				expect(stays).toHaveLength(stay);
			})
		);
	});
});

test.each([
	['2/17/3x3/4', 1, 'page 17, row 2, pocket 1'],
	['2/17/3x3/4', 2, 'volume 2, page 17, row 2, pocket 1'],
	['1/1/2x4/8', 1, 'page 1, row 2, pocket 4'],
	['nonsense', 1, 'nonsense']
])('a pocket in words: %s', (name, volumes, words) => {
	expect(describePocketName(name, PAGE_KINDS, volumes)).toBe(words);
	expect(pocketName({ volume: 2, pageInVolume: 17, kind: '3x3', pocket: 3 })).toBe('2/17/3x3/4');
});
