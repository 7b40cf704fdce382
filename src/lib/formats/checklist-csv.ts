import Papa from 'papaparse';
import { runRuleFor } from '../core/checklist/parallel.ts';
import { seriesOf } from '../core/checklist/numbering.ts';
import type { Release } from '../core/checklist/release.ts';
import { resolveRelease } from '../core/checklist/resolve-release.ts';
import { wholeSections } from '../core/checklist/edition.ts';
import type { Card } from '../core/checklist/card.ts';
import { formatOdds, type Section } from '../core/checklist/section.ts';
import { bad, type Outcome, type Problem } from '../core/problem.ts';
import { asDraft, ChecklistSchema } from '../schemas/checklist.ts';
import { checkAgainst } from '../schemas/validator.ts';
import {
	CSV_COLUMNS,
	NO_PARALLEL,
	type CsvColumn,
	type CsvDefaults
} from './checklist-csv-columns.ts';
import { formatListCell } from './list-cell.ts';
import { markupNotes } from './markup-notes.ts';
import { readCsvRows } from './read-csv-rows.ts';
import { sectionsOfRows } from './sections-of-rows.ts';

/**
 * Reads a checklist with one row a card (docs/formats.md). What the file does not say about the
 * release is taken from `defaults`. All problems come at once, with line and field.
 */
export function readChecklistCsv(text: string, defaults: CsvDefaults = {}): Outcome<Release> {
	const rows = readCsvRows(text);
	if (!rows.ok) return rows;
	const first = rows.value[0];
	if (!first) throw new RangeError('readChecklistCsv: rows were read, but there are none');
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
	const { sections, parallels, lineOf, problems: rowProblems } = sectionsOfRows(rows.value);
	const document = {
		format: 'jade-checklist',
		formatVersion: 1,
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
	if (problems.length > 0) return bad(byLine(problems));
	const draft = asDraft(document as Parameters<typeof asDraft>[0]);
	const notes = markupNotes(draft).map(locate);
	const outcome = resolveRelease(draft);
	return outcome.ok
		? { ...outcome, notes }
		: { ok: false, problems: byLine(outcome.problems.map(locate)), notes };
}

function byLine(problems: readonly Problem[]): Problem[] {
	return [...problems].sort((a, b) => (a.line ?? 0) - (b.line ?? 0)).slice(0, 200);
}

/**
 * Writes a release with one row a card; the cards of an edition are written out. Not carried: pack
 * types, notes, formats, arrangements, the rule of an edition, variants, and of parallels all but
 * name and print run; sections without cards (the JSON form has all of them).
 */
export function formatChecklistCsv(release: Release): string {
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
			key: card.key
		}));
	});
	return `${Papa.unparse(rows, { columns: [...CSV_COLUMNS], newline: '\r\n' })}\r\n`;
}

function coveringOf(release: Release, section: Section, card: Card): readonly string[] {
	return release.parallels.flatMap((parallel) => {
		const rule = runRuleFor(parallel, section, card);
		if (!rule) return [];
		return rule.printRun === undefined ? parallel.name : `${parallel.name} /${rule.printRun}`;
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
