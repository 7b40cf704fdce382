import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { scopeGoal } from '../goal/scope-goal.ts';
import type { GoalChoice } from '../goal/goal-rules.ts';
import { binderSlots } from './binder-slots.ts';
import { orderBlocks } from './order-blocks.ts';
import { planBinder } from './plan-binder.ts';

const outcome = resolveRelease({
	release: { name: 'R', maker: 'M', year: '1994' },
	sections: [
		{ name: 'Base', cards: [1, 2, 3].map((n) => ({ number: String(n), title: `Card ${n}` })) },
		{
			name: 'Stickers',
			kind: 'extra',
			arrangement: { kind: 'puzzle', columns: 2, rows: 2 },
			cards: [4, 3, 2, 1].map((n) => ({ number: `S${n}`, title: `Piece ${n}`, place: n }))
		},
		{
			name: 'Tiles',
			kind: 'extra',
			arrangement: { kind: 'puzzle', columns: 1, rows: 2 },
			cards: [1, 2, 3].map((n) => ({ number: `T${n}`, title: `Tile ${n}` }))
		}
	],
	parallels: [{ name: 'Red', runs: [{ sections: ['base'], cards: ['2'], swatch: 'with' }] }],
	variants: [
		{ kind: 'image variation', name: 'at night', cards: ['1'] },
		{ kind: 'corrected', name: 'right back', cards: ['3'] }
	]
});
if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
const release = outcome.value;
const slotsOf = (choice: Partial<GoalChoice>) =>
	binderSlots([release], scopeGoal(release, { preset: 'strict-master', ...choice }));
const find = (choice: Partial<GoalChoice>, start: string) =>
	slotsOf(choice).filter(({ key }) => key.startsWith(`r-1994/${start}`));

describe('binderSlots', () => {
	test('a variant is one only beside a slot of its own card', () => {
		const flags = (choice: Partial<GoalChoice>, start: string) =>
			find(choice, start).map(({ isVariant = false }) => isVariant);
		expect(flags({}, 'base-1')).toEqual([false, true]);
		// Only the corrected one is asked for: it is the card, though it is recorded as a variant.
		const corrected = { errors: 'corrected', variants: 'any' } as const;
		expect(find(corrected, 'base-3').map(({ key }) => key)).toEqual(['r-1994/base-3!right-back']);
		expect(flags(corrected, 'base-3')).toEqual([false]);
		const ordered = orderBlocks(
			slotsOf(corrected),
			{ order: 'number', variants: 'own-block', parallels: 'blocks' },
			[]
		);
		expect(ordered.map(({ name }) => name)).toEqual(['Base', 'Stickers', 'Tiles', 'Base, Red']);
	});

	test('pieces lie by their stated place, else by number; one more than the picture has is an extra', () => {
		const puzzles = (start: string) =>
			find({}, start).map(({ number, puzzle }) => `${number} ${puzzle?.place}`);
		expect(puzzles('stickers').sort()).toEqual(['S1 1', 'S2 2', 'S3 3', 'S4 4']);
		const { pages } = planBinder(find({}, 'tiles'), {
			pageKind: '2x2',
			order: 'number',
			blockStart: 'new-page'
		});
		expect(pages[0]?.pockets.map((key) => key?.slice(-1) ?? '.')).toEqual(['1', '3', '2', '.']);
	});

	test('a swatch makes a card thick where the checklist does not say how thick', () => {
		expect(find({}, 'base-2~red').map(({ format }) => format)).toEqual([{ stockPt: 100 }]);
		expect(find({}, 'base-2')[0]).not.toHaveProperty('format');
	});

	test('two sets of a picture are two pictures', () => {
		const keys = new Set(find({ sets: 2 }, 'stickers').map(({ puzzle }) => puzzle?.key));
		expect(keys.size).toBe(2);
	});
});
