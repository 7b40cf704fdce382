/** The columns of a checklist as CSV, in the order in which they are written. */
export const CSV_COLUMNS = [
	'release',
	'maker',
	'year',
	'section',
	'section key',
	'kind',
	'listed',
	'stated total',
	'numbered in',
	'series',
	'number',
	'other numbers',
	'place',
	'panel of',
	'title',
	'subjects',
	'group',
	'marks',
	'rarity',
	'print run',
	'odds',
	'parallels',
	'key'
] as const;
export type CsvColumn = (typeof CSV_COLUMNS)[number];

/** What the column "parallels" says of a card that has none; blank means: as the section's first row. */
export const NO_PARALLEL = '-';

/** What a file may leave out and the import form asks for. */
export interface CsvDefaults {
	readonly name?: string;
	readonly maker?: string;
	readonly year?: string;
}

/** A row by column, trimmed, with the line it begins on; the header is not among them. */
export interface CsvRow {
	readonly line: number;
	readonly cell: (column: CsvColumn) => string;
}
