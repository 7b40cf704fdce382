export const POCKET_LOADINGS = ['top', 'side'] as const;
/** Where a card goes in: side-loading pockets open towards the rings and keep cards from falling out. */
export type PocketLoading = (typeof POCKET_LOADINGS)[number];

/** A leaf of pockets: rows by columns, seen from two faces. A kind is data, never a branch. */
export interface PageKind {
	readonly key: string;
	readonly name: string;
	readonly rows: number;
	readonly columns: number;
	/** Inner size of a pocket in millimetres. */
	readonly pocketWidthMm: number;
	readonly pocketHeightMm: number;
	readonly loading: PocketLoading;
	/** The thickest card a pocket takes, in points (1 pt = 0.001 in). */
	readonly thickestPt: number;
}

/** Pockets of nine-pocket pages take a sleeved card of 63.5 × 88.9 mm. Common practice, no source. */
const usual = {
	pocketWidthMm: 67,
	pocketHeightMm: 92,
	loading: 'top',
	thickestPt: 75
} as const;

/** The kinds that come with the program; own ones are added to them. */
export const PAGE_KINDS: readonly PageKind[] = [
	{
		key: '1x1',
		name: '1 × 1',
		rows: 1,
		columns: 1,
		pocketWidthMm: 216,
		pocketHeightMm: 280,
		loading: 'top',
		thickestPt: 180
	},
	{
		key: '2x2',
		name: '2 × 2',
		rows: 2,
		columns: 2,
		pocketWidthMm: 95,
		pocketHeightMm: 133,
		loading: 'top',
		thickestPt: 130
	},
	{ key: '2x4', name: '2 × 4', rows: 2, columns: 4, ...usual, loading: 'side' },
	{ key: '3x3', name: '3 × 3', rows: 3, columns: 3, ...usual },
	{ key: '3x4', name: '3 × 4', rows: 3, columns: 4, ...usual, loading: 'side' },
	{ key: '4x3', name: '4 × 3', rows: 4, columns: 3, ...usual }
];

/**
 * A page kind by its key, among one's own ones first.
 *
 * @throws RangeError for an unknown key
 */
export function pageKindOf(key: string, added: readonly PageKind[] = []): PageKind {
	const kind = [...added, ...PAGE_KINDS].find((known) => known.key === key);
	if (!kind) throw new RangeError(`pageKindOf: no page kind "${key}"`);
	return kind;
}

/** Pockets of one face. */
export function pocketsOf({ rows, columns }: Pick<PageKind, 'rows' | 'columns'>): number {
	return rows * columns;
}
