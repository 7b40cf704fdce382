import { runRuleFor } from '../core/checklist/parallel.ts';
import { seriesOf } from '../core/checklist/numbering.ts';
import type { Release } from '../core/checklist/release.ts';
import { resolveRelease } from '../core/checklist/draft/resolve-release.ts';
import { wholeSections } from '../core/checklist/edition.ts';
import type { Card } from '../core/checklist/card.ts';
import type { Section } from '../core/checklist/section.ts';
import { formatOdds } from '../core/checklist/odds.ts';
import { bad, type Outcome, type Problem } from '../core/problem.ts';
import { writeCardRecord } from '../core/checklist/rule-sheet/card-columns.ts';
import { NO_NAMES } from '../core/checklist/rule-sheet/column.ts';
import { asDraft, ChecklistSchema } from '../schemas/checklist.ts';
import { checkAgainst } from '../schemas/validator.ts';
import {
	CSV_COLUMNS,
	NO_PARALLEL,
	RECORD_COLUMNS,
	type CsvColumn,
	type CsvDefaults,
	type CsvRow
} from './checklist-csv-columns.ts';
import { formatCsv } from './csv-cells.ts';
import { formatListCell } from '../core/checklist/list-cell.ts';
import { markupNotes } from './markup-notes.ts';
import { readCsvTable } from './read-csv-table.ts';
import { sectionsOfRows } from './sections-of-rows.ts';
import { guessColumns, rowsOfTable } from './table.ts';

/** Reads a checklist from CSV text; see `readChecklistRows`. */
export function readChecklistCsv(text: string, defaults: CsvDefaults = {}): Outcome<Release> {
	const table = readCsvTable(text);
	if (!table.ok) return table;
	const rows = rowsOfTable(table.value, guessColumns(table.value.header));
	return rows.ok ? readChecklistRows(rows.value, defaults, rows.notes) : rows;
}

/**
 * Reads a checklist with one row a card (docs/formats.md). What the rows do not say about the
 * release is taken from `defaults`. All problems come at once, with line and field.
 */
export function readChecklistRows(
	rows: readonly CsvRow[],
	defaults: CsvDefaults = {},
	rowNotes: readonly Problem[] = []
): Outcome<Release> {
	const first = rows[0];
	if (!first) throw new RangeError('readChecklistRows: there are no rows');
	const problems: Problem[] = [];
	const release = {
		name: first.cell('release') || defaults.name?.trim() || '',
		maker: first.cell('maker') || defaults.maker?.trim() || '',
		year: first.cell('year') || defaults.year?.trim() || ''
	};
	for (const [field, value] of Object.entries(release)) {
		if (value === '') {
			problems.push({
				field: field === 'name' ? 'release' : field,
				message: `the file does not say the release's ${field}`,
				remedy: 'Fill it in beside the file, or add the column.'
			});
		}
	}
	const { sections, parallels, lineOf, problems: rowProblems } = sectionsOfRows(rows);
	const document = {
		format: 'jade-checklist',
		formatVersion: 2,
		release,
		sections,
		parallels
	} as const;
	const locate = (problem: Problem): Problem => {
		const line = problem.line ?? lineOf(problem.pointer ?? '');
		const { pointer: _, ...rest } = problem;
		return line === undefined ? rest : { ...rest, line };
	};
	problems.push(...rowProblems);
	const shape = checkAgainst(ChecklistSchema, document).filter(
		({ pointer }) => !pointer?.startsWith('/release/') || problems.length === 0
	);
	problems.push(...shape.map(locate));
	if (problems.length > 0) return bad(byLine(problems), rowNotes);
	const draft = asDraft(document as Parameters<typeof asDraft>[0]);
	const notes = [...rowNotes, ...markupNotes(draft).map(locate)];
	const outcome = resolveRelease(draft);
	return outcome.ok
		? { ...outcome, notes }
		: { ok: false, problems: byLine(outcome.problems.map(locate)), notes };
}

function byLine(problems: readonly Problem[]): Problem[] {
	return [...problems].sort((a, b) => (a.line ?? 0) - (b.line ?? 0)).slice(0, 200);
}

/**
 * Lays a release out with one row a card, the header first; the cards of an edition are written out. Not carried: pack
 * types, what is known of sections beside their name and numbers, the rule of an edition, variants, and of
 * parallels all but name and print run; sections without cards (the JSON form has all of them).
 */
export function checklistTable(release: Release): readonly (readonly string[])[] {
	const sections = wholeSections(release);
	const owners = new Map(sections.map((section) => [section.key, section]));
	const rows = sections.flatMap((section) => {
		const owner = owners.get(section.numberedIn ?? section.key) ?? section;
		const shared = sectionCells(release, section);
		return section.cards.map((card): Record<CsvColumn, string> => ({
			...shared,
			series: seriesOf(owner, card.number)?.name ?? '',
			number: card.number ?? '',
			'other numbers': formatListCell(card.otherNumbers),
			place: card.place?.toString() ?? '',
			'panel of': formatListCell(card.panelOf),
			title: card.title,
			subjects: formatListCell(card.subjects),
			group: card.group ?? '',
			marks: formatListCell(card.marks),
			rarity: card.rarity ?? '',
			parallels: formatListCell(coveringOf(release, section, card)) || NO_PARALLEL,
			key: card.key,
			...recordCells(card)
		}));
	});
	return [CSV_COLUMNS, ...rows.map((row) => CSV_COLUMNS.map((column) => row[column]))];
}

/** The same as CSV (RFC 4180). */
export function formatChecklistCsv(release: Release): string {
	return formatCsv(checklistTable(release));
}

/** What is known of a card beside its line; pack types go by their keys, as in the odds of sections. */
function recordCells(card: Card): Record<RecordName, string> {
	const cells = writeCardRecord(card, NO_NAMES);
	return Object.fromEntries(
		Object.entries(RECORD_COLUMNS).map(([key, column]) => [column, cells[key] ?? ''])
	) as Record<RecordName, string>;
}
type RecordName = (typeof RECORD_COLUMNS)[keyof typeof RECORD_COLUMNS];

function coveringOf(release: Release, section: Section, card: Card): readonly string[] {
	return release.parallels.flatMap((parallel) => {
		const rule = runRuleFor(parallel, section, card);
		if (!rule) return [];
		const { printRun, confidence } = rule;
		if (printRun === undefined) return parallel.name;
		const isStamped = confidence === undefined || confidence === 'certain';
		return `${parallel.name} ${isStamped ? '/' : '~'}${printRun}`;
	});
}

function sectionCells(release: Release, section: Section) {
	return {
		release: release.name,
		maker: release.maker,
		year: release.year,
		section: section.name,
		'section key': section.key,
		kind: section.kind,
		listed: section.listed ? 'yes' : 'no',
		'stated total': section.statedTotal?.toString() ?? '',
		'numbered in': section.numberedIn ?? '',
		'print run': section.printRun?.toString() ?? '',
		odds: formatListCell(section.odds.map((odds) => `${odds.packType} ${formatOdds(odds)}`))
	};
}
