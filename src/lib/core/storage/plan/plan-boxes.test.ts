import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { cardUm, toPt } from '../../measuring/stock.ts';
import { BOX_KINDS, boxKindOf } from '../kinds/box-kind.ts';
import { boxWeight, cardG, shelfLoad } from '../room/box-weight.ts';
import { chooseBox, completeUm, USUAL_GIVE } from './choose-box.ts';
import { chooseHolder } from '../holders/choose-holder.ts';
import { planBoxes, type ShelvedSet } from './plan-boxes.ts';
import { weighBoxes } from './weigh-boxes.ts';
import { cardsIn, gaugePt, stackHeightUm } from '../room/stack-height.ts';

describe('thickness', () => {
	// 1 pt is a thousandth of an inch, and an inch 25.4 mm exactly (international yard and pound, 1959).
	test.each([
		[1, 'in', 1000],
		[25.4, 'mm', 1000],
		[35, 'pt', 35],
		[0.889, 'mm', 35]
	] as const)('%d %s is %d pt', (value, unit, pt) => {
		expect(toPt(value, unit)).toBeCloseTo(pt, 9);
	});

	test('a stack of equal cards tells the stock of one; its height is stock and holders', () => {
		expect(gaugePt(25.4, 'mm', 50)).toBeCloseTo(20, 9);
		expect(() => gaugePt(1, 'mm', 0)).toThrow('0 cards');
		expect(stackHeightUm([{ count: 1000, stockPt: 20 }])).toBe(508_000);
		expect(stackHeightUm([{ count: 2, stockPt: 20, holder: 'sleeve' }])).toBe(2 * (508 + 100));
		expect(stackHeightUm([])).toBe(0);
	});

	test('● 660 cards of thin stock fit a box of 550: the count is for standard stock', () => {
		const row = boxKindOf('550').rowMm * 1000;
		expect(cardsIn(row)).toBe(550);
		// Common practice, no source, for the fact; that thin stock is 15 pt is our reading of it.
		expect(660 * cardUm(15)).toBeLessThanOrEqual(row);
		expect(661 * cardUm(18)).toBeGreaterThan(row);
	});
});

describe('weight', () => {
	test('● 5,000 cards weigh 9 kg with nothing else, and are lifted with care', () => {
		expect(boxWeight([{ count: 5000 }], 0)).toMatchObject({ grams: 9000, lift: 'with care' });
		expect(boxWeight([{ count: 500 }], 85)).toEqual({ grams: 985, lift: 'light', caution: null });
	});

	// Published: the load constant of the revised NIOSH lifting equation, 23 kg (Waters et al., 1993).
	test('over 23 kg is too heavy even under ideal conditions', () => {
		expect(boxWeight([], 23_000).lift).toBe('with care');
		expect(boxWeight([], 23_001)).toMatchObject({ lift: 'too heavy' });
	});

	test('a card is weighed by stock and size; a shelf by its rating', () => {
		expect(cardG({ stockPt: 36 })).toBeCloseTo(3.6, 9);
		expect(cardG({ widthMm: 127 })).toBeCloseTo(3.6, 9);
		expect(shelfLoad([9000, 9000], 15_000)).toEqual({ grams: 18_000, isOver: true });
		expect(shelfLoad([9000], null)).toEqual({ grams: 9000, isOver: null });
	});
});

describe('holders', () => {
	// ● Under 1: box, better ones sleeved; 1 to 20: top loader; 20 and up: magnetic. Common practice, no source.
	test.each([
		[undefined, {}, null, false],
		[49, {}, null, false],
		[50, {}, 'sleeve', true],
		[99, {}, 'sleeve', true],
		[100, {}, 'top-loader-35', true],
		[1999, { stockPt: 31 }, 'top-loader-35', true],
		// 32 pt and a sleeve of 3.9 pt are more than 35.
		[1999, { stockPt: 32 }, 'top-loader-55', true],
		[2000, { stockPt: 130 }, 'magnetic-130', false],
		[2000, { stockPt: 177 }, 'magnetic-180', false],
		[2000, { stockPt: 181 }, null, false],
		[500, { widthMm: 127 }, null, true]
	])('worth %s, %j: %s', (valueMinor, format, holder, isSleeved) => {
		const card = { format, ...(valueMinor === undefined ? {} : { valueMinor }) };
		const choice = chooseHolder(card);
		expect(choice).toMatchObject({ holder, isSleeved });
		expect(choice.oddity !== undefined).toBe(
			holder === null && ['valuables', 'best'].includes(choice.tier)
		);
	});

	test('a tier may be named; one that is none is refused', () => {
		expect(chooseHolder({ tier: 'best' })).toMatchObject({
			holder: 'magnetic-35',
			rule: expect.stringContaining('named')
		});
		expect(() => chooseHolder({ tier: 'nix' })).toThrow('no tier "nix"');
	});
});

describe('chooseBox', () => {
	const set = (cards: number, need: number, have = cards, stockPt?: number) => ({
		cards,
		need,
		have,
		...(stockPt === undefined ? {} : { stockPt })
	});
	test.each([
		['● a thin 660-card set', set(656, 656, 656, 15), 'own box', '550'],
		['the same on standard stock', set(656, 656), 'own box', '660'],
		['complete enough and large enough', set(300, 480), 'own box', '500'],
		['too little of it there', set(280, 480), 'shared', null],
		['too small for the smallest box', set(200, 270), 'shared', null],
		['larger than any box of one row', set(900, 900), 'shared', null],
		['two lone cards', set(2, 400), 'stray', null],
		['three are no strays', set(3, 400), 'shared', null]
	])('%s', (_, boxed, choice, kind) => {
		const found = chooseBox(boxed);
		expect(found).toMatchObject({ choice, kind });
		expect(found.rule).not.toBe('');
		if (kind) expect(completeUm(boxed)).toBeLessThanOrEqual(boxKindOf(kind).rowMm * 1000);
	});

	test('thresholds are the user’s', () => {
		const rules = { leastFill: 0.3, leastHave: 0.5, mostStrays: 0 };
		expect(chooseBox(set(280, 480), rules).choice).toBe('own box');
		expect(chooseBox(set(2, 400), rules).choice).toBe('shared');
	});
});

describe('planBoxes', () => {
	const set = (
		key: string,
		cards: number,
		need: number,
		rest: Partial<ShelvedSet> = {}
	): ShelvedSet => ({
		key,
		name: key,
		year: '1994',
		maker: 'M',
		cards,
		need,
		have: Math.min(cards, need),
		...rest
	});

	test('large sets have their boxes, small runs share, strays stand behind their year, own cards apart', () => {
		const plan = planBoxes([
			set('Large', 400, 400),
			set('Small', 90, 200),
			set('Lone', 1, 300),
			set('Next', 50, 60, { year: '1995' }),
			set('Mine', 30, 30, { isApart: true }),
			set('None', 0, 30)
		]);
		expect(plan.choices.map(({ set: key, choice }) => `${key} ${choice}`)).toEqual([
			'Large own box',
			'Lone stray',
			'Mine shared',
			'Small shared',
			'Next shared'
		]);
		expect(plan.boxes.map(({ kind, isApart }) => `${kind} ${isApart}`)).toEqual([
			'500 false',
			'5000 false',
			'5000 true'
		]);
		const [row] = plan.boxes[1]?.rows ?? [];
		expect(row?.entries.map(({ label }) => label)).toEqual([
			'Small 1994',
			'1994, strays',
			'Next 1995'
		]);
		// A divider of 0.8 mm, ninety cards and room for half of the 110 that are missing.
		expect(row?.entries[0]?.um).toBe(800 + 145 * cardUm(18));
	});

	test('schools: by year, by maker, by theme first', () => {
		const sets = [
			set('a', 9, 9, { year: '1990', maker: 'Z', theme: 'ships' }),
			set('b', 9, 9, { year: '1991', maker: 'Y', theme: 'moths' }),
			set('c', 9, 9, { year: '1992', maker: 'Z', theme: 'moths' })
		];
		const order = (school: 'year' | 'maker' | 'theme') =>
			planBoxes(sets, { school }).boxes[0]?.rows[0]?.entries.flatMap((entry) => entry.sets);
		expect(order('year')).toEqual(['a', 'b', 'c']);
		expect(order('maker')).toEqual(['b', 'a', 'c']);
		expect(order('theme')).toEqual(['b', 'c', 'a']);
	});

	test('for all collections: boxes weigh what their cards weigh, none is lost and none counted twice', () => {
		const any = fc.record({
			cards: fc.integer({ min: 1, max: 3000 }),
			stockPt: fc.constantFrom(15, 18, 36)
		});
		fc.assert(
			fc.property(fc.array(any, { maxLength: 12 }), (parts) => {
				const sets = parts.map((part, i) => set(`s${i}`, part.cards, part.cards, part));
				const { boxes } = planBoxes(sets);
				const weighed = weighBoxes(boxes, sets);
				const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0);
				// A set broken over boxes is shared out by length, rounded to whole cards in each part.
				const rounding = sum(boxes.flatMap(({ rows }) => rows.map((row) => row.entries.length)));
				const cards = sum(sets.map((part) => part.cards));
				expect(Math.abs(sum(weighed.map((part) => part.cards)) - cards)).toBeLessThanOrEqual(
					rounding
				);
				const tare = sum(boxes.map(({ kind }) => boxKindOf(kind).tareG));
				const grams = sum(sets.map(({ cards: count, stockPt = 18 }) => count * cardG({ stockPt })));
				const off = Math.abs(sum(weighed.map((part) => part.grams)) - tare - grams);
				expect(off).toBeLessThanOrEqual(4 * rounding + boxes.length);
			}),
			{ numRuns: 50 }
		);
	});

	test('for all collections: every set stands once, in boxes that hold it', () => {
		const any = fc.record({
			cards: fc.integer({ min: 0, max: 1200 }),
			need: fc.integer({ min: 1, max: 900 }),
			year: fc.constantFrom('1990', '1991'),
			isApart: fc.boolean()
		});
		fc.assert(
			fc.property(fc.array(any, { maxLength: 25 }), (parts) => {
				const sets = parts.map((part, i) => set(`s${i}`, part.cards, part.need, part));
				const plan = planBoxes(sets);
				const stood = plan.boxes.flatMap(({ rows }) =>
					rows.flatMap(({ entries }) => entries.filter(({ isContinued }) => !isContinued))
				);
				expect(stood.flatMap((entry) => entry.sets).sort()).toEqual(
					sets
						.filter(({ cards }) => cards > 0)
						.map(({ key }) => key)
						.sort()
				);
				for (const { kind, rows, fill } of plan.boxes) {
					// Cards of a full box give a little.
					expect(fill).toBeLessThanOrEqual(1 + USUAL_GIVE + 1e-5);
					const rowUm = (BOX_KINDS.find(({ key }) => key === kind)?.rowMm ?? 0) * 1000;
					for (const { usedUm } of rows) {
						expect(usedUm).toBeLessThanOrEqual(rowUm * (1 + USUAL_GIVE) + 1);
					}
				}
			}),
			{ numRuns: 50 }
		);
	});
});
