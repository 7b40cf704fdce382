/** A sheet of labels: equal ones in rows and columns; lengths in millimetres. */
export interface LabelGrid {
	readonly key: string;
	readonly name: string;
	/** Key of its paper. */
	readonly paper: 'a4' | 'letter';
	readonly columns: number;
	readonly rows: number;
	readonly widthMm: number;
	readonly heightMm: number;
	/** From the paper's edge to the first label. */
	readonly leftMm: number;
	readonly topMm: number;
	/** From a label's edge to the next one's. */
	readonly gapXMm: number;
	readonly gapYMm: number;
}

const IN = 25.4;

/** Grids that are sold widely; figures from memory, so hold a print against a sheet first. */
export const LABEL_GRIDS: readonly LabelGrid[] = [
	a4('a4-3x7', 3, 7, 63.5, 38.1, 2.5, 0),
	a4('a4-2x7', 2, 7, 99.1, 38.1, 2.5, 0),
	a4('a4-2x4', 2, 4, 99.1, 67.7, 2.5, 0),
	a4('a4-4x16', 4, 16, 45.7, 16.9, 2.5, 0),
	letter('letter-3x10', 3, 10, 2.625 * IN, 1 * IN, 0.125 * IN, 0),
	letter('letter-2x5', 2, 5, 4 * IN, 2 * IN, 0.1875 * IN, 0),
	letter('letter-2x3', 2, 3, 4 * IN, (10 / 3) * IN, 0.1875 * IN, 0),
	letter('letter-4x20', 4, 20, 1.75 * IN, 0.5 * IN, 0.3 * IN, 0)
];

function a4(...figures: Figures): LabelGrid {
	return centred('a4', 210, 297, figures);
}

function letter(...figures: Figures): LabelGrid {
	return centred('letter', 8.5 * IN, 11 * IN, figures);
}

type Figures = readonly [
	key: string,
	columns: number,
	rows: number,
	widthMm: number,
	heightMm: number,
	gapXMm: number,
	gapYMm: number
];

/** Grids lie in the middle of their sheet. */
function centred(
	paper: LabelGrid['paper'],
	paperMm: number,
	paperHeightMm: number,
	[key, columns, rows, widthMm, heightMm, gapXMm, gapYMm]: Figures
): LabelGrid {
	const inner = (count: number, size: number, gap: number) => count * size + (count - 1) * gap;
	const round = (mm: number) => Math.round(mm * 10) / 10;
	return {
		key,
		name: `${columns} × ${rows}, ${round(widthMm)} × ${round(heightMm)} mm (${paper === 'a4' ? 'A4' : 'Letter'})`,
		paper,
		columns,
		rows,
		widthMm,
		heightMm,
		leftMm: (paperMm - inner(columns, widthMm, gapXMm)) / 2,
		topMm: (paperHeightMm - inner(rows, heightMm, gapYMm)) / 2,
		gapXMm,
		gapYMm
	};
}

/** Where the nth label lies: sheet and place, all from 0, the first `start − 1` places left free. */
export function labelPlace(
	grid: LabelGrid,
	n: number,
	start = 1
): { readonly sheet: number; readonly xMm: number; readonly yMm: number } {
	const { columns, rows, leftMm, topMm, widthMm, heightMm, gapXMm, gapYMm } = grid;
	const at = n + start - 1;
	const place = at % (columns * rows);
	return {
		sheet: Math.floor(at / (columns * rows)),
		xMm: leftMm + (place % columns) * (widthMm + gapXMm),
		yMm: topMm + Math.floor(place / columns) * (heightMm + gapYMm)
	};
}
