import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { compareCardNumbers } from '../checklist/compare-card-numbers.ts';
import { pullList, putAway, type DividerPlace, type StackCard } from './put-away.ts';

const place = (
	box: string,
	row: number,
	set: string,
	numbers: readonly string[]
): DividerPlace => ({
	box,
	row,
	divider: set,
	set,
	numbers
});
const card = (set: string, number: string | null, title = ''): StackCard => ({
	key: `${set} ${number ?? title}`,
	set,
	number,
	title
});

describe('putAway', () => {
	test('in walking order, each between its neighbours as they stand then', () => {
		const places = [
			place('Long box 1', 1, 'b', ['1', '9']),
			place('Long box 4', 2, 'a', ['112', '118', '2'])
		];
		const stack = [
			card('a', '115'),
			card('b', '10'),
			card('a', '113'),
			card('x', '1'),
			card('a', '112')
		];
		const { lines, homeless } = putAway(stack, places);
		expect(
			lines.map(({ card: key, box, row, after, before }) => [key, box, row, after, before])
		).toEqual([
			['b 10', 'Long box 1', 1, '9', null],
			['a 112', 'Long box 4', 2, '112', '118'],
			['a 113', 'Long box 4', 2, '112', '118'],
			['a 115', 'Long box 4', 2, '113', '118']
		]);
		expect(homeless).toEqual(['x 1']);
	});

	test('a set over two rows: a card goes where its number does; titles follow the alphabet', () => {
		const places = [
			place('1', 1, 'a', ['10', '50']),
			place('1', 2, 'a', ['51', '99']),
			{ ...place('1', 3, 'u', []), titles: ['Auk', 'Tern'] }
		];
		const { lines } = putAway([card('a', '70'), card('a', '3'), card('u', null, 'Gull')], places);
		expect(lines.map(({ row, after, before }) => [row, after, before])).toEqual([
			[1, null, '10'],
			[2, '51', '99'],
			[3, 'Auk', 'Tern']
		]);
	});

	test('for all stacks: put away one by one, every row stays in order and no card is lost', () => {
		const number = fc.integer({ min: 1, max: 60 }).map(String);
		fc.assert(
			fc.property(
				fc.array(number, { maxLength: 30 }),
				fc.array(number, { maxLength: 15 }),
				(there, stack) => {
					const { lines } = putAway(
						stack.map((n, i) => ({ ...card('a', n), key: `${n}#${i}` })),
						[place('1', 1, 'a', there)]
					);
					const row = [...there].sort(compareCardNumbers);
					for (const { card: key, after, before } of lines) {
						const own = key.split('#')[0] ?? '';
						const at = before === null ? row.length : row.indexOf(before);
						expect(row[at - 1] ?? null).toBe(after);
						row.splice(at, 0, own);
					}
					expect(row).toEqual([...there, ...stack].sort(compareCardNumbers));
				}
			)
		);
	});
});

test('pullList: the same walk, with the neighbours a card stands between', () => {
	const places = [place('1', 1, 'a', ['1', '2', '3']), place('2', 1, 'b', ['7'])];
	const { lines } = pullList([card('b', '7'), card('a', '2')], places);
	expect(lines.map(({ card: key, box, after, before }) => [key, box, after, before])).toEqual([
		['a 2', '1', '1', '3'],
		['b 7', '2', null, null]
	]);
});
