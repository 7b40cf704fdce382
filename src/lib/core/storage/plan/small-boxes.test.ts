import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BOX_KINDS, boxKindOf, standsIn } from '../kinds/box-kind.ts';
import { chooseSmallBox, USUAL_BOX_RULES } from './choose-box.ts';
import { planBoxes, type ShelvedSet } from './plan-boxes.ts';

const set = (key: string, cards: number, need = cards, year = '1994'): ShelvedSet => ({
	...{ key, name: key, year, maker: 'M' },
	...{ cards, need, have: Math.min(cards, need) }
});
const long = boxKindOf('5000');

describe('small boxes in larger ones', () => {
	test.each([
		['a tiny set', 45, 45, 'small-50'],
		['a larger one', 80, 80, 'small-100'],
		['two cards of fifty: too few are there', 10, 50, null],
		['as few as strays', 2, 2, null],
		['too empty in the smallest', 20, 20, null],
		['too large', 120, 120, null]
	])('%s', (_, cards, need, kind) => {
		expect(chooseSmallBox(set('a', cards, need), USUAL_BOX_RULES, BOX_KINDS)?.kind ?? null).toBe(
			kind
		);
	});

	test('they go into rows of long boxes, not beside each other into one that is too low or too narrow', () => {
		const small = boxKindOf('small-50');
		expect(standsIn(small, long)).toBe(true);
		expect(standsIn(boxKindOf('800'), long)).toBe(false);
		expect(standsIn(small, { ...long, heightMm: 95 })).toBe(false);
		expect(standsIn(small, { ...long, rows: 6 })).toBe(false);
	});

	test('only where it is asked for; what is no tiny set stands as ever', () => {
		const sets = [set('tiny', 45), set('middle', 200, 400), set('whole', 500), set('stray', 1)];
		const usual = planBoxes(sets);
		const asked = planBoxes(sets, { smallBoxes: true });
		const told = ({ boxes }: typeof usual) =>
			boxes.map(({ kind, rows }) => [
				kind,
				rows.flatMap(({ entries }) =>
					entries.map(({ sets: keys, smallBox }) => [...keys, smallBox])
				)
			]);
		expect(told(usual)).toEqual([
			['500', [['whole', undefined]]],
			[
				'5000',
				[
					['middle', undefined],
					['tiny', undefined],
					['stray', undefined]
				]
			]
		]);
		expect(told(asked)).toEqual([
			['500', [['whole', undefined]]],
			// What the box of small ones has room for stands there too, in the next row.
			[
				'5000',
				[
					['tiny', 'small-50'],
					['middle', undefined],
					['stray', undefined]
				]
			]
		]);
	});

	test('for all tiny sets: each stands once and whole, no row is too full, and no earlier row had room', () => {
		const sizes = fc.array(fc.integer({ min: 3, max: 120 }), { maxLength: 400 });
		fc.assert(
			fc.property(sizes, (cards) => {
				const sets = cards.map((count, i) => set(`s${i}`, count));
				const { boxes, choices } = planBoxes(sets, { smallBoxes: true });
				const rows = boxes
					.flatMap((box) => box.rows)
					.filter(({ entries }) => entries.some(({ smallBox }) => smallBox));
				const standing = rows.flatMap(({ entries }) => entries);
				const tiny = choices.filter(({ choice }) => choice === 'small box');
				expect(standing.map(({ sets: [key] }) => key).sort()).toEqual(
					tiny.map(({ set: key }) => key).sort()
				);
				const lengthOf = (kind = '') => boxKindOf(kind).lengthMm * 1000;
				rows.forEach(({ entries, usedUm }, i) => {
					expect(usedUm).toBe(entries.reduce((sum, { smallBox }) => sum + lengthOf(smallBox), 0));
					expect(usedUm).toBeLessThanOrEqual(long.rowMm * 1000);
					const next = rows[i + 1]?.entries[0];
					if (next) expect(usedUm + next.um).toBeGreaterThan(long.rowMm * 1000);
				});
			}),
			{ numRuns: 60 }
		);
	});
});
