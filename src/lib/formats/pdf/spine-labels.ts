import { mmToPt } from '../../core/print/paper.ts';
import { fitText, LINE, writeText } from './fit-text.ts';
import type { Sheet } from './open-pdf.ts';

/** Labels are as long as they fit on both papers, and on a usual binder. */
const SPINE_LENGTH_MM = 260;
const GAP_MM = 6;

/** What stands on the back of a binder, one a volume. */
export interface SpineLabel {
	readonly title: string;
	/** "Volume 2 of 3", or nothing. */
	readonly volume: string;
	/** What is in it: sections. */
	readonly contents: string;
	/** "169 of 281" */
	readonly count: string;
}

/** Draws spine labels side by side with lines to cut along, text from top to bottom, shrunk to fit. */
export function drawSpines(sheet: Sheet, labels: readonly SpineLabel[], widthMm: number): void {
	const { doc, widthPt, heightPt } = sheet;
	const [width, length, gap] = [mmToPt(widthMm), mmToPt(SPINE_LENGTH_MM), mmToPt(GAP_MM)];
	const across = Math.max(1, Math.floor((widthPt - gap) / (width + gap)));
	labels.forEach((label, i) => {
		if (i % across === 0) doc.addPage();
		const x = gap + (i % across) * (width + gap);
		const y = (heightPt - length) / 2;
		doc
			.rect(x, y, width, length)
			.lineWidth(0.5)
			.dash(3, { space: 2 })
			.strokeColor('#8a8f86')
			.stroke();
		doc.undash();
		doc.save();
		// Turned by a right angle: the label's length runs along the text.
		doc.translate(x + width, y).rotate(90);
		drawLabel(sheet, label, length, width);
		doc.restore();
	});
}

function drawLabel(sheet: Sheet, label: SpineLabel, length: number, width: number): void {
	const pad = mmToPt(8);
	const inner = length - 2 * pad;
	const count = {
		width: inner * 0.22,
		size: Math.min(20, width * 0.3),
		floor: 6,
		weight: 'bold'
	} as const;
	const main = { width: inner - count.width - pad, lines: 1, floor: 6 } as const;
	const titleSize = Math.min(30, width * 0.38);
	const noteSize = Math.min(12, width * 0.16);
	const note = [label.volume, label.contents].filter(Boolean).join(' · ');
	const title = fitText(sheet, label.title, { ...main, size: titleSize, weight: 'bold' });
	const small = fitText(sheet, note, { ...main, size: noteSize });
	const block = (title.size + small.size) * LINE;
	const y = (width - block) / 2;
	writeText(sheet, label.title, { ...main, x: pad, y, size: titleSize, weight: 'bold' });
	writeText(sheet, note, {
		...main,
		x: pad,
		y: y + title.size * LINE,
		size: noteSize,
		color: '#4a5d55'
	});
	writeText(sheet, label.count, {
		...count,
		x: pad + inner - count.width,
		y: (width - count.size * LINE) / 2,
		align: 'right'
	});
}
