import { at } from '../../core/at.ts';
import { PAPERS } from '../../core/print/paper.ts';
import { drawTable } from '../../formats/pdf/draw-table.ts';
import { drawPdf } from '../../formats/pdf/open-pdf.ts';
import type { Reader } from '../database/open.ts';
import { printFonts } from '../print/fonts.ts';
import { readSecondPass } from './second-pass.ts';

/** The second pass as a list to tick, in the order in which the cards stand, as a PDF. */
export async function printSecondPass(
	db: Reader,
	which: { readonly release: string | null; readonly all: boolean },
	now: string
): Promise<Uint8Array<ArrayBuffer>> {
	const lines = await readSecondPass(db, which);
	const title = 'Second pass';
	const madeAt = new Date(now);
	return drawPdf(at(PAPERS, 0), await printFonts(), { title, madeAt }, (sheet) => {
		drawTable(sheet, {
			title,
			note: `${lines.length} to look at, in the order in which they stand; as of ${now.slice(0, 10)}.`,
			columns: [
				{ title: 'Where', share: 3 },
				{ title: 'Card', share: 5 },
				{ title: 'Look for', share: 6 }
			],
			rows: lines.map(({ place, number, title: called, finish, release, quantity, printings }) => [
				place ? `${place.name}${place.row === null ? '' : `, row ${place.row}`}` : '',
				[
					[number, called].filter(Boolean).join(' '),
					finish,
					release,
					quantity > 1 ? `× ${quantity}` : ''
				]
					.filter(Boolean)
					.join(', '),
				printings
					.slice(1)
					.map(({ name, lookFor }) => `${name}: ${lookFor}`)
					.join(' ')
			]),
			hasBoxes: true
		});
	});
}
