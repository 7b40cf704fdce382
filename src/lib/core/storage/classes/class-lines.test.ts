import fc from 'fast-check';
import { expect, test } from 'vitest';
import { CARD_MARKS } from '../../checklist/card.ts';
import { SECTION_KINDS } from '../../checklist/section.ts';
import { COPY_STATUSES } from '../../copies/copy-record.ts';
import { formatClassLine, parseClassLines } from './class-lines.ts';
import type { ClassRule, ClassTest } from './storage-class.ts';

test.each<[string, ClassTest]>([
	['all', {}],
	['subject Ada Hale; Bram and not graded', { subjects: ['Ada Hale', 'Bram'], isGraded: false }],
	['worth 20', { leastValueMinor: 2000, currency: 'EUR' }],
	[
		'worth 5.50 USD and finish any parallel',
		{ leastValueMinor: 550, currency: 'USD', finishes: ['any parallel'] }
	],
	['from 1948 and to 1960', { fromYear: 1948, toYear: 1960 }],
	[
		'tag role = keeper; pilot and tag school = North',
		{ tags: { role: ['keeper', 'pilot'], school: ['North'] } }
	],
	[
		'section kind insert and mark short print',
		{ sectionKinds: ['insert'], marks: ['short print'] }
	],
	[
		'subject Salt \\and tag them and tag and \\and to = x',
		{ subjects: ['Salt and tag them'], tags: { 'and and to': ['x'] } }
	],
	// "and" within a name is a part of it.
	[
		'subject Salt and sand; to and fro and variant',
		{ subjects: ['Salt and sand', 'to and fro'], isVariant: true }
	]
])('A: %s', (line, where) => {
	expect(parseClassLines(`A: ${line}`)).toEqual({
		ok: true,
		value: [{ name: 'A', where }],
		notes: []
	});
});

test('what is not understood is told with its line, all at once', () => {
	const outcome = parseClassLines(
		'Ada subject x\n\nB: colour red\nC: mark dear\nD: subject\n: all\nE: worth much\nF: from 1990 and from 1991'
	);
	expect(
		outcome.ok ? [] : outcome.problems.map(({ line, message }) => `${line} ${message}`)
	).toEqual([
		'1 this is no storage class',
		'3 "colour red" is not understood',
		'4 there is no mark "dear"',
		'5 "subject" is not understood',
		'6 this is no storage class',
		'7 "much" is no amount',
		'8 "from 1991" asks for the same again'
	]);
});

const word = fc.stringMatching(
	/^[A-Za-z][a-z]{0,5}( and (tag|worth|not graded|[a-z]{3})( x)?| [A-Z][a-z]{0,5})?$/
);
const words = fc.uniqueArray(word, { minLength: 1, maxLength: 3 });
const rule: fc.Arbitrary<ClassRule> = fc.record({
	name: word,
	where: fc.record(
		{
			subjects: words,
			groups: words,
			makers: words,
			finishes: words,
			attributes: words,
			sectionKinds: fc.uniqueArray(fc.constantFrom(...SECTION_KINDS), { minLength: 1 }),
			marks: fc.uniqueArray(fc.constantFrom(...CARD_MARKS), { minLength: 1 }),
			statuses: fc.uniqueArray(fc.constantFrom(...COPY_STATUSES), { minLength: 1 }),
			tags: fc.dictionary(word, words, { minKeys: 1, maxKeys: 2 }),
			fromYear: fc.integer({ min: 1000, max: 9999 }),
			toYear: fc.integer({ min: 1000, max: 9999 }),
			isVariant: fc.boolean(),
			isNumbered: fc.boolean(),
			isGraded: fc.boolean()
		},
		{ requiredKeys: [] }
	)
});

test('for all classes: reading what was written gives them back, in their order', () => {
	fc.assert(
		fc.property(
			fc.array(rule, { maxLength: 4 }),
			fc.integer({ min: 0, max: 1e6 }),
			(rules, minor) => {
				const valued = rules.map((each) => ({
					...each,
					where: { ...each.where, leastValueMinor: minor, currency: 'USD' }
				}));
				for (const some of [rules, valued]) {
					const outcome = parseClassLines(some.map(formatClassLine).join('\n'));
					expect(outcome).toMatchObject({ ok: true });
					expect(outcome.ok && outcome.value).toEqual(some);
				}
			}
		),
		{ numRuns: 200 }
	);
});
