import { bad, good } from '../../problem.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import { SECTION_KINDS, type Section } from '../section.ts';
import {
	choiceColumn,
	countColumn,
	nameOf,
	namesColumn,
	readNames,
	textColumn,
	type Column
} from './column.ts';
import { tellsColumn } from './tell-cell.ts';
import {
	difficultyColumn,
	evidenceColumns,
	formatColumn,
	oddsColumn,
	onlyInColumn
} from './shared-columns.ts';
import { SWATCHES } from '../swatch.ts';

/** A section without its cards: what a row of the sheet holds. */
export type SectionRules = Omit<Section, 'cards'>;

const seriesColumn: Column<SectionRules> = {
	key: 'series',
	name: 'Series',
	hint: 'Series 1: 1–160; Series 2: 161–240',
	width: 16,
	write: ({ series }) =>
		formatListCell(series.map(({ name, from, to }) => `${name}: ${from}–${to}`)),
	read: (text) => {
		const series = parseListCell(text).map((entry) => {
			const [, name = '', from = '', to = ''] =
				/^(.+):\s*(\S+?)\s*(?:–|\s-\s|\sto\s)\s*(\S+)$/.exec(entry) ??
				/^(.+):\s*([^\s-]+)-([^\s-]+)$/.exec(entry) ??
				[];
			return { name, from, to, entry };
		});
		const strange = series.find(({ name }) => name === '');
		return strange
			? bad([
					{
						message: `"${strange.entry}" is no series`,
						remedy: 'Write its name and numbers, for example Series 1: 1–160.'
					}
				])
			: good(series.length > 0 ? { series: series.map(({ entry: _, ...part }) => part) } : {});
	}
};

const arrangementColumn: Column<SectionRules> = {
	key: 'arrangement',
	name: 'Laid out as',
	hint: 'puzzle 3 × 3, strip 10 × 1',
	width: 9,
	write: ({ arrangement }) =>
		arrangement ? `${arrangement.kind} ${arrangement.columns} × ${arrangement.rows}` : '',
	read: (text) => {
		if (text === '') return good({});
		const [, kind, columns, rows] =
			/^(puzzle|strip)\s+([1-9]\d?)\s*[×x]\s*([1-9]\d?)$/i.exec(text) ?? [];
		return kind
			? good({
					arrangement: {
						kind: kind.toLowerCase() === 'strip' ? 'strip' : 'puzzle',
						columns: Number(columns),
						rows: Number(rows)
					}
				})
			: bad([
					{ message: `"${text}" is no lay-out`, remedy: 'Write puzzle 3 × 3 or strip 10 × 1.' }
				]);
	}
};

/** Letters by place in the strip, separated by semicolons; "none", or ? where it is not known. */
const letteringColumn: Column<SectionRules> = {
	key: 'lettering',
	name: 'Letters by place',
	hint: 'Tidewater; none; ?',
	width: 12,
	write: ({ lettering = [] }) =>
		formatListCell(
			lettering.map((text) =>
				text === null
					? 'none'
					: text === ''
						? '?'
						: /^(none|\?|".*")$/i.test(text)
							? `"${text}"`
							: text
			)
		),
	read: (text) => {
		const lettering = parseListCell(text).map((entry) => {
			if (/^none$/i.test(entry)) return null;
			return entry === '?' ? '' : entry.replace(/^"(.*)"$/, '$1');
		});
		return good(lettering.length > 0 ? { lettering } : {});
	}
};

/** The sections that an edition repeats, the cards it leaves out, the number it counts from: "Base; Storm Watch; without 4; from 89". */
const editionColumn: Column<SectionRules> = {
	key: 'edition',
	name: 'Edition of',
	hint: 'Base; without 4; from 89',
	width: 12,
	write: ({ edition }, { sections }) =>
		edition
			? formatListCell([
					...edition.of.map((key) => nameOf(sections, key)),
					...edition.without.map((card) => `without ${card}`),
					...(edition.from ? [`from ${edition.from}`] : [])
				])
			: '',
	read: (text, { sections }) => {
		const entries = parseListCell(text);
		if (entries.length === 0) return good({});
		const left = entries.filter((entry) => /^without\s/i.test(entry));
		const [from] = entries.flatMap((entry) => /^from\s+(\S+)$/i.exec(entry)?.[1] ?? []);
		const of = readNames(
			formatListCell(
				entries.filter((entry) => !left.includes(entry) && !/^from\s+\S+$/i.test(entry))
			),
			sections
		);
		const without = left.map((entry) => entry.replace(/^without\s+/i, ''));
		return of.ok
			? good({
					edition: { of: of.value, changes: [], without, ...(from ? { from } : {}) }
				})
			: of;
	}
};

/** Whose place in a pack its cards take: a section, or nobody's. */
const takesPlaceColumn: Column<SectionRules> = {
	key: 'takesPlaceOf',
	name: 'In a pack instead of',
	hint: 'a usual card; Base; or on top',
	width: 10,
	write: ({ takesPlaceOf }, { sections }) =>
		takesPlaceOf === undefined
			? ''
			: takesPlaceOf === null
				? 'on top'
				: formatListCell([nameOf(sections, takesPlaceOf)]),
	read: (text, { sections }) => {
		if (text === '') return good({});
		const named = readNames(text, sections);
		const [takesPlaceOf, more] = named.ok ? named.value : [];
		if (takesPlaceOf !== undefined && more === undefined) return good({ takesPlaceOf });
		if (/^on top$/i.test(text)) return good({ takesPlaceOf: null });
		return named.ok
			? bad([{ message: `"${text}" are several`, remedy: 'Name one section, or write on top.' }])
			: named;
	}
};

export const SECTION_COLUMNS: readonly Column<SectionRules>[] = [
	textColumn(
		{ key: 'name', name: 'Name', hint: 'Storm Watch', width: 12 },
		({ name }) => name,
		(name) => ({ name })
	),
	choiceColumn(
		{ key: 'kind', name: 'Kind', hint: 'base', width: 6 },
		SECTION_KINDS,
		({ kind }) => kind,
		(kind) => ({ kind })
	),
	{
		...namesColumn(
			{ key: 'numberedIn', name: 'Numbered in', hint: 'its own numbers', width: 9 },
			'sections',
			({ numberedIn }: SectionRules) => (numberedIn ? [numberedIn] : []),
			([numberedIn]) => (numberedIn ? { numberedIn } : {})
		)
	},
	countColumn(
		{ key: 'statedTotal', name: 'Stated total', hint: '240', width: 6 },
		({ statedTotal }) => statedTotal,
		(statedTotal) => ({ statedTotal })
	),
	countColumn(
		{ key: 'printRun', name: 'Print run', hint: 'not numbered', width: 6 },
		({ printRun }) => printRun,
		(printRun) => ({ printRun })
	),
	oddsColumn,
	onlyInColumn,
	takesPlaceColumn,
	choiceColumn(
		{ key: 'listed', name: 'On the list', hint: 'yes', width: 5 },
		['yes', 'no'],
		({ listed }) => (listed ? 'yes' : 'no'),
		(word) => ({ listed: word === 'yes' })
	),
	seriesColumn,
	formatColumn,
	arrangementColumn,
	editionColumn,
	textColumn(
		{ key: 'howToTell', name: 'How to tell', hint: 'what sets it apart', width: 20 },
		({ howToTell }) => howToTell,
		(howToTell) => ({ howToTell })
	),
	tellsColumn(),
	textColumn(
		{ key: 'baseLook', name: 'Base finish looks', hint: 'dull, no colour', width: 12 },
		({ baseLook }) => baseLook,
		(baseLook) => ({ baseLook })
	),
	choiceColumn<SectionRules, 'none'>(
		{ key: 'noBaseFinish', name: 'Base finish', hint: 'none: in its parallels only', width: 7 },
		['none'],
		({ noBaseFinish }) => (noBaseFinish ? 'none' : undefined),
		() => ({ noBaseFinish: true })
	),
	choiceColumn(
		{ key: 'swatch', name: 'Swatch', hint: 'none in question', width: 7 },
		SWATCHES,
		({ swatch }) => swatch,
		(swatch) => ({ swatch })
	),
	difficultyColumn,
	...evidenceColumns,
	letteringColumn,
	{
		key: 'alsoIn',
		name: 'Also in',
		hint: 'keys of other releases',
		width: 11,
		write: ({ alsoIn }) => formatListCell(alsoIn),
		read: (text) => good({ alsoIn: parseListCell(text) })
	},
	textColumn(
		{ key: 'note', name: 'Note', hint: '', width: 16 },
		({ note }) => note,
		(note) => ({ note })
	)
];
