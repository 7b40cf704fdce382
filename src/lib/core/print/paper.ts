/** A sheet of paper, upright, in millimetres. */
export interface Paper {
	readonly key: string;
	readonly name: string;
	readonly widthMm: number;
	readonly heightMm: number;
}

/** A4 is 210 × 297 mm (ISO 216); Letter is 8.5 × 11 in (ANSI/ASME Y14.1, size A). */
export const PAPERS: readonly Paper[] = [
	{ key: 'a4', name: 'A4, 210 × 297 mm', widthMm: 210, heightMm: 297 },
	{ key: 'letter', name: 'Letter, 8.5 × 11 in', widthMm: 215.9, heightMm: 279.4 }
];

/** Points (1/72 in) of a length: what PDF measures in. */
export function mmToPt(mm: number): number {
	return (mm / 25.4) * 72;
}

/** What one carries in a pocket: A6 is 105 × 148 mm (ISO 216). */
export const POCKET_PAPER: Paper = {
	key: 'a6',
	name: 'A6, 105 × 148 mm',
	widthMm: 105,
	heightMm: 148
};
