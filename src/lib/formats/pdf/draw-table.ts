import { mmToPt } from '../../core/print/paper.ts';
import { fitText, LINE, writeText } from './fit-text.ts';
import type { Sheet } from './open-pdf.ts';

const MARGIN = mmToPt(15);
const SIZE = 10;
const PADDING = 3;

export interface TableColumn {
	readonly title: string;
	/** Share of the width. */
	readonly share: number;
	readonly align?: 'left' | 'right';
}

export interface PrintedTable {
	readonly title: string;
	/** A line under the title. */
	readonly note: string;
	readonly columns: readonly TableColumn[];
	readonly rows: readonly (readonly string[])[];
	/** Whether each row begins with a box to tick. */
	readonly hasBoxes?: boolean;
	/** Rows, by their places, whose boxes are ticked. */
	readonly ticked?: ReadonlySet<number>;
}

/** Draws a table over as many pages as it takes; the head stands on each, rows are never split. */
export function drawTable(sheet: Sheet, table: PrintedTable): void {
	const { doc, widthPt, heightPt } = sheet;
	const box = table.hasBoxes ? SIZE + 6 : 0;
	const inner = widthPt - 2 * MARGIN - box;
	const shares = table.columns.reduce((sum, { share }) => sum + share, 0);
	const widths = table.columns.map(({ share }) => (inner * share) / shares);
	const lefts = widths.map(
		(_, i) => MARGIN + box + widths.slice(0, i).reduce((sum, width) => sum + width, 0)
	);
	let page = 0;
	let y = 0;
	const writeRow = (cells: readonly string[], weight: 'regular' | 'bold') => {
		cells.forEach((cell, i) => {
			writeText(sheet, cell, {
				x: lefts[i] ?? 0,
				y: y + PADDING,
				width: (widths[i] ?? 0) - 6,
				size: SIZE,
				weight,
				align: table.columns[i]?.align ?? 'left',
				lines: 6
			});
		});
	};
	const heightOf = (cells: readonly string[], weight: 'regular' | 'bold') =>
		2 * PADDING +
		SIZE *
			LINE *
			Math.max(
				1,
				...cells.map(
					(cell, i) =>
						fitText(sheet, cell, { width: (widths[i] ?? 0) - 6, size: SIZE, weight, lines: 6 })
							.lines.length
				)
			);
	const rule = (width: number, color: string) =>
		doc
			.moveTo(MARGIN, y)
			.lineTo(widthPt - MARGIN, y)
			.lineWidth(width)
			.strokeColor(color)
			.stroke();
	const begin = () => {
		doc.addPage();
		page++;
		y = MARGIN;
		const title = page === 1 ? table.title : `${table.title}, continued`;
		const wide = { x: MARGIN, width: widthPt - 2 * MARGIN };
		y += writeText(sheet, title, { ...wide, y, size: 16, weight: 'bold', lines: 2, floor: 11 });
		if (page === 1 && table.note)
			y += writeText(sheet, table.note, { ...wide, y, size: SIZE, lines: 3 });
		y += 8;
		const heads = table.columns.map(({ title: head }) => head);
		writeRow(heads, 'bold');
		y += heightOf(heads, 'bold');
		rule(1, '#1d6552');
	};
	const tick = () =>
		doc
			.moveTo(MARGIN + 2, y + PADDING + 5.5)
			.lineTo(MARGIN + 4, y + PADDING + 8)
			.lineTo(MARGIN + 7.5, y + PADDING + 2.5)
			.lineWidth(1.4)
			.strokeColor('#1d6552')
			.stroke();
	begin();
	for (const [at, row] of table.rows.entries()) {
		const height = heightOf(row, 'regular');
		if (y + height > heightPt - MARGIN) begin();
		if (table.hasBoxes) {
			doc
				.rect(MARGIN, y + PADDING + 1, SIZE - 1, SIZE - 1)
				.lineWidth(0.8)
				.strokeColor('#22302b')
				.stroke();
			if (table.ticked?.has(at)) tick();
		}
		writeRow(row, 'regular');
		y += height;
		rule(0.4, '#ddd3bd');
	}
}
