/** What is known of a card beside its line: a column of a table for each of the sheet of cards. */
export const RECORD_COLUMNS = {
	note: 'note',
	origin: 'came from',
	fixedProducts: 'fixed products',
	onlyIn: 'only in',
	tags: 'tags',
	sortAs: 'sort as',
	format: 'card format',
	odds: 'card odds',
	difficulty: 'difficulty',
	sameAs: 'same as',
	samePictureAs: 'same picture as',
	confidence: 'how sure',
	source: 'source',
	looked: 'found'
} as const;
type RecordColumn = (typeof RECORD_COLUMNS)[keyof typeof RECORD_COLUMNS];
const RECORD_NAMES: readonly RecordColumn[] = Object.values(RECORD_COLUMNS);

/** The columns of a card's line, in the order in which they are written. */
const LINE_COLUMNS = [
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
export type CsvColumn = (typeof LINE_COLUMNS)[number] | RecordColumn;
/** The columns of a checklist as CSV, in the order in which they are written. */
export const CSV_COLUMNS: readonly CsvColumn[] = [...LINE_COLUMNS, ...RECORD_NAMES];

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
