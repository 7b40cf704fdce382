import type { Problem } from '../problem.ts';
import { normalCardNumber, parseCardNumber } from './numbers/card-number.ts';
import type { Card } from './card.ts';
import { changeNames, repeatedBy, withChange, type Edition } from './edition.ts';
import type { Section } from './section.ts';
import type { Release } from './release.ts';

/** One line of a pasted list, understood. */
export interface TitleLine {
	readonly line: number;
	readonly number: string;
	readonly title: string;
	readonly group: string | null;
	/** What was forgiven in it, in words. */
	readonly forgiven: readonly string[];
}

export interface TitleReading {
	readonly lines: readonly TitleLine[];
	readonly problems: readonly Problem[];
}

const NOISE: readonly (readonly [RegExp, string, string])[] = [
	[/[“”„]/g, '"', 'curly quotes'],
	[/[‘’]/g, "'", 'curly apostrophes'],
	[/\u00a0/g, ' ', 'odd spaces'],
	[/ {2,}/g, ' ', 'double spaces']
];

/**
 * Reads a pasted list of numbers, titles and groups: columns in any order behind tabs or commas, or
 * free text "12 Name – Group". The column of numbers is the one in which most lines have one; the
 * longer of the others is the title. Noise of scanning is forgiven and named. Lines that hold no
 * number of a card are problems.
 */
export function readTitles(text: string): TitleReading {
	const problems: Problem[] = [];
	const rows = text.split('\n').flatMap((raw, i) => {
		const { clean, forgiven } = withoutNoise(raw);
		return clean === '' ? [] : [{ line: i + 1, clean, forgiven }];
	});
	const separator = commonSeparator(rows.map(({ clean }) => clean));
	const cells = rows.map(({ clean }) =>
		separator === null ? freeCells(clean) : splitCells(clean, separator)
	);
	const order = columnOrder(cells);
	const lines = rows.flatMap(({ line, clean, forgiven }, i): TitleLine[] => {
		const [number, notes] = cleanNumber(cells[i]?.[order.number] ?? '');
		const title = (cells[i]?.[order.title] ?? '').trim();
		if (parseCardNumber(number).digits === null || title === '') {
			problems.push({
				line,
				message: `"${clean.slice(0, 60)}" has no ${title === '' ? 'title' : 'card number'}`,
				remedy: 'Write number and title, for example: 12 Gannet Point – Lighthouses'
			});
			return [];
		}
		const group = (cells[i]?.[order.group] ?? '').trim() || null;
		return [{ line, number, title, group, forgiven: [...forgiven, ...notes] }];
	});
	return { lines, problems };
}

/**
 * The release with titles (and groups) filled in by number; lines of unknown numbers are problems. A card that
 * an edition repeats gets its title as a change of the edition; the card it repeats stays.
 */
export function fillTitles(
	release: Release,
	numberingKey: string,
	lines: readonly TitleLine[]
): { readonly release: Release; readonly filled: number; readonly problems: readonly Problem[] } {
	const wanted = new Map(lines.map((line) => [normalCardNumber(line.number), line]));
	const found = new Set<string>();
	/** Numbers that several cards bear which one edition repeats. */
	const twice = new Set<string>();
	let filled = 0;
	/** What a list says anew of a card; null: nothing. */
	const saidOf = (card: Card): { readonly title: string; readonly group?: string } | null => {
		const place = card.number === null ? '' : normalCardNumber(card.number);
		const line = wanted.get(place);
		if (!line) return null;
		found.add(place);
		const group = line.group ?? card.group;
		if (card.title === line.title && card.group === group) return null;
		filled++;
		return { title: line.title, ...(group ? { group } : {}) };
	};
	const fill = (card: Card): Card => ({ ...card, ...saidOf(card) });
	const fillEdition = (section: Section, edition: Edition): Edition => {
		const repeated = repeatedBy(release, section, edition);
		const names = changeNames(repeated);
		return repeated.reduce((changed, { card }) => {
			const name = names.get(card.key) ?? null;
			if (name === null) {
				twice.add(normalCardNumber(card.number ?? ''));
				return changed;
			}
			const said = saidOf(card);
			return said ? withChange(changed, { card: name, ...said }) : changed;
		}, edition);
	};
	const sections = release.sections.map((section) => {
		if ((section.numberedIn ?? section.key) !== numberingKey) return section;
		const { edition } = section;
		return {
			...section,
			cards: section.cards.map(fill),
			...(edition ? { edition: fillEdition(section, edition) } : {})
		};
	});
	const problems = lines
		.filter(({ number }) => !found.has(normalCardNumber(number)))
		.map(({ line, number }) =>
			twice.has(normalCardNumber(number))
				? {
						line,
						message: `several cards here are ${number}: an edition cannot tell them apart`,
						remedy: 'Title them in the sections that it repeats.'
					}
				: {
						line,
						message: `there is no card ${number} here`,
						remedy: 'Check the number, or choose another section.'
					}
		);
	return { release: { ...release, sections }, filled, problems };
}

function withoutNoise(raw: string): { clean: string; forgiven: string[] } {
	const forgiven: string[] = [];
	let clean = raw.replace(/\r/g, '');
	for (const [pattern, replacement, name] of NOISE) {
		const next = clean.replace(pattern, replacement);
		if (next !== clean) forgiven.push(name);
		clean = next;
	}
	const trimmed = clean.trim().replace(/[.…]{2,}$|(?<=\p{L}{2,})\.$/u, '');
	if (trimmed !== clean.trim()) forgiven.push('trailing dots');
	return { clean: trimmed, forgiven };
}

/** "#12." → "12" */
function cleanNumber(cell: string): [number: string, forgiven: string[]] {
	const trimmed = cell.trim();
	const number = trimmed
		.replace(/^(?:#|no\.?\s*)/i, '')
		.replace(/[.):]+$/, '')
		.trim();
	return [number, number === trimmed ? [] : ['marks around the number']];
}

function commonSeparator(lines: readonly string[]): string | null {
	const most = (mark: string) =>
		lines.filter((line) => line.includes(mark)).length > lines.length / 2;
	return most('\t') ? '\t' : most(',') ? ',' : most(';') ? ';' : null;
}

/** Splits at a separator; a comma inside quotation marks does not count. */
function splitCells(line: string, separator: string): string[] {
	const cells: string[] = [];
	let cell = '';
	let isQuoted = false;
	for (const char of line) {
		if (char === '"') isQuoted = !isQuoted;
		else if (char === separator && !isQuoted) {
			cells.push(cell);
			cell = '';
		} else cell += char;
	}
	return [...cells, cell].map((text) => text.trim());
}

/** "12 Name – Group", "Name – Group 12" is not meant: the number stands first. */
function freeCells(line: string): string[] {
	const [, number = '', rest = line] = /^(\S+)\s+(.*)$/.exec(line) ?? [];
	const [title = '', group = ''] = rest.split(/\s+[–—-]\s+/, 2);
	return [number, title, group];
}

function columnOrder(rows: readonly (readonly string[])[]) {
	const width = rows.reduce((most, row) => Math.max(most, row.length), 0);
	const columns = Array.from({ length: width }, (_, c) => rows.map((row) => row[c] ?? ''));
	const numbers = (column: readonly string[]) =>
		column.filter((cell) => parseCardNumber(cleanNumber(cell)[0]).digits !== null).length;
	const letters = (column: readonly string[]) =>
		new Set(column).size * 1000 + column.join('').length;
	const indices = columns.map((_, c) => c);
	const number = indices.reduce(
		(best, c) => (numbers(columns[c] ?? []) > numbers(columns[best] ?? []) ? c : best),
		0
	);
	// Titles differ from card to card, groups repeat.
	const others = indices
		.filter((c) => c !== number)
		.sort((a, b) => letters(columns[b] ?? []) - letters(columns[a] ?? []));
	return { number, title: others[0] ?? -1, group: others[1] ?? -1 };
}
