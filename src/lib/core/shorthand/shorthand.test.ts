import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { contextOf } from './entry-context.fixture.ts';
import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import { foldCards } from '../checklist/fold-runs.ts';
import type { EntryItemBody } from './entry-line.ts';
import { formatEntryLine } from './format-entry-line.ts';
import { LONGEST_LINE, parseEntryLine } from './parse-entry-line.ts';
import { readShorthand } from './read-shorthand.ts';

const run = (prefix: string, from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({ number: `${prefix}${from + i}` }));

const draft: ReleaseDraft = {
	release: { name: 'R', maker: 'M', year: '1994' },
	sections: [
		{ name: 'Base', cards: [...run('', 1, 10), ...run('', 15, 60)] },
		{ name: 'Dogs', kind: 'subset', numberedIn: 'base', cards: run('', 11, 12) },
		{ name: 'Fresnel', kind: 'insert', cards: run('F', 1, 9) },
		{ name: 'Series', kind: 'insert', cards: [...run('1-', 1, 16), ...run('2-', 1, 16)] },
		{ name: 'Log', kind: 'insert', cards: [{ title: 'Fog, again' }, { title: 'The "Big" One' }] },
		{ name: 'Acts', kind: 'insert', cards: ['I', 'II', 'III', 'IV'].map((number) => ({ number })) },
		{ name: 'Twin', kind: 'insert', cards: run('F', 5, 12) }
	],
	parallels: [{ key: 'brass', name: 'Brass', runs: [{ sections: ['base'] }] }]
};

function context(
	owned: Record<string, number> = {},
	rest: { numbering?: string; parallel?: string } = {}
) {
	return contextOf(draft, {
		numberingKey: rest.numbering ?? null,
		parallelKey: rest.parallel ?? null,
		owned: new Map(Object.entries(owned).map(([card, count]) => [`r-1994/${card}`, count]))
	});
}

/** "base-1+1" for every change, in the order of the line. */
const changesOf = (line: string, ...where: Parameters<typeof context>) =>
	readShorthand(line, context(...where)).changes.map(
		({ version, before, after }) => `${version.replace('r-1994/', '')}+${after - before}`
	);

describe('reading a line', () => {
	test.each<[string, string[]]>([
		['8-10 5', ['base-8+1', 'base-9+1', 'base-10+1', 'base-5+1']],
		['1, 2;3', ['base-1+1', 'base-2+1', 'base-3+1']],
		['31x2 31 × 3', ['base-31+5']],
		['1–2 4 — 5', ['base-1+1', 'base-2+1', 'base-4+1', 'base-5+1']],
		['8 to 11', ['base-8+1', 'base-9+1', 'base-10+1', 'base-11+1']],
		['F1-F2 F3-4', ['fresnel-f1+1', 'fresnel-f2+1', 'fresnel-f3+1', 'fresnel-f4+1']],
		['f01x2', ['fresnel-f1+2']],
		['2-14', ['series-2-14+1']],
		['2-1 to 2-3', ['series-2-1+1', 'series-2-2+1', 'series-2-3+1']],
		['2-15-2-16', ['series-2-15+1', 'series-2-16+1']],
		['"fog, AGAIN" x2', ['log-fog-again+2']],
		['"The ""Big"" One"', ['log-the-big-one+1']],
		['I-III IVx2', ['acts-i+1', 'acts-ii+1', 'acts-iii+1', 'acts-iv+2']],
		['', []]
	])('%s', (line, changes) => {
		expect(changesOf(line)).toEqual(changes);
		expect(readShorthand(line, context()).problems).toEqual([]);
	});

	test('the section decides where two use the same numbers', () => {
		expect(changesOf('F5', {}, { numbering: 'twin' })).toEqual(['twin-f5+1']);
		expect(changesOf('F5', {}, { numbering: 'fresnel' })).toEqual(['fresnel-f5+1']);
	});

	test('"1-3" is one card or a run: the section decides, or nothing is done', () => {
		expect(changesOf('1-3', {}, { numbering: 'series' })).toEqual(['series-1-3+1']);
		expect(changesOf('1-3', {}, { numbering: 'base' })).toEqual([
			'base-1+1',
			'base-2+1',
			'base-3+1'
		]);
		expect(readShorthand('1-3', context()).problems).toMatchObject([{ start: 0, end: 3 }]);
	});

	test('a line adds to what is there', () => {
		const { changes } = readShorthand('1x2', context({ 'base-1': 1 }));
		expect(changes).toEqual([{ version: 'r-1994/base-1', before: 1, after: 3 }]);
	});
});

describe('all but', () => {
	test('sees to one copy of every card of the numbering except those named', () => {
		const reading = readShorthand('all but 7, 12, 45-48', context({ 'base-1': 4, 'base-2': 1 }));
		// 58 cards (1–12, 15–60), less 6 named, less 2 that are there.
		expect(reading).toMatchObject({ form: 'all-but', unchanged: 2, problems: [] });
		expect(reading.changes).toHaveLength(50);
		expect(reading.changes.every(({ before, after }) => before === 0 && after === 1)).toBe(true);
	});

	test('takes its numbering from the numbers, and points out what is logged already', () => {
		const reading = readShorthand('All but F2', context({ 'fresnel-f2': 1 }));
		expect(reading.changes).toHaveLength(8);
		expect(reading.notes).toMatchObject([{ start: 8, end: 10 }]);
	});

	test.each([
		['all', 58],
		['all but F1 2-3', 0]
	])('%s changes %i', (line, count) => {
		expect(readShorthand(line, context()).changes).toHaveLength(count);
	});

	test('in a parallel means the cards that were made in it', () => {
		// 11 and 12 were not made in Brass; that they are left out too is no fault.
		expect(changesOf('all but 1-58', {}, { parallel: 'brass' })).toEqual([
			'base-59~brass+1',
			'base-60~brass+1'
		]);
		expect(changesOf('all but 1 to 10 15-59', {}, { parallel: 'brass' })).toEqual([
			'base-60~brass+1'
		]);
	});
});

describe('what is not understood is named with its place, and nothing is applied', () => {
	test.each<[string, [number, number, RegExp][]]>([
		['8-10 Q7 2', [[5, 7, /no section has the prefix Q/]]],
		['20-12', [[0, 5, /backwards/]]],
		['61', [[0, 2, /no card 61/]]],
		['1 55-70', [[2, 7, /70 does not exist in Base: the run ends at 60/]]],
		['13', [[0, 2, /no card 13/]]],
		[
			'1 ?? "oops',
			[
				[2, 4, /no card number/],
				[5, 6, /closing quotation/],
				[6, 10, /neither a number nor a word/]
			]
		],
		['F5', [[0, 2, /several places: Fresnel, Twin/]]],
		[
			'1x0 2x99999',
			[
				[0, 3, /quantity/],
				[4, 11, /quantity/]
			]
		],
		['1-F3', [[0, 4, /not numbers of one run/]]],
		['"no such"', [[0, 9, /no card is titled/]]]
	])('%s', (line, expected) => {
		const { problems, changes } = readShorthand(line, context());
		expect(problems.map(({ start, end }) => [start, end])).toEqual(
			expected.map(([s, e]) => [s, e])
		);
		expected.forEach(([, , message], i) => expect(problems[i]?.message).toMatch(message));
		expect(changes).toEqual([]);
	});

	test('a finish that was not made of some of the cards', () => {
		const { problems } = readShorthand('10-12', context({}, { parallel: 'brass' }));
		expect(problems).toMatchObject([
			{ start: 0, end: 5, message: 'Brass was not made of 11, 12 (Dogs)' }
		]);
	});

	test('gaps inside a run are a note, not a problem', () => {
		const { changes, notes } = readShorthand('10-16', context());
		expect(changes).toHaveLength(5);
		expect(notes).toMatchObject([{ message: '2 of the numbers between 10 and 16 do not exist' }]);
	});

	test('a line of a million characters is refused at once', () => {
		const { problems } = readShorthand('1 '.repeat(500_000), context());
		expect(problems).toHaveLength(1);
		expect(problems[0]?.message).toContain(String(LONGEST_LINE));
	});
});

describe('the notation', () => {
	// "X1" alone is a count.
	const number = fc.stringMatching(/^[A-WYZ]{0,2}[1-9]\d{0,2}[a-b]?$/);
	const dashed = fc.oneof(number, fc.stringMatching(/^[1-9]-[1-9]\d?$/));
	const quantity = fc.integer({ min: 1, max: 50 });
	const item: fc.Arbitrary<EntryItemBody> = fc.oneof(
		fc.record({ kind: fc.constant('number' as const), number, quantity }),
		fc.record({
			kind: fc.constant('range' as const),
			from: number,
			to: number,
			hyphen: fc.constant(true),
			quantity
		}),
		fc.record({
			kind: fc.constant('range' as const),
			from: dashed,
			to: dashed,
			hyphen: fc.constant(false),
			quantity
		}),
		fc.record({
			kind: fc.constant('all-of' as const),
			prefix: fc.constantFrom('', 'F', 'T-'),
			quantity
		}),
		fc.record({
			kind: fc.constant('word' as const),
			text: fc.constantFrom('brass', "keeper's", 'nm', 'über'),
			quantity: fc.constant(1)
		}),
		fc.record({
			kind: fc.constant('serial' as const),
			serial: fc.constantFrom('1/1', '14/65', '007/120'),
			quantity: fc.constant(1)
		}),
		fc.record({
			kind: fc.constant('place' as const),
			place: fc.string({ minLength: 1 }).filter((place) => place.trim() !== ''),
			quantity: fc.constant(1)
		}),
		fc.record({ kind: fc.constant('times' as const), quantity }),
		fc.record({ kind: fc.constant('break' as const), quantity: fc.constant(1) }),
		fc.record({
			kind: fc.constant('title' as const),
			title: fc.string({ minLength: 1 }).filter((title) => title.trim() !== ''),
			quantity
		})
	);

	const countable = ['number', 'range', 'title', 'all-of'];
	/** "5 x3" is three of card 5, and breaks stand between other items only. */
	const oneWayToWrite = (items: readonly EntryItemBody[]) => {
		const kept: EntryItemBody[] = [];
		for (const each of items) {
			const before = kept.at(-1)?.kind ?? 'break';
			if (each.kind === 'break' && before === 'break') continue;
			if (each.kind === 'times' && countable.includes(before)) continue;
			kept.push(each);
		}
		return kept.at(-1)?.kind === 'break' ? kept.slice(0, -1) : kept;
	};

	test('for all lines, parse(format(x)) = x', () => {
		const line = fc.record({
			form: fc.constantFrom('list' as const, 'all' as const, 'all-but' as const),
			items: fc.array(item, { maxLength: 8 }).map(oneWayToWrite)
		});
		fc.assert(
			fc.property(line, (written) => {
				const { form, items } = parseEntryLine(formatEntryLine(written));
				expect({ form, items: items.map(({ start: _s, end: _e, ...body }) => body) }).toEqual(
					written
				);
			}),
			{ numRuns: 500 }
		);
	});

	test('for all texts, every character outside separators belongs to one item', () => {
		fc.assert(
			fc.property(fc.string({ unit: fc.constantFrom(...'19F-–x, ;"at\u00e9') }), (text) => {
				const { form, items } = parseEntryLine(text);
				if (form !== 'list') return;
				const covered = items.flatMap(({ start, end }) =>
					Array.from({ length: end - start }, (_, i) => start + i)
				);
				expect(new Set(covered).size).toBe(covered.length);
				[...text].forEach((char, at) => {
					if (!/[\s,;]/.test(char)) expect(covered).toContain(at);
				});
			}),
			{ numRuns: 500 }
		);
	});

	test('for all choices of cards, a missing list is read back as the same cards', () => {
		const { release, index } = context();
		const base = release.sections.slice(0, 2).flatMap(({ cards }) => cards);
		fc.assert(
			fc.property(fc.subarray(base, { minLength: 1 }), (chosen) => {
				const { changes, problems } = readShorthand(foldCards(chosen), { ...context(), index });
				expect(problems).toEqual([]);
				expect(new Set(changes.map(({ version }) => version))).toEqual(
					new Set(chosen.map(({ key }) => `r-1994/${key}`))
				);
			})
		);
	});
});
