import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Release } from '../core/checklist/release.ts';
import { formatProblem, type Outcome } from '../core/problem.ts';
import { readChecklistCsv } from './checklist-csv.ts';
import { guessRelease } from './guess-release.ts';
import { readChecklist } from './read-checklist.ts';

const bytes = (text: string) => new TextEncoder().encode(text);
const given = { name: 'Harbour', maker: 'M', year: '1994' };

function value(outcome: Outcome<Release>): Release {
	if (!outcome.ok) throw new RangeError(outcome.problems.map(formatProblem).join('\n'));
	return outcome.value;
}

/** What came of reading any file. */
const read = async (...args: Parameters<typeof readChecklist>) =>
	(await readChecklist(...args)).outcome;

const problemsOf = (outcome: Outcome<Release>) =>
	outcome.ok ? [] : outcome.problems.map(formatProblem);

describe('bad input gets a clear message', () => {
	const json = (
		text: string
	) => `{"format":"jade-checklist","formatVersion":1,"release":{"name":"R","maker":"M","year":"1994"},
"sections":[{"name":"Base","cards":[
${text}
]}]}`;

	test.each<[string, string | Uint8Array, RegExp[]]>([
		['an empty file', '', [/the file is empty/]],
		['blank space', ' \n\t\n', [/nothing but blank space/]],
		['a binary file', Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0, 1, 2, 0xff), [/not a text file/]],
		[
			'a zip with a text name',
			Uint8Array.of(0x50, 0x4b, 3, 4, 0, 0, 8),
			[/no workbook that can be read/]
		],
		[
			'another encoding',
			Uint8Array.of(...bytes('number,title\n1,Caf'), 0xe9, 10),
			[/^line 2: the text is not in UTF-8/]
		],
		[
			'a line of a million characters',
			`number,title\n1,${'x'.repeat(1_000_000)}`,
			[/^line 2, title: must NOT have more than 300/]
		],
		[
			'a JSON line of a million characters',
			json(`{"number":"1","title":"${'x'.repeat(1_000_000)}"}`),
			[/^line 3, title/]
		],
		['brackets without end', '['.repeat(1_000_000), [/nested too deep/]],
		[
			'JSON that breaks off',
			'{"format": ',
			[/^line 1: this is no JSON: value expected/, /close brace expected/]
		],
		['a list', '[]', [/must be object/]],
		[
			'duplicate numbers, all of them',
			'number,title\n1,A\n2,B\n01,C\n2,D\n',
			[
				/^line 4, number: number 01 is already used by "A"/,
				/^line 5, number: number 2 is already used by "B"/
			]
		],
		[
			'duplicate numbers in JSON',
			json('{"number":"7"},\n{"number":"7"}'),
			[/^line 4, number: number 7 is already used/]
		],
		[
			'names twice in an object',
			json('{"number":"1","number":"2"}'),
			[/^line 3, number: "number" stands twice/]
		],
		[
			'unknown fields',
			json('{"number":"1","titel":"A"},\n{"number":2}'),
			[/^line 3, titel: .*not a known field/, /^line 4, number: must be string/]
		],
		['a column twice', 'title,title\nA,B\n', [/^line 1, title: there is another column for title/]],
		['no column to go by', 'section\nBase\n', [/neither a column "number" nor "title"/]],
		['a header only', 'number,title\n', [/no card below the header/]],
		['millions of lines', `number${'\n'.repeat(2_000_000)}`, [/2000001 lines/]],
		['a row too long', 'number,title\n1,A,B\n', [/^line 2: the row has 3 fields, the header 2/]],
		['a quote that never closes', 'number,title\n1,"A\n2,B\n', [/^line 2: the quoting is broken/]],
		[
			'words that are none of the known',
			'number,kind,marks,print run,odds\n1,bonus,shiny,many,1:6\n',
			[
				/kind: is none of the known words/,
				/marks: is none/,
				/print run: "many" is no whole number/,
				/odds: "1:6" are no odds/
			].map((message) => new RegExp(`^line 2, .*${message.source}`))
		],
		[
			'rows of one section that disagree',
			'section,kind,number\nA,insert,1\nA,base,2\n',
			[/^line 3, kind: "base" differs from the section's first row \(line 2\)/]
		],
		[
			'a series that runs backwards',
			json('{"number":"1"}').replace(
				'"cards"',
				'"series":[{"name":"I","from":"9","to":"1"}],"cards"'
			),
			[/runs backwards/]
		]
	])('%s', async (_, input, messages) => {
		const outcome = await read(typeof input === 'string' ? bytes(input) : input, given);
		const problems = problemsOf(outcome);
		for (const message of messages) {
			expect(
				problems.filter((problem) => message.test(problem)),
				problems.join('\n')
			).not.toEqual([]);
		}
		expect(problems).toHaveLength(messages.length);
	});

	test('what a CSV leaves out is asked for, field by field', () => {
		expect(problemsOf(readChecklistCsv('number\n1\n'))).toEqual([
			expect.stringMatching(/^release: .*name/) as string,
			expect.stringMatching(/^maker: /) as string,
			expect.stringMatching(/^year: /) as string
		]);
	});

	test('HTML in titles is kept as text and pointed out', async () => {
		const outcome = await read(
			bytes('number,title\n1,<b onclick="x">A</b>\n2,R&amp;B\n3,a < b\n'),
			given
		);
		expect(value(outcome).sections[0]?.cards.map(({ title }) => title)).toEqual([
			'<b onclick="x">A</b>',
			'R&amp;B',
			'a < b'
		]);
		expect(outcome.notes.map(({ line }) => line)).toEqual([2, 3]);
	});

	test('for all bytes, reading answers and never throws', async () => {
		const input = fc.oneof(
			fc.uint8Array({ maxLength: 200 }),
			fc.string({ unit: fc.constantFrom(...'{}[]",:1a\n;\\ ') }).map(bytes),
			fc.string({ unit: fc.constantFrom(...'number,title\n"1;x') }).map(bytes)
		);
		await fc.assert(
			fc.asyncProperty(input, async (any) => {
				const outcome = await read(any, given);
				expect(outcome.ok || outcome.problems.length > 0).toBe(true);
			}),
			{ numRuns: 500 }
		);
	});
});

describe('what is forgiven', () => {
	test('semicolons and tabs, a byte order mark, UTF-16, blank lines, capitals in the header', async () => {
		const utf16 = (text: string) =>
			Uint8Array.of(0xff, 0xfe, ...[...text].flatMap((char) => [char.charCodeAt(0), 0]));
		const files = [
			bytes('Number;Title\n1;A, b\n\n2;C\n'),
			bytes('number\ttitle\n1\tA, b\n2\tC\n'),
			bytes('\ufeffnumber,title\r\n1,"A, b"\r\n;;\r\n2,C'.replace(';;', ' , ')),
			utf16('number;title\n1;A, b\n2;C\n')
		];
		const cards = (await Promise.all(files.map((file) => read(file, given)))).map(
			(outcome) => value(outcome).sections[0]?.cards
		);
		expect(cards.map((list) => list?.map(({ number, title }) => `${number} ${title}`))).toEqual(
			files.map(() => ['1 A, b', '2 C'])
		);
	});

	test.each([
		['harbour-lights-1994.checklist.csv', { name: 'Harbour lights 1994', year: '1994' }],
		['moths.json', { name: 'Moths', year: '' }]
	])('the file name %s says %j', (file, guess) => {
		expect(guessRelease(file)).toEqual(guess);
	});
});
