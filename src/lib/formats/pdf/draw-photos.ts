import { mmToPt } from '../../core/print/paper.ts';
import type { PrintedPhoto } from '../printed-photo.ts';
import { writeText } from './fit-text.ts';
import type { Sheet } from './open-pdf.ts';

const MARGIN = mmToPt(15);
const COLUMNS = 3;
const GAP = mmToPt(6);
/** A photo and two lines of caption. */
const PHOTO_HEIGHT = mmToPt(68);
const CAPTION = 26;

/** Draws photos with their captions, three beside each other, on pages of their own. */
export function drawPhotos(sheet: Sheet, title: string, photos: readonly PrintedPhoto[]): void {
	const { doc, widthPt, heightPt } = sheet;
	const width = (widthPt - 2 * MARGIN - (COLUMNS - 1) * GAP) / COLUMNS;
	let y = Infinity;
	photos.forEach(({ jpeg, widthPx, heightPx, caption }, i) => {
		const column = i % COLUMNS;
		if (column === 0) {
			y += PHOTO_HEIGHT + CAPTION + GAP;
			if (!(y + PHOTO_HEIGHT + CAPTION <= heightPt - MARGIN)) {
				doc.addPage();
				y = MARGIN;
				const wide = { x: MARGIN, width: widthPt - 2 * MARGIN };
				y += writeText(sheet, title, { ...wide, y, size: 16, weight: 'bold', lines: 1 }) + 8;
			}
		}
		const x = MARGIN + column * (width + GAP);
		const scale = Math.min(width / widthPx, PHOTO_HEIGHT / heightPx);
		doc.image(Buffer.from(jpeg), x, y, { width: widthPx * scale, height: heightPx * scale });
		writeText(sheet, caption, { x, y: y + PHOTO_HEIGHT + 2, width, size: 9, lines: 2 });
	});
}
