import QRCode from 'qrcode';
import type { Sheet } from './open-pdf.ts';

/** Quiet zone around a QR code, in modules (ISO/IEC 18004). */
const QUIET = 4;

/** Draws a text as a QR code with its quiet zone into a square: as rectangles, so that it prints sharp. */
export function drawQr({ doc }: Sheet, text: string, x: number, y: number, size: number): void {
	const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
	const step = size / (modules.size + 2 * QUIET);
	doc.fillColor('#000000');
	for (let row = 0; row < modules.size; row++) {
		for (let column = 0; column < modules.size; column++) {
			// Neighbours are one rectangle: no hairline shows between them.
			let length = 0;
			while (column + length < modules.size && modules.get(row, column + length)) length++;
			if (length === 0) continue;
			doc.rect(x + (QUIET + column) * step, y + (QUIET + row) * step, length * step, step);
			column += length;
		}
	}
	doc.fill();
}
