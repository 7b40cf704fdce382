import PdfDocument from 'pdfkit';
import { mmToPt, type Paper } from '../../core/print/paper.ts';

/** A font to embed, and the code points it is used for. */
export interface PdfFont {
	readonly name: string;
	readonly bytes: Uint8Array;
	readonly covers: (codePoint: number) => boolean;
}

/** Fonts in the order in which they are tried; the last takes what no other covers. */
export interface PdfFonts {
	readonly regular: readonly PdfFont[];
	readonly bold: readonly PdfFont[];
}

export interface PdfInfo {
	readonly title: string;
	/** When it is made: a clock is the caller's. */
	readonly madeAt: Date;
}

export type Weight = keyof PdfFonts;

/** A PDF being drawn; lengths in points (1/72 in) from the upper left corner. */
export interface Sheet {
	readonly doc: PDFKit.PDFDocument;
	readonly fonts: PdfFonts;
	readonly widthPt: number;
	readonly heightPt: number;
}

/** Draws a PDF and gives its bytes. Pages are added by `draw`, all of one paper. */
export async function drawPdf(
	paper: Paper,
	fonts: PdfFonts,
	info: PdfInfo,
	draw: (sheet: Sheet) => void
): Promise<Uint8Array<ArrayBuffer>> {
	const size: [number, number] = [mmToPt(paper.widthMm), mmToPt(paper.heightMm)];
	const doc = new PdfDocument({
		size,
		margin: 0,
		autoFirstPage: false,
		lang: 'en',
		displayTitle: true,
		info: { Title: info.title, Creator: 'Jade Binder', CreationDate: info.madeAt }
	});
	for (const font of [...fonts.regular, ...fonts.bold]) {
		doc.registerFont(font.name, font.bytes);
	}
	const parts: Uint8Array[] = [];
	doc.on('data', (part: Uint8Array) => parts.push(part));
	const ended = new Promise<void>((resolve, reject) => {
		doc.on('end', resolve);
		doc.on('error', reject);
	});
	draw({ doc, fonts, widthPt: size[0], heightPt: size[1] });
	doc.end();
	await ended;
	const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
	let at = 0;
	for (const part of parts) {
		whole.set(part, at);
		at += part.length;
	}
	return whole;
}
