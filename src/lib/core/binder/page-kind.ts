/** A page of pockets. Issue by issue more kinds join; a kind is data, never a branch. */
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
	{ key: '3x3', name: '3 × 3', rows: 3, columns: 3, pocketWidthMm: 67, pocketHeightMm: 92 }
];

export function pageKindOf(key: string): PageKind {
	const kind = PAGE_KINDS.find((known) => known.key === key);
	if (!kind) throw new RangeError(`pageKindOf: no page kind "${key}"`);
	return kind;
}
