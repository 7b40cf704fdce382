import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { LayoutChoice } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { drawn, run, slot, usual } from './drawn.fixture.ts';
import { planBinder } from './plan-binder.ts';

describe('where blocks begin', () => {
	const slots = [...run('a', 1), ...run('b', 1)];
	test.each([
		['runs-on', 2, ['a1 b1 . .']],
		['new-page', 2, ['a1 . . .', 'b1 . . .']],
		['new-leaf', 2, ['a1 . . .', 'blank', 'b1 . . .']],
		['new-volume', 2, ['a1 . . .', 'blank', 'b1 . . .']],
		// One card a pocket: the backs of the leaf show the backs of its cards.
		['new-page', 1, ['a1 . . .', 'backs', 'b1 . . .', 'backs']]
	] as const)('%s, %i a pocket', (blockStart, cardsAPocket, pages) => {
		expect(drawn(slots, { pageKind: '2x2', blockStart, cardsAPocket })).toEqual(pages);
	});

	test('new volumes are told apart', () => {
		const plan = planBinder(slots, { ...usual, blockStart: 'new-volume' });
		expect(plan.pages.map(({ volume, pageInVolume }) => [volume, pageInVolume])).toEqual([
			[1, 1],
			[1, 2],
			[2, 1]
		]);
		expect(plan).toMatchObject({ leaves: 2, cardPages: 2, broken: [] });
	});
});

describe('what is missing, titles and slack', () => {
	const slots = [
		...run('a', 2),
		...run('a', 6)
			.slice(2)
			.map((slot) => ({ ...slot, isFilled: false }))
	];
	test.each([
		['keep', 0, 0, ['a1 a2 a3 a4', 'a5 a6 . .']],
		['close-up', 0, 0, ['a1 a2 . .']],
		['some', 3, 0, ['a1 a2 r r', 'r . . .']],
		// Never more than are missing.
		['some', 9, 0, ['a1 a2 r r', 'r r . .']],
		['close-up', 0, 1, ['a1 a2 f .']]
	] as const)('%s, %i reserved, %i free', (missing, reserve, slack, pages) => {
		expect(drawn(slots, { pageKind: '2x2', missing, reserve, slack })).toEqual(pages);
	});

	test('a title takes a pocket, and is no empty one', () => {
		const choice = { pageKind: '2x2', titlePocket: true } as const;
		expect(drawn(run('a', 2), choice)).toEqual(['T a1 a2 .']);
		const plan = planBinder(run('a', 2), { ...usual, ...choice });
		expect(plan.emptyPockets).toBe(1);
		expect(plan.pages[0]?.marks).toEqual([{ pocket: 0, use: 'title', text: 'a' }]);
	});
});

describe('orders', () => {
	const slots = [
		slot('1', { block: 'Base', group: 'Ships', year: '1994', arrivedOn: '1996-01-02' }),
		slot('2', { block: 'Base', group: 'Keepers', year: '1994' }),
		slot('F1', { block: 'Fresnel', group: 'Keepers', year: '1994', arrivedOn: '1996-03-01' }),
		slot('N3', { block: 'Next', year: '1995', arrivedOn: '1996-02-01' })
	];
	test.each([
		['number', '1 2 F1 N3'],
		['group', '2 F1 1 N3'],
		['newest', 'F1 N3 1 2'],
		['newest-release', 'N3 1 2 F1']
	] as const)('%s', (order, keys) => {
		expect(drawn(slots, { order, blockStart: 'runs-on' })).toEqual([`${keys} . . . . .`]);
	});

	test('by hand: pocket by pocket, free ones kept, what it does not name last', () => {
		const ownOrder = ['N3', '', '1', 'gone', ''];
		expect(drawn(slots, { order: 'by-hand', ownOrder })).toEqual(['N3 . 1 2 F1 . . . .']);
	});
});

describe('variants and parallels', () => {
	const slots = [
		slot('1', { block: 'Base', subject: 'Ada' }),
		slot('1v', { block: 'Base', subject: 'Ada', isVariant: true }),
		slot('2', { block: 'Base', subject: 'Bram' }),
		slot('1g', { block: 'Base, Brass', numbering: 'Base', subject: 'Ada' }),
		slot('2g', { block: 'Base, Brass', numbering: 'Base', subject: 'Bram' })
	];
	test.each([
		['beside', 'blocks', ['1 1v 2 . . . . . .', '1g 2g . . . . . . .']],
		['end', 'blocks', ['1 2 1v . . . . . .', '1g 2g . . . . . . .']],
		['own-block', 'blocks', ['1 2 . . . . . . .', '1v . . . . . . . .', '1g 2g . . . . . . .']],
		['beside', 'rows', ['1 1v 1g 2 2g . . . .']]
	] as const)('%s, %s', (variants, parallels, pages) => {
		expect(drawn(slots, { variants, parallels })).toEqual(pages);
	});

	test('subjects with one version each lie one behind the other', () => {
		const single = ['Ada', 'Bram'].map((subject) => slot(subject, { subject }));
		expect(drawn(single, { parallels: 'rows' })).toEqual(['Ada Bram . . . . . . .']);
	});

	test('a row that would break over two pages begins on the next', () => {
		const five = ['Ada', 'Bram'].flatMap((subject) =>
			Array.from({ length: 5 }, (_, i) => slot(`${subject[0]}${i}`, { subject }))
		);
		expect(drawn(five, { parallels: 'rows' })).toEqual([
			'A0 A1 A2 A3 A4 . . . .',
			'B0 B1 B2 B3 B4 . . . .'
		]);
	});
});

test('for all slots and layouts: every slot lies in one pocket, volumes are whole leaves, facing pages face', () => {
	const some = fc.record({
		number: fc.option(fc.nat(40).map(String), { nil: null }),
		title: fc.constantFrom('A', 'B', 'C'),
		block: fc.constantFrom('a', 'b', 'c'),
		isVariant: fc.boolean(),
		format: fc.constantFrom({}, {}, {}, { widthMm: 127 }, { stockPt: 100 }),
		picture: fc.option(fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 1, max: 3 })), {
			freq: 8
		})
	});
	const layout = fc.record({
		pageKind: fc.constantFrom('3x3', '2x2', '4x3'),
		order: fc.constantFrom('number', 'rarity', 'group', 'subject', 'newest', 'by-hand'),
		blockStart: fc.constantFrom('new-page', 'new-leaf', 'new-volume', 'runs-on'),
		cardsAPocket: fc.constantFrom(1, 2),
		titlePocket: fc.boolean(),
		slack: fc.nat(2),
		variants: fc.constantFrom('beside', 'end', 'own-block'),
		parallels: fc.constantFrom('blocks', 'rows')
	}) as fc.Arbitrary<LayoutChoice>;
	const binderKinds = [{ key: 'tiny', name: '', mostLeaves: 2, spineDepthMm: 9 }];
	fc.assert(
		fc.property(fc.array(some, { maxLength: 50 }), layout, (parts, choice) => {
			const slots = parts.map(({ picture, ...part }, i): BinderSlot => {
				const [columns = 0, rows = 0] = picture ?? [];
				const puzzle = {
					key: `${part.block} ${columns}x${rows}`,
					columns,
					rows,
					place: 1 + (i % 9)
				};
				return { ...part, key: `s${i}`, ...(picture ? { puzzle } : {}) };
			});
			const plan = planBinder(slots, { ...choice, binderKind: 'tiny' }, { binderKinds });
			const laid = plan.pages.flatMap(({ pockets }) => pockets.filter((key) => key !== null));
			expect([...laid].sort()).toEqual(slots.map(({ key }) => key).sort());
			for (const { leaves, isOverfull } of plan.volumes) {
				expect(leaves).toBeLessThanOrEqual(2);
				expect(isOverfull).toBe(false);
			}
			plan.pages.forEach(({ page, pageInVolume, kind }, i) => {
				expect(page).toBe(i + 1);
				expect(pageInVolume % 2).toBe(page % 2);
				// Both faces of a leaf are of one kind.
				if (page % 2 === 0) expect(kind).toBe(plan.pages[i - 1]?.kind);
			});
		})
	);
});
