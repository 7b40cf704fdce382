import type { LabelText } from '../../core/storage/labels/label-text.ts';
import { labelPlace, type LabelGrid } from '../../core/print/label-grid.ts';
import { mmToPt } from '../../core/print/paper.ts';
import { drawQr } from './draw-qr.ts';
import { LINE, widthOfText, writeText } from './fit-text.ts';
import type { Sheet, Weight } from './open-pdf.ts';

const PADDING = mmToPt(2);
/** Text shrinks to this size, in points; what is still too long goes on. */
const SMALLEST = 6;
/** The size it begins with: to be read from where one stands, larger on a large label. */
const largest = (heightPt: number) => Math.max(12, Math.min(18, Math.floor(heightPt / 10)));
const TITLE = 1.25;
/** A QR code smaller than this is not read well by a phone. */
const LEAST_QR = mmToPt(13);
const MOST_QR = mmToPt(24);

interface Line {
	readonly text: string;
	readonly weight: Weight;
	readonly size: number;
}

/**
 * Draws labels on sheets of a grid, the first `start − 1` places left free. Text is never clipped: it
 * shrinks to a floor, and then goes on with its title on a second label.
 *
 * @returns how many labels were taken
 */
export function drawLabels(
	sheet: Sheet,
	grid: LabelGrid,
	labels: readonly LabelText[],
	start: number
): number {
	const { doc } = sheet;
	const [width, height] = [mmToPt(grid.widthMm), mmToPt(grid.heightMm)];
	const qr = Math.min(MOST_QR, height - 2 * PADDING, width / 3);
	let taken = 0;
	let sheets = 0;
	for (const label of labels) {
		const hasQr = label.link !== undefined && qr >= LEAST_QR;
		const inner = width - 2 * PADDING - (hasQr ? qr : 0);
		for (const lines of layOut(sheet, label, inner, height - 2 * PADDING)) {
			const place = labelPlace(grid, taken++, start);
			while (sheets <= place.sheet) {
				doc.addPage();
				sheets++;
			}
			const [x, y] = [mmToPt(place.xMm) + PADDING, mmToPt(place.yMm) + PADDING];
			let down = 0;
			for (const { text, weight, size } of lines) {
				writeText(sheet, text, { x, y: y + down, width: inner, size, weight });
				down += size * LINE;
			}
			if (hasQr) drawQr(sheet, label.link ?? '', x + inner, y, qr);
		}
	}
	if (sheets === 0) doc.addPage();
	return taken;
}

/** The lines of a label, of as many labels as they take. */
function layOut(
	sheet: Sheet,
	{ title, lines }: LabelText,
	width: number,
	height: number
): readonly (readonly Line[])[] {
	const linesAt = (
		size: number,
		head: string
	): { readonly head: readonly Line[]; readonly body: readonly Line[] } => ({
		head: breakText(sheet, head, width, size * TITLE, 'bold'),
		body: lines.flatMap((line) => breakText(sheet, line, width, size, 'regular'))
	});
	const heightOf = (some: readonly Line[]) => some.reduce((sum, { size }) => sum + size * LINE, 0);
	for (let size = largest(height); size >= SMALLEST; size -= 0.5) {
		const { head, body } = linesAt(size, title);
		if (heightOf([...head, ...body]) <= height) return [[...head, ...body]];
	}
	const { body } = linesAt(SMALLEST, title);
	const labels: Line[][] = [];
	let rest = body;
	while (rest.length > 0 || labels.length === 0) {
		const name = labels.length === 0 ? title : `${title} (${labels.length + 1})`;
		const all = breakText(sheet, name, width, SMALLEST * TITLE, 'bold');
		// A title that fills a label by itself is cut on those that follow: the text must go on.
		const most = Math.max(1, Math.floor((height - SMALLEST * LINE) / (SMALLEST * TITLE * LINE)));
		const head = all.slice(0, most);
		const room = Math.max(1, Math.floor((height - heightOf(head)) / (SMALLEST * LINE)));
		labels.push([...head, ...rest.slice(0, room)]);
		rest = rest.slice(room);
	}
	return labels;
}

/** Breaks a text into lines at spaces; a word too long for a line is broken between letters. */
function breakText(
	sheet: Sheet,
	text: string,
	width: number,
	size: number,
	weight: Weight
): readonly Line[] {
	const fits = (line: string) => widthOfText(sheet, line, size, weight) <= width;
	const lines: string[] = [];
	for (const word of text.split(/\s+/).filter(Boolean)) {
		const last = lines.at(-1);
		if (last !== undefined && fits(`${last} ${word}`)) {
			lines[lines.length - 1] = `${last} ${word}`;
			continue;
		}
		let part = '';
		for (const letter of word) {
			if (part !== '' && !fits(part + letter)) {
				lines.push(part);
				part = '';
			}
			part += letter;
		}
		lines.push(part);
	}
	return lines.map((line) => ({ text: line, weight, size }));
}
