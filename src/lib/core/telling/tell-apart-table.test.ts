import fc from 'fast-check';
import { expect, test } from 'vitest';
import { LOOK_NAMES, LOOKS, type Candidate } from '../checklist/tell.ts';
import { tellApartTable } from './tell-apart-table.ts';

test('what differs comes first, of that the cheapest look; the rest behind it', () => {
	const table = tellApartTable([
		{
			key: 'first',
			tells: [
				{ feature: 'size', value: '34 × 60 mm', where: 'ruler', reliability: 'poor' },
				{ feature: 'picture', value: 'a lamp' },
				{ feature: 'mark', value: 'a lamp under it', where: 'front' }
			]
		},
		{
			key: 'sister',
			tells: [
				{ feature: 'Picture ', value: 'A lamp' },
				{ feature: 'mark', value: 'none' },
				{ feature: 'size', value: '36 × 62 mm', where: 'ruler' },
				{ feature: 'letters', value: 'Strips' }
			]
		}
	]);
	expect(
		table.rows.map(({ feature, values, reliability }) => [feature, ...values, reliability])
	).toEqual([
		['mark', 'a lamp under it', 'none', 'certain'],
		['size', '34 × 60 mm', '36 × 62 mm', 'poor'],
		['picture', 'a lamp', 'a lamp', 'certain'],
		['letters', null, 'Strips', 'certain']
	]);
	expect(table.twins).toEqual([]);
});

const drawn = fc.array(
	fc.array(fc.option(fc.constantFrom('x', 'y', 'z')), { minLength: 3, maxLength: 3 }),
	{ maxLength: 5 }
);

test('for all tables: a pair is twin just where no feature that both show differs', () => {
	fc.assert(
		fc.property(
			drawn,
			fc.array(fc.constantFrom(...LOOK_NAMES), { minLength: 3, maxLength: 3 }),
			(shown, looks) => {
				const candidates: Candidate[] = shown.map((values, c) => ({
					key: String(c),
					tells: values.flatMap((value, f) =>
						value === null ? [] : [{ feature: `f${f}`, value, where: looks[f] ?? 'front' }]
					)
				}));
				const { twins, rows } = tellApartTable(candidates);
				const names = twins.map(([a, b]) => `${a} ${b}`);
				shown.forEach((left, a) => {
					shown.slice(a + 1).forEach((right, i) => {
						const differs = left.some((value, f) => value && right[f] && value !== right[f]);
						expect(names.includes(`${a} ${a + 1 + i}`)).toBe(!differs);
					});
				});
				const seconds = rows
					.filter(({ isDifferent }) => isDifferent)
					.map(({ where }) => LOOKS[where].seconds);
				expect(seconds).toEqual([...seconds].sort((a, b) => a - b));
				const last = rows.findLastIndex(({ isDifferent }) => isDifferent);
				expect(rows.slice(0, last + 1).every(({ isDifferent }) => isDifferent)).toBe(true);
			}
		),
		{ numRuns: 100 }
	);
});
