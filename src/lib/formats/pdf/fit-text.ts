import type { PdfFont, Sheet, Weight } from './open-pdf.ts';

/** A stretch of text in one font. */
interface Run {
	readonly font: PdfFont;
	readonly text: string;
}

export interface TextBox {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly size: number;
	readonly weight?: Weight;
	readonly align?: 'left' | 'center' | 'right';
	/** Lines it may take; left out: one. */
	readonly lines?: number;
	/** The smallest size it may shrink to; left out: it does not shrink. */
	readonly floor?: number;
	readonly color?: string;
}

export const LINE = 1.25;

/**
 * Writes text into a box, wrapped at words. What does not fit shrinks to the floor, and then ends in
 * an ellipsis. Letters that a font lacks are taken from the next one.
 *
 * @returns the height it took
 */
export function writeText(sheet: Sheet, text: string, box: TextBox): number {
	const { lines, size } = fitText(sheet, text, box);
	const { doc } = sheet;
	doc.fillColor(box.color ?? '#22302b');
	lines.forEach((line, i) => {
		const runs = runsOf(sheet, line, box.weight);
		const width = widthOf(sheet, runs, size);
		const slack = box.width - width;
		let x = box.x + (box.align === 'center' ? slack / 2 : box.align === 'right' ? slack : 0);
		for (const { font, text: part } of runs) {
			doc.font(font.name).fontSize(size);
			doc.text(part, x, box.y + i * size * LINE, { lineBreak: false });
			x += doc.widthOfString(part);
		}
	});
	return lines.length * size * LINE;
}

/** The lines text takes in a box, and the size at which it does. */
export function fitText(
	sheet: Sheet,
	text: string,
	{ width, size, weight, lines: most = 1, floor = size }: Omit<TextBox, 'x' | 'y'>
): { readonly lines: readonly string[]; readonly size: number } {
	const measure = (line: string, at: number) => widthOfText(sheet, line, at, weight);
	for (let at = size; ; at = Math.max(floor, at - 0.5)) {
		const lines = wrap(text, (line) => measure(line, at) <= width);
		if (lines.length <= most && lines.every((line) => measure(line, at) <= width)) {
			return { lines, size: at };
		}
		if (at > floor) continue;
		const kept = lines.slice(0, most);
		return {
			lines: kept.map((line, i) =>
				shorten(line, i === most - 1 && lines.length > most, (text) => measure(text, at) <= width)
			),
			size: at
		};
	}
}

/** How wide a line of text is at a size. */
export function widthOfText(sheet: Sheet, text: string, size: number, weight?: Weight): number {
	return widthOf(sheet, runsOf(sheet, text, weight), size);
}

/** A line that ends in an ellipsis where it does not fit, or where more would follow. */
function shorten(line: string, goesOn: boolean, fits: (text: string) => boolean): string {
	if (!goesOn && fits(line)) return line;
	const letters = Array.from(line);
	while (letters.length > 0 && !fits(`${letters.join('').trimEnd()}…`)) letters.pop();
	return `${letters.join('').trimEnd()}…`;
}

/** Breaks text at spaces; a word too long for a line stays whole. */
function wrap(text: string, fits: (line: string) => boolean): readonly string[] {
	const lines: string[] = [];
	for (const word of text.split(/\s+/).filter(Boolean)) {
		const last = lines.at(-1);
		const longer = last === undefined ? word : `${last} ${word}`;
		if (last !== undefined && fits(longer)) lines[lines.length - 1] = longer;
		else lines.push(word);
	}
	return lines;
}

function runsOf({ fonts }: Sheet, text: string, weight: Weight = 'regular'): readonly Run[] {
	const runs: { font: PdfFont; text: string }[] = [];
	const known = fonts[weight];
	for (const letter of text.normalize('NFC')) {
		const font = known.find(({ covers }) => covers(letter.codePointAt(0) ?? 0)) ?? known.at(-1);
		if (!font) throw new RangeError('runsOf: no font is given');
		const last = runs.at(-1);
		if (last?.font === font) last.text += letter;
		else runs.push({ font, text: letter });
	}
	return runs;
}

function widthOf({ doc }: Sheet, runs: readonly Run[], size: number): number {
	return runs.reduce(
		(sum, { font, text }) => sum + doc.font(font.name).fontSize(size).widthOfString(text),
		0
	);
}
