import {
	cardNumberOrder,
	compareCardNumbers
} from '../core/checklist/numbers/compare-card-numbers.ts';
import { slug } from '../core/checklist/slug.ts';
import type { Problem } from '../core/problem.ts';
import { parseListCell } from '../core/checklist/list-cell.ts';
import { readCardRecord } from '../core/checklist/rule-sheet/card-columns.ts';
import { NO_NAMES, type SheetNames } from '../core/checklist/rule-sheet/column.ts';
import { formatOdds, PACK_AND_ODDS, parseOdds } from '../core/checklist/odds.ts';
import { RECORD_COLUMNS, type CsvColumn, type CsvRow } from './checklist-csv-columns.ts';
import { parallelsOfRows, type RowsOfSection } from './parallels-of-rows.ts';

/** Columns that speak of the whole section: a blank cell says the same as the section's first row. */
const SHARED: readonly CsvColumn[] = [
	'section',
	'kind',
	'numbered in',
	'print run',
	'odds',
	'listed',
	'stated total'
];
const ANOTHER = 'A list over several releases is added as a list of cards; a checklist has one.';
const RELEASE_WIDE: readonly CsvColumn[] = ['release', 'maker', 'year'];

interface Group extends RowsOfSection {
	readonly rows: CsvRow[];
}

/** What rows say, in the shape of a checklist file; unchecked but for what only rows can get wrong. */
export function sectionsOfRows(rows: readonly CsvRow[]) {
	const problems: Problem[] = [];
	const groups = new Map<string, Group>();
	for (const row of rows) {
		const key = row.cell('section key') || slug(row.cell('section') || 'base');
		const group = groups.get(key);
		if (group) group.rows.push(row);
		else groups.set(key, { key, first: row, rows: [row] });
	}
	const first = rows[0];
	for (const group of groups.values()) {
		for (const row of group.rows) {
			if (first)
				problems.push(...disagreements(RELEASE_WIDE, row, first, 'the first row', ANOTHER));
			problems.push(...disagreements(SHARED, row, group.first, "the section's first row"));
		}
	}
	const list = [...groups.values()];
	const sections = list.map((group) => sectionOf(group, list, problems));
	const lines = list.map(({ rows: members }) => members.map(({ line }) => line));
	return {
		sections,
		parallels: parallelsOfRows(list, problems),
		problems,
		/** The line of a JSON Pointer into these sections; undefined for other places. */
		lineOf: (pointer: string): number | undefined => {
			const match = /^\/sections\/(\d+)(?:\/cards\/(\d+))?/.exec(pointer);
			return match ? lines[Number(match[1])]?.[Number(match[2] ?? 0)] : undefined;
		}
	};
}

function disagreements(
	columns: readonly CsvColumn[],
	row: CsvRow,
	first: CsvRow,
	what: string,
	remedy = 'Make them the same, or leave this one blank.'
): Problem[] {
	return columns.flatMap((column) => {
		const said = row.cell(column);
		return said === '' || said === first.cell(column)
			? []
			: {
					line: row.line,
					field: column,
					message: `"${said.slice(0, 60)}" differs from ${what} (line ${first.line})`,
					remedy
				};
	});
}

function sectionOf({ key, first, rows }: Group, groups: readonly Group[], problems: Problem[]) {
	const name = first.cell('section') || 'Base';
	const kind = first.cell('kind').toLowerCase();
	const numberedIn = first.cell('numbered in');
	const printRun = wholeNumber(first, 'print run', problems);
	const statedTotal = wholeNumber(first, 'stated total', problems);
	const odds = parseListCell(first.cell('odds')).map((entry) => oddsEntry(entry, first, problems));
	return {
		key,
		name,
		...(kind ? { kind } : {}),
		...(numberedIn ? { numberedIn: keyOf(numberedIn, groups) } : {}),
		...listedOf(first, problems),
		...(statedTotal === undefined ? {} : { statedTotal }),
		...(printRun === undefined ? {} : { printRun }),
		...(numberedIn ? {} : { series: seriesOfRows(key, groups) }),
		...(odds.length > 0 ? { odds: Object.fromEntries(odds) } : {}),
		cards: rows.map((row) => cardOf(row, problems))
	};
}

function cardOf(row: CsvRow, problems: Problem[]) {
	const place = wholeNumber(row, 'place', problems);
	return {
		...(row.cell('key') ? { key: row.cell('key') } : {}),
		number: row.cell('number') || null,
		title: row.cell('title'),
		subjects: parseListCell(row.cell('subjects')),
		...(row.cell('group') ? { group: row.cell('group') } : {}),
		marks: parseListCell(row.cell('marks')).map((mark) => mark.toLowerCase()),
		...(row.cell('rarity') ? { rarity: row.cell('rarity') } : {}),
		otherNumbers: parseListCell(row.cell('other numbers')),
		...(place === undefined ? {} : { place }),
		...(row.cell('panel of') ? { panelOf: parseListCell(row.cell('panel of')) } : {}),
		...recordOf(row, problems)
	};
}

/** What cells say of a card beside its line; blank ones say nothing. */
function recordOf(row: CsvRow, problems: Problem[]) {
	const columns = Object.entries(RECORD_COLUMNS).filter(([, column]) => row.cell(column) !== '');
	if (columns.length === 0) return {};
	const cells = Object.fromEntries(columns.map(([key, column]) => [key, row.cell(column)]));
	const read = readCardRecord({}, cells, packsNamedIn(row));
	if (!read.ok) {
		problems.push(
			...read.problems.map(({ pointer: _, ...problem }) => ({ ...problem, line: row.line }))
		);
		return {};
	}
	const { odds, ...details } = read.value;
	return {
		...details,
		...(odds
			? { odds: Object.fromEntries(odds.map((each) => [each.packType, formatOdds(each)])) }
			: {})
	};
}

/** A table has no list of pack types: those that a row names are taken to be there. */
function packsNamedIn(row: CsvRow): SheetNames {
	const named = [
		...parseListCell(row.cell('only in')),
		...parseListCell(row.cell('card odds')).map((entry) => PACK_AND_ODDS.exec(entry)?.[1] ?? entry)
	];
	return { ...NO_NAMES, packTypes: named.map((name) => ({ key: slug(name), name })) };
}

function listedOf(row: CsvRow, problems: Problem[]): { listed?: boolean } {
	const word = row.cell('listed').toLowerCase();
	if (word === '') return {};
	if (word === 'yes' || word === 'no') return { listed: word === 'yes' };
	problems.push({
		line: row.line,
		field: 'listed',
		message: `"${word.slice(0, 60)}" is neither yes nor no`,
		remedy: "Write yes where the set's own checklist card has the section."
	});
	return {};
}

/** "Base" or "base": people name the section as they see it. */
function keyOf(nameOrKey: string, groups: readonly Group[]): string {
	const byKey = groups.find(({ key }) => key === nameOrKey);
	const byName = groups.find(
		({ first }) => first.cell('section').toLowerCase() === nameOrKey.toLowerCase()
	);
	return (byKey ?? byName)?.key ?? nameOrKey;
}

/** The series of a numbering: from the lowest to the highest number that is marked with each name. */
function seriesOfRows(owner: string, groups: readonly Group[]) {
	const numbers = new Map<string, string[]>();
	for (const group of groups) {
		const numberedIn = group.first.cell('numbered in');
		if ((numberedIn ? keyOf(numberedIn, groups) : group.key) !== owner) continue;
		for (const row of group.rows) {
			const name = row.cell('series');
			const number = row.cell('number');
			if (name && number) numbers.set(name, [...(numbers.get(name) ?? []), number]);
		}
	}
	return [...numbers]
		.map(([name, list]) => {
			const sorted = list.sort(cardNumberOrder(list));
			return { name, from: sorted[0] ?? '', to: sorted.at(-1) ?? '' };
		})
		.sort((a, b) => compareCardNumbers(a.from, b.from));
}

function oddsEntry(entry: string, row: CsvRow, problems: Problem[]): [string, string] {
	const [, pack, ratio = ''] = PACK_AND_ODDS.exec(entry) ?? [];
	const odds = parseOdds(ratio);
	if (!pack || /\s/.test(pack) || !odds) {
		problems.push({
			line: row.line,
			field: 'odds',
			message: `"${entry.slice(0, 60)}" are no odds`,
			remedy: 'Write the pack type and its odds: hobby 1:6; retail 1:12.'
		});
		return ['unknown', '1:1'];
	}
	return [pack.toLowerCase(), formatOdds(odds)];
}

function wholeNumber(row: CsvRow, column: CsvColumn, problems: Problem[]): number | undefined {
	const text = row.cell(column).replace(/^\//, '');
	if (text === '') return undefined;
	if (/^[1-9]\d{0,7}$/.test(text)) return Number(text);
	problems.push({
		line: row.line,
		field: column,
		message: `"${text.slice(0, 60)}" is no whole number from 1`,
		remedy: 'Write digits only, for example 120.'
	});
	return undefined;
}
