import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { compareCardNumbers } from '../../checklist/numbers/compare-card-numbers.ts';
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
				(standing, stack) => {
					const { lines } = putAway(
						stack.map((n, i) => ({ ...card('a', n), key: `${n}#${i}` })),
						[place('1', 1, 'a', standing)]
					);
					const row = [...standing].sort(compareCardNumbers);
					for (const { card: key, after, before } of lines) {
						const placed = key.split('#')[0] ?? '';
						const at = before === null ? row.length : row.indexOf(before);
						expect(row[at - 1] ?? null).toBe(after);
						row.splice(at, 0, placed);
					}
					expect(row).toEqual([...standing, ...stack].sort(compareCardNumbers));
				}
			)
		);
	});
});

/** The rule in plain steps: where its like stands, else behind the nearest before it, else before the first. */
function placeByForce(wanted: string, rows: readonly (readonly string[])[]): number {
	const all = rows.flatMap((row, i) => row.map((number) => ({ number: Number(number), i })));
	const upTo = all.filter(({ number }) => number <= Number(wanted));
	const best = Math.max(...upTo.map(({ number }) => number));
	if (upTo.length > 0) return all.findLast(({ number }) => number === best)?.i ?? 0;
	const least = Math.min(...all.map(({ number }) => number));
	return all.find(({ number }) => number === least)?.i ?? 0;
}

test('for all sets over several dividers, in any order: a card goes where its neighbours stand', () => {
	const row = fc.array(fc.integer({ min: 1, max: 40 }).map(String), { minLength: 1, maxLength: 8 });
	fc.assert(
		fc.property(
			fc.array(row, { minLength: 1, maxLength: 4 }),
			fc.uniqueArray(fc.integer({ min: 1, max: 45 }).map(String), { maxLength: 8 }),
			(rows, stack) => {
				const places = rows.map((numbers, i) => ({
					...place(`Box ${i}`, 1, 'a', numbers),
					divider: `${i}`
				}));
				const { lines } = putAway(
					stack.map((number) => card('a', number)),
					places
				);
				expect(lines.map(({ divider }) => divider)).toEqual(
					lines.map(({ card: key }) => String(placeByForce(key.slice(2), rows)))
				);
				expect(lines).toHaveLength(stack.length);
			}
		)
	);
});

test('a class has boxes of its own: the same set stands in each, and a card goes into the one for it', () => {
	const place = (box: string, more: object) => ({
		...{ box, row: 1, divider: 'S', set: 's', numbers: ['1', '9'] },
		...more
	});
	const places = [
		place('Long box 1', {}),
		place('Ada 1', { keptIn: 'Ada' }),
		place('S 1994', { set: 'tiny', numbers: [], inside: 'in Long box 1, row 2' })
	];
	const card = (key: string, more: object) => ({
		...{ key, set: 's', number: '5', title: '' },
		...more
	});
	const cards = [
		card('ada', { keptIn: 'Ada' }),
		card('set', {}),
		card('dear', { keptIn: 'best' }),
		card('small', { set: 'tiny' })
	];
	const slip = putAway(cards, places);
	expect(slip.lines.map(({ card: key, box, inside, after }) => [key, box, inside, after])).toEqual([
		['set', 'Long box 1', undefined, '1'],
		['ada', 'Ada 1', undefined, '1'],
		['small', 'S 1994', 'in Long box 1, row 2', null]
	]);
	expect(slip.homeless).toEqual(['dear']);
});

test('titles and letters decide between dividers as numbers do', () => {
	const titled = (divider: string, titles: string[]) => ({
		...place('1', 1, 'u', []),
		divider,
		titles
	});
	const { lines } = putAway(
		[card('u', null, 'Gull'), card('u', null, 'Tern')],
		[titled('late', ['Skua', 'Wren']), titled('early', ['Auk', 'Heron'])]
	);
	expect(lines.map(({ card: key, divider }) => [key, divider])).toEqual([
		['u Tern', 'late'],
		['u Gull', 'early']
	]);
	const letters = putAway([card('a', 'D')], [place('1', 1, 'a', ['A', 'C', 'E', 'M'])]).lines;
	expect(letters).toMatchObject([{ after: 'C', before: 'E' }]);
});

test('what is sorted as a surname stands there, and is called by its title', () => {
	const filed = (title: string, sortAs: string) => ({ title, sortAs });
	const row = {
		...place('1', 1, 'k', []),
		titles: ['Fog', filed('Cole Hale', 'Hale'), filed('Zoe Ayre', 'Ayre')]
	};
	const stack = [
		{ ...card('k', null, 'Bea Hale'), sortAs: 'Hale' },
		{ ...card('k', null, 'Ada Wren'), sortAs: 'Wren' },
		card('k', null, 'Cod')
	];
	expect(
		putAway(stack, [row]).lines.map(({ card: key, after, before }) => [key, after, before])
	).toEqual([
		['k Cod', 'Zoe Ayre', 'Fog'],
		['k Bea Hale', 'Fog', 'Cole Hale'],
		['k Ada Wren', 'Cole Hale', null]
	]);
	const pulled = pullList([{ ...card('k', null, 'Cole Hale'), sortAs: 'Hale' }], [row]);
	expect(pulled.lines).toMatchObject([{ after: 'Fog', before: null }]);
	// Of two of one surname the right one is pulled.
	expect(pullList([{ ...card('k', null, 'Dan Hale'), sortAs: 'Hale' }], [row]).absent).toEqual([
		'k Dan Hale'
	]);
});

test('pulling: what is not there is told, doubles come out once each, and what is gone is no neighbour', () => {
	const places = [place('1', 1, 'a', ['1', '2', '2', '3', '4'])];
	const stack = ['2', '2', '2', '3', '9'].map((number, i) => ({
		...card('a', number),
		key: `${number}#${i}`
	}));
	const { lines, absent, homeless } = pullList([...stack, card('x', '1')], places);
	expect(lines.map(({ card: key, after, before }) => [key, after, before])).toEqual([
		['2#0', '1', '3'],
		['2#1', '1', '3'],
		['3#3', '1', '4']
	]);
	expect(absent).toEqual(['2#2', '9#4']);
	expect(homeless).toEqual(['x 1']);
});

test('pullList: the same walk, with the neighbours a card stands between', () => {
	const places = [place('1', 1, 'a', ['1', '2', '3']), place('2', 1, 'b', ['7'])];
	const { lines } = pullList([card('b', '7'), card('a', '2')], places);
	expect(lines.map(({ card: key, box, after, before }) => [key, box, after, before])).toEqual([
		['a 2', '1', '1', '3'],
		['b 7', '2', null, null]
	]);
});
