/** A page of pockets: rows by columns. A kind is data, never a branch. */
export interface PageKind {
	readonly key: string;
	readonly name: string;
	readonly rows: number;
	readonly columns: number;
	/** Inner size of a pocket in millimetres. */
	readonly pocketWidthMm: number;
	readonly pocketHeightMm: number;
}

/** Pockets of nine-pocket pages take a sleeved card of 63.5 × 88.9 mm. Common practice, no source. */
export const PAGE_KINDS: readonly PageKind[] = [
	{ key: '3x3', name: '3 × 3', rows: 3, columns: 3, pocketWidthMm: 67, pocketHeightMm: 92 },
	{ key: '1x1', name: '1 × 1', rows: 1, columns: 1, pocketWidthMm: 216, pocketHeightMm: 280 },
	{ key: '2x2', name: '2 × 2', rows: 2, columns: 2, pocketWidthMm: 95, pocketHeightMm: 133 },
	{ key: '2x4', name: '2 × 4', rows: 2, columns: 4, pocketWidthMm: 67, pocketHeightMm: 92 },
	{ key: '3x4', name: '3 × 4', rows: 3, columns: 4, pocketWidthMm: 67, pocketHeightMm: 92 },
	{ key: '4x3', name: '4 × 3', rows: 4, columns: 3, pocketWidthMm: 67, pocketHeightMm: 92 }
];

export function pageKindOf(key: string): PageKind {
	const kind = PAGE_KINDS.find((known) => known.key === key);
	if (!kind) throw new RangeError(`pageKindOf: no page kind "${key}"`);
	return kind;
}
