import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { wholeSections } from './edition.ts';
import { fillTitles, readTitles } from './fill-titles.ts';
import { completeDraft } from './draft/resolve-release.ts';

const told = (text: string) =>
	readTitles(text).lines.map(({ number, title, group }) =>
		[number, title, group ?? ''].join(' | ')
	);
const EXPECTED = ['12 | Gannet Point | Lights', '13 | Ada Hale | Keepers', '14 | Terns | Keepers'];

describe('a pasted list', () => {
	test.each([
		['free text', '12 Gannet Point – Lights\n13 Ada Hale – Keepers\n14 Terns - Keepers'],
		['tabs', '12\tGannet Point\tLights\n13\tAda Hale\tKeepers\n14\tTerns\tKeepers'],
		['another order', 'Lights, Gannet Point, 12\nKeepers, Ada Hale, 13\nKeepers, Terns, 14'],
		['quoted commas', 'Gannet Point;12;Lights\nAda Hale;13;Keepers\nTerns;14;Keepers'],
		[
			'noise',
			'#12.  Gannet  Point – Lights..\n\n no. 13\u00a0Ada Hale – Keepers\r\n14) Terns — Keepers.'.replace(
				'no. 13',
				'#13'
			)
		]
	])('in the form of %s', (_, text) => {
		expect(told(text)).toEqual(EXPECTED);
		expect(readTitles(text).problems).toEqual([]);
	});

	test('what was forgiven is named, what is not understood has its line', () => {
		const { lines, problems } = readTitles('#1. “Ada’s  Lamp”\nnothing here\n3 Bram');
		expect(lines[0]).toMatchObject({ number: '1', title: '"Ada\'s Lamp"' });
		expect(lines[0]?.forgiven).toEqual([
			'curly quotes',
			'curly apostrophes',
			'double spaces',
			'marks around the number'
		]);
		expect(problems).toMatchObject([{ line: 2 }]);
	});

	test('for all texts reading answers', () => {
		fc.assert(
			fc.property(fc.string({ unit: fc.constantFrom(...'1 2aB,\t;\n–-#."') }), (text) => {
				const { lines, problems } = readTitles(text);
				const said = text
					.split('\n')
					.filter((line) => line.trim().replace(/[.…]{2,}$/, '') !== '').length;
				expect(lines.length + problems.length).toBe(said);
			})
		);
	});
});

test('titles go to the cards of the numbering, keys stay, strangers are named', () => {
	const { release } = completeDraft({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: [{ number: '1' }, { number: '2', title: 'Bram' }] },
			{ name: 'Sub', kind: 'subset', numberedIn: 'base', cards: [{ number: '3' }] },
			{ name: 'Ink', kind: 'insert', cards: [{ number: '1' }] }
		]
	});
	const result = fillTitles(
		release,
		'base',
		readTitles('1 Ada\n2 Bram\n3 Cora – Dogs\n9 Nobody').lines
	);
	expect(result.filled).toBe(2);
	expect(result.problems).toMatchObject([{ line: 4 }]);
	expect(
		result.release.sections.flatMap(({ cards }) =>
			cards.map(({ key, title, group }) => [key, title, group].join(' '))
		)
	).toEqual(['base-1 Ada ', 'base-2 Bram ', 'base-3 Cora Dogs', 'ink-1  ']);
});

test('titles go to the cards of an edition as its changes: the cards it repeats and all keys stay', () => {
	const { release } = completeDraft({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				cards: ['1', '2', '3'].map((number) => ({ number, title: `Lamp ${number}` }))
			},
			{
				name: 'Foreign',
				kind: 'extra',
				edition: {
					of: ['base'],
					changes: [{ card: '2', number: '12', group: 'Ports' }],
					without: ['3']
				},
				cards: [{ number: '9' }]
			}
		]
	});
	const cardsOf = (of: typeof release) =>
		wholeSections(of).flatMap(({ cards }) =>
			cards.map(({ key, number, title, group }) => [key, number, title, group].join(' '))
		);
	const keys = wholeSections(release).flatMap(({ cards }) => cards.map(({ key }) => key));
	const lines = readTitles('1 Lampe 1\n12 Zwei – Docks\n9 Neun\n3 Drei').lines;
	const result = fillTitles(release, 'foreign', lines);
	expect(result).toMatchObject({ filled: 3, problems: [{ line: 4 }] });
	expect(cardsOf(result.release)).toEqual([
		`${keys[0]} 1 Lamp 1 `,
		`${keys[1]} 2 Lamp 2 `,
		`${keys[2]} 3 Lamp 3 `,
		`${keys[3]} 1 Lampe 1 `,
		`${keys[4]} 12 Zwei Docks`,
		`${keys[5]} 9 Neun `
	]);
	// A second time nothing is new.
	expect(fillTitles(result.release, 'foreign', lines).filled).toBe(0);
	// A base card that is filled keeps what its edition says.
	const base = fillTitles(result.release, 'base', readTitles('1 Lantern').lines);
	expect(cardsOf(base.release)[0]).toBe(`${keys[0]} 1 Lantern `);
	expect(cardsOf(base.release)[3]).toBe(`${keys[3]} 1 Lampe 1 `);
});

test('two cards of one number in an edition are left alone, and named', () => {
	const { release } = completeDraft({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: [{ number: '1', title: 'Ebb' }] },
			{ name: 'Log', kind: 'insert', cards: [{ number: '1', title: 'Fog' }, { number: '2' }] },
			{ name: 'Foil', kind: 'extra', edition: { of: ['base', 'log'] }, cards: [] }
		]
	});
	const filled = fillTitles(release, 'foil', readTitles('1 Both\n2 Zwei').lines);
	const foil = wholeSections(filled.release).find(({ key }) => key === 'foil');
	expect(foil?.cards.map(({ title }) => title)).toEqual(['Ebb', 'Fog', 'Zwei']);
	expect(filled).toMatchObject({
		filled: 1,
		problems: [{ line: 1, message: expect.stringMatching(/several cards/) as string }]
	});
});
