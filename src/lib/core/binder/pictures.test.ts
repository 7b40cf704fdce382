import { describe, expect, test } from 'vitest';
import type { BinderSlot } from './binder-slot.ts';
import { drawn, run, slot, usual } from './drawn.fixture.ts';
import { planBinder } from './plan-binder.ts';

describe('pictures', () => {
	const picture = (columns: number, rows: number, extras = 0): BinderSlot[] =>
		Array.from({ length: columns * rows + extras }, (_, i) => ({
			...slot(`p${i + 1}`, { block: 'Puzzle' }),
			puzzle: { key: 'p', columns, rows, ...(i < columns * rows ? { place: i + 1 } : {}) }
		}));

	test('nine pieces fill one page, though the block before runs on', () => {
		const pages = drawn([...run('a', 2), ...picture(3, 3)], { blockStart: 'runs-on' });
		expect(pages).toEqual(['a1 a2 . . . . . . .', 'p1 p2 p3 p4 p5 p6 p7 p8 p9']);
	});

	test.each([
		// Ten and eleven cards: the grid, and title or extra cards behind it or beside it.
		['3x3', picture(3, 3, 1), ['p1 p2 p3 p4 p5 p6 p7 p8 p9', 'p10 . . . . . . . .']],
		['3x4', picture(3, 3, 2), ['p1 p2 p3 p10 p4 p5 p6 p11 p7 p8 p9 .']],
		// Over a spread: the page before stays blank, so that the halves face each other at the gutter.
		['3x3', picture(5, 2), ['blank', 'p1 p2 p3 p6 p7 p8 . . .', 'p4 p5 . p9 p10 . . . .']],
		['3x3', picture(4, 1), ['blank', '. p1 p2 . . . . . .', 'p3 p4 . . . . . . .']]
	] as const)('on %s pages', (pageKind, slots, pages) => {
		expect(drawn(slots, { pageKind })).toEqual(pages);
	});

	test('a picture of which no place is told is laid in the order of its cards', () => {
		const bare = picture(3, 3).map(({ puzzle: _, ...rest }) => ({
			...rest,
			puzzle: { key: 'p', columns: 3, rows: 3 }
		}));
		expect(drawn(bare, {})).toEqual(['p1 p2 p3 p4 p5 p6 p7 p8 p9']);
	});

	test('a title goes beside the picture where there is room, else behind it', () => {
		expect(drawn(picture(2, 2), { titlePocket: true })).toEqual(['p1 p2 T p3 p4 . . . .']);
		const full = drawn(picture(3, 3), { titlePocket: true });
		expect(full).toEqual(['p1 p2 p3 p4 p5 p6 p7 p8 p9', 'T . . . . . . . .']);
	});

	test('a missing piece keeps its place when gaps are closed up', () => {
		const slots = picture(2, 2).map((slot, i) => ({ ...slot, isFilled: i !== 1 }));
		const pages = drawn(slots, { pageKind: '2x2', missing: 'close-up' });
		expect(pages).toEqual(['p1 p2 p3 p4']);
	});

	test('one over two pages begins a new leaf or volume like any block', () => {
		const slots = [...run('a', 2), ...picture(4, 1)];
		const volumesOf = (blockStart: 'new-page' | 'new-leaf' | 'new-volume') =>
			planBinder(slots, { ...usual, blockStart }).pages.map(
				({ volume, pageInVolume, use }) => `${volume}/${pageInVolume} ${use}`
			);
		expect(volumesOf('new-page')).toEqual(['1/1 cards', '1/2 cards', '1/3 cards']);
		expect(volumesOf('new-leaf')).toEqual([
			'1/1 cards',
			'1/2 blank',
			'1/3 blank',
			'1/4 cards',
			'1/5 cards'
		]);
		expect(volumesOf('new-volume')).toEqual([
			'1/1 cards',
			'1/2 blank',
			'2/1 blank',
			'2/2 cards',
			'2/3 cards'
		]);
	});

	test('in a binder of one leaf it makes the volume too full, which is said; no card is lost', () => {
		const binderKinds = [{ key: 'one', name: '', mostLeaves: 1, spineDepthMm: 99 }];
		const slots = [...run('a', 20), ...picture(4, 1)];
		const plan = planBinder(slots, { ...usual, binderKind: 'one' }, { binderKinds });
		const laid = plan.pages.flatMap(({ pockets }) => pockets.filter((key) => key !== null));
		expect(laid).toHaveLength(24);
		expect(plan.volumes.map(({ leaves, isOverfull }) => `${leaves} ${isOverfull}`)).toEqual([
			'1 false',
			'1 false',
			'2 true'
		]);
	});

	test('one too large for two pages lies in order, and the plan says so', () => {
		expect(planBinder(picture(7, 1), usual).tooLarge).toEqual(['Puzzle']);
		const oneSided = { ...usual, cardsAPocket: 1 } as const;
		expect(planBinder(picture(5, 2), oneSided).tooLarge).toEqual(['Puzzle']);
	});
});

describe('cards that do not fit', () => {
	const panel = { format: { widthMm: 127, heightMm: 88.9 } };
	const thick = { format: { stockPt: 100 } };
	const mini = { format: { widthMm: 35, heightMm: 60 } };

	test('a block of panels keeps its place, a single thick card goes behind, each on a new leaf', () => {
		const slots = [...run('a', 1), slot('a9', thick), ...run('p', 1, panel), ...run('b', 1)];
		const plan = planBinder(slots, usual);
		expect(plan.pages.map(({ kind, use }) => `${kind} ${use}`)).toEqual([
			'3x3 cards',
			'3x3 blank',
			'2x2 cards',
			'2x2 blank',
			'3x3 cards',
			'3x3 blank',
			'2x2 cards'
		]);
		expect(plan.odd).toEqual([
			{ slot: 'a9', kind: '2x2', why: 'too thick' },
			{ slot: 'p1', kind: '2x2', why: 'too large' }
		]);
	});

	test('minis slide about until there is a page for them', () => {
		const plan = planBinder(run('m', 2, mini), usual);
		expect(plan.odd[0]).toEqual({ slot: 'm1', kind: '3x3', why: 'loose' });
		const miniKind = {
			key: 'mini',
			name: 'Minis',
			rows: 4,
			columns: 5,
			pocketWidthMm: 40,
			pocketHeightMm: 66,
			loading: 'top',
			thickestPt: 40
		} as const;
		const better = planBinder(run('m', 2, mini), usual, { pageKinds: [miniKind] });
		expect(better.odd[0]).toEqual({ slot: 'm1', kind: 'mini', why: 'loose' });
		expect(better.pages[0]?.pockets).toHaveLength(20);
	});

	test('what no page takes is named, not dropped silently', () => {
		const huge = { format: { widthMm: 400, heightMm: 300 } };
		const plan = planBinder([slot('x', huge)], usual);
		expect(plan).toMatchObject({ pages: [], odd: [{ slot: 'x', kind: null, why: 'too large' }] });
	});
});
