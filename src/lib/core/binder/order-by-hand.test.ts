import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { SMALL_LAYOUT, smallSlots } from './small-slots.fixture.ts';
import { orderOf, swapInOrder } from './order-by-hand.ts';
import { planBinder } from './plan-binder.ts';

describe('by hand', () => {
	test('for all swaps: two pockets change places, and swapped again all is as before', () => {
		const { pages } = planBinder(smallSlots(10), SMALL_LAYOUT);
		const at = fc.record({ page: fc.integer({ min: 1, max: 3 }), pocket: fc.nat(3) });
		fc.assert(
			fc.property(at, at, (first, other) => {
				const order = swapInOrder(pages, '2x2', first, other);
				const held = ({ page, pocket }: typeof first) => pages[page - 1]?.pockets[pocket] ?? null;
				if (held(first) === null && held(other) === null) {
					expect(order).toBeNull();
					return;
				}
				const laid = planBinder(smallSlots(10), {
					...SMALL_LAYOUT,
					order: 'by-hand',
					ownOrder: order ?? []
				});
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
		const slots = [
			...smallSlots(2),
			...smallSlots(1, { key: 'wide', block: 'b', format: { widthMm: 127 } })
		];
		const { pages } = planBinder(slots, { ...SMALL_LAYOUT, pageKind: '3x3' });
		expect(pages.map(({ kind }) => kind)).toEqual(['3x3', '3x3', '2x2']);
		expect(orderOf(pages, '3x3')).toHaveLength(18);
		const swap = swapInOrder(pages, '3x3', { page: 1, pocket: 0 }, { page: 3, pocket: 0 });
		expect(swap).toBeNull();
	});
});
