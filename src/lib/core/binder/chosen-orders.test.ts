import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BLOCK_ORDERS, GOAL_ORDERS, type LayoutChoice } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { drawn, slot, usual } from './drawn.fixture.ts';
import { planBinder } from './plan-binder.ts';

const card = (key: string, block: string, rest: Partial<BinderSlot> = {}) =>
	slot(key, { block: block.toUpperCase(), blockKey: block, ...rest });
const slots = [
	card('a1', 'a', { title: 'Zander', rarity: 'rare', group: 'North', subject: 'Wick' }),
	card('a2', 'a', { title: 'Auk', rarity: 'common', subject: 'Ash', arrivedOn: '1996-01-02' }),
	card('a3', 'a', { title: 'Moth', rarity: 'common', group: 'East', subject: 'Wick' }),
	card('b1', 'b', { goal: '2', title: 'Fog', rarity: 'rare' }),
	card('b2', 'b', { goal: '2', title: 'Bell', rarity: 'common' }),
	card('c1', 'c', { goal: '3', title: 'Cod', rarity: 'common' })
];
const pages = (choice: Partial<LayoutChoice>) => drawn(slots, { pageKind: '2x2', ...choice });

describe('orders by choice', () => {
	test.each([
		['number', 'a1 a2 a3 .'],
		['title', 'a2 a3 a1 .'],
		['rarity', 'a2 a3 a1 .'],
		// What has no group comes last.
		['group', 'a3 a1 a2 .'],
		['subject', 'a2 a1 a3 .'],
		['newest', 'a2 a1 a3 .']
	] as const)('inside a block: %s', (order, page) => {
		expect(pages({ blocks: [{ block: 'a', order }] })).toEqual([page, 'b1 b2 . .', 'c1 . . .']);
	});

	test.each([
		[
			'a block before the others',
			{ blocks: [{ block: 'c' }] },
			['c1 . . .', 'a1 a2 a3 .', 'b1 b2 . .']
		],
		[
			'blocks that are not there change nothing',
			{ blocks: [{ block: 'gone', order: 'title' as const }, { block: 'B' }] },
			['a1 a2 a3 .', 'b1 b2 . .', 'c1 . . .']
		],
		[
			'a goal by itself, in its place',
			{ goals: [{ goal: '2', order: 'rarity' as const }, { goal: '1' }, { goal: '3' }] },
			['b2 . . .', 'b1 . . .', 'a1 a2 a3 .', 'c1 . . .']
		],
		[
			'goals without an order lie together, where the first of them does',
			{ goals: [{ goal: '1' }, { goal: '2', order: 'newest' as const }, { goal: '3' }] },
			['a1 a2 a3 .', 'c1 . . .', 'b1 b2 . .']
		],
		[
			'laid by hand, all lie as the hand laid them',
			{
				order: 'by-hand' as const,
				ownOrder: ['c1', 'b1'],
				goals: [{ goal: '2', order: 'rarity' as const }]
			},
			['c1 b1 a1 a2', 'a3 b2 . .']
		]
	])('%s', (_, choice, wanted) => {
		expect(pages(choice)).toEqual(wanted);
	});

	test('classes go by the order in which they are filed', () => {
		const layout = { ...usual, blocks: [{ block: 'a', order: 'rarity' as const }] };
		const { pages: laid, blocks } = planBinder(slots, layout, { rarities: ['rare', 'common'] });
		expect(laid[0]?.pockets.slice(0, 3)).toEqual(['a1', 'a2', 'a3']);
		expect(blocks).toEqual([
			{ key: 'a', name: 'A', slots: 3 },
			{ key: 'b', name: 'B', slots: 2 },
			{ key: 'c', name: 'C', slots: 1 }
		]);
	});

	test('for all choices every slot lies once, each block and each goal by itself in one piece', () => {
		const chosen = fc.record({
			blocks: fc.array(
				fc.record(
					{
						block: fc.constantFrom('a', 'b', 'c', 'common', 'x'),
						order: fc.constantFrom(...BLOCK_ORDERS)
					},
					{ requiredKeys: ['block'] }
				),
				{ maxLength: 4 }
			),
			goals: fc.uniqueArray(
				fc.record(
					{ goal: fc.constantFrom('1', '2', '3'), order: fc.constantFrom(...GOAL_ORDERS) },
					{ requiredKeys: ['goal'] }
				),
				{ selector: ({ goal }) => goal }
			),
			order: fc.constantFrom(...GOAL_ORDERS)
		});
		fc.assert(
			fc.property(chosen, (choice) => {
				const plan = planBinder(slots, { ...usual, blockStart: 'runs-on', ...choice });
				const laid = plan.pages.flatMap(({ pockets }) => pockets.filter((key) => key !== null));
				expect([...laid].sort()).toEqual(slots.map(({ key }) => key).sort());
				for (const { goal, order } of choice.goals) {
					if (order === undefined) continue;
					const places = laid.flatMap((key, i) =>
						slots.find((known) => known.key === key)?.goal === goal ? [i] : []
					);
					if (places.length > 0) {
						expect(Math.max(...places) - Math.min(...places)).toBe(places.length - 1);
					}
				}
			}),
			{ numRuns: 300 }
		);
	});
});
