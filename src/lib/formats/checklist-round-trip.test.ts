import { SECTION_DETAILS } from '../core/checklist/section.ts';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { examine } from '../core/checklist/doctor/examine.ts';
import { wholeSections } from '../core/checklist/edition.ts';
import { expand } from '../core/checklist/versions/expand.ts';
import {
	oddReleaseDraft,
	recordedReleaseDraft,
	releaseDraft,
	textLine
} from '../core/checklist/draft/release.arbitrary.ts';
import { resolveRelease } from '../core/checklist/draft/resolve-release.ts';
import type { ReleaseDraft } from '../core/checklist/draft/draft.ts';
import type { Release } from '../core/checklist/release.ts';
import { formatProblem, type Outcome } from '../core/problem.ts';
import { ChecklistSchema } from '../schemas/checklist.ts';
import { formatChecklistCsv, readChecklistCsv } from './checklist-csv.ts';
import { formatChecklistJson, readChecklistJson } from './checklist-json.ts';
import { formatListCell, parseListCell } from '../core/checklist/list-cell.ts';

const given = { name: 'Harbour', maker: 'M', year: '1994' };

function release(draft: ReleaseDraft): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

function value(outcome: Outcome<Release>): Release {
	if (!outcome.ok) throw new RangeError(outcome.problems.map(formatProblem).join('\n'));
	return outcome.value;
}

const problemsOf = (outcome: Outcome<Release>) =>
	outcome.ok ? [] : outcome.problems.map(formatProblem);

const bare = <Thing extends object>(thing: Thing, names: readonly string[]) =>
	Object.fromEntries(Object.entries(thing).filter(([name]) => !names.includes(name)));
/** What tables do not carry of a section. */
const UNTOLD = ['note', 'format', 'arrangement', 'alsoIn', 'edition', ...SECTION_DETAILS];

describe('round trips', () => {
	test('for all releases, JSON gives back the same release', () => {
		fc.assert(
			fc.property(fc.oneof(releaseDraft, oddReleaseDraft, recordedReleaseDraft), (draft) => {
				const before = release(draft);
				expect(value(readChecklistJson(formatChecklistJson(before)))).toEqual(before);
			})
		);
	});

	test('a file of version 1 is read as before, and written as version 2', () => {
		fc.assert(
			fc.property(oddReleaseDraft, (draft) => {
				const before = release(draft);
				const file = JSON.parse(formatChecklistJson(before)) as Record<string, unknown>;
				expect(file.formatVersion).toBe(2);
				const first = JSON.stringify({ ...file, formatVersion: 1 });
				expect(value(readChecklistJson(first))).toEqual(before);
				const third = readChecklistJson(JSON.stringify({ ...file, formatVersion: 3 }));
				expect(problemsOf(third)).toHaveLength(1);
			}),
			{ numRuns: 20 }
		);
	});

	test('for all releases, CSV gives back the same cards, sections and versions', () => {
		fc.assert(
			fc.property(releaseDraft, (draft) => {
				const before = release(draft);
				const after = value(readChecklistCsv(formatChecklistCsv(before)));
				expect(after.sections).toEqual(before.sections);
				const keys = (of: Release) => expand(of).map(({ key, printRun }) => `${key} ${printRun}`);
				expect(keys({ ...after, key: before.key }).sort()).toEqual(keys(before).sort());
			})
		);
	});

	test('for all releases, CSV gives back what is known of each card; of an edition as if written out', () => {
		fc.assert(
			fc.property(recordedReleaseDraft, (draft) => {
				const before = release({ ...draft, packTypes: [], variants: [] });
				const after = value(readChecklistCsv(formatChecklistCsv(before)));
				// A format that says nothing is none.
				const carried = (sections: Release['sections']) =>
					sections.flatMap((section) =>
						section.cards.map(({ format, ...card }) =>
							format && Object.keys(format).length > 0 ? { ...card, format } : card
						)
					);
				expect(carried(after.sections)).toEqual(carried(wholeSections(before)));
			}),
			{ numRuns: 60 }
		);
	});

	test('for all releases with editions and exceptions, CSV gives back the same versions but variants', () => {
		fc.assert(
			fc.property(oddReleaseDraft, (draft) => {
				const before = release({ ...draft, variants: [] });
				const after = value(readChecklistCsv(formatChecklistCsv(before)));
				const keys = (of: Release) => expand(of).map(({ key, printRun }) => `${key} ${printRun}`);
				expect(keys({ ...after, key: before.key }).sort()).toEqual(keys(before).sort());
			})
		);
	});

	test.each(readdirSync('demo').filter((name) => /checklist/.test(name)))(
		'the demo file %s',
		(name) => {
			const text = readFileSync(`demo/${name}`, 'utf8');
			const before = value(readChecklistJson(text));
			expect(value(readChecklistJson(formatChecklistJson(before)))).toEqual(before);
			expect(examine(before)).toEqual([]);
			if (before.sections.some(({ edition }) => edition)) return;
			const after = value(readChecklistCsv(formatChecklistCsv(before)));
			const carried = ({ sections }: Release) => sections.map((section) => bare(section, UNTOLD));
			expect(carried(after)).toEqual(carried(before));
		}
	);

	test('for all lists, a list cell gives them back', () => {
		fc.assert(
			fc.property(fc.array(textLine), (entries) => {
				expect(parseListCell(formatListCell(entries))).toEqual(entries);
			})
		);
	});
});

describe('against the outside', () => {
	// Published: RFC 4180, read by the registry's csv-parse, which knows nothing of our writer.
	test('for all releases, a reference parser reads the same fields from our CSV', () => {
		fc.assert(
			fc.property(releaseDraft, (draft) => {
				const before = release(draft);
				const rows = parse(formatChecklistCsv(before), {
					columns: true,
					record_delimiter: '\r\n'
				}) as Record<string, string>[];
				const fields = before.sections.flatMap(({ name, cards }) =>
					cards.map(({ number, title, key }) => [name, number ?? '', title, key])
				);
				expect(rows.map((row) => [row.section, row.number, row.title, row.key])).toEqual(fields);
			})
		);
	});

	// RFC 4180 section 2, rules 5 to 7, with the fields of its own examples.
	test('quoting: separators, line breaks and doubled quotes inside a field', () => {
		const csv = 'number,title\r\n1,"b CRLF\r\nbb"\r\n2,"b""bb, c"\r\n3,"zz""z"\r\n';
		expect(problemsOf(readChecklistCsv(csv, given))).toEqual([
			expect.stringMatching(/^line 2, title: /) as string
		]);
		const mended = value(readChecklistCsv(csv.replace('CRLF\r\n', ''), given));
		expect(mended.sections[0]?.cards.map(({ title }) => title)).toEqual([
			'b bb',
			'b"bb, c',
			'zz"z'
		]);
	});

	// Published: JSON Schema 2020-12, checked by its own meta-schema, which Ajv carries.
	test('the checklist schema is valid against the 2020-12 meta-schema', () => {
		const ajv = new Ajv2020({ strict: true });
		expect(ajv.validateSchema(ChecklistSchema)).toBe(true);
		expect(ajv.validateSchema({ type: 'nonsense' })).toBe(false);
	});
});
