import { LOOKS } from '../../core/checklist/tell.ts';
import { PAPERS, POCKET_PAPER } from '../../core/print/paper.ts';
import { tellApartTable } from '../../core/telling/tell-apart-table.ts';
import { at } from '../../core/at.ts';
import { drawTable } from '../../formats/pdf/draw-table.ts';
import { drawPdf } from '../../formats/pdf/open-pdf.ts';
import type { Reader } from '../database/open.ts';
import { printFonts } from '../print/fonts.ts';
import { readLookAlikes } from './look-alikes.ts';

/** More columns than these are too narrow for a pocket. */
const MOST_IN_A_POCKET = 3;

/**
 * Look-alikes as a card to carry, as a PDF: what differs first, of that the cheapest look. A few fit on A6,
 * more on A4. Null where fewer than two of them are here.
 */
export async function printTells(
	db: Reader,
	keys: readonly string[],
	now: string
): Promise<Uint8Array<ArrayBuffer> | null> {
	const alikes = await readLookAlikes(db, keys);
	if (alikes.length < 2) return null;
	const { rows, twins } = tellApartTable(alikes);
	const nameOf = (key: string) => alikes.find((each) => each.key === key)?.name ?? key;
	const paper = alikes.length > MOST_IN_A_POCKET ? at(PAPERS, 0) : POCKET_PAPER;
	const title = 'Tell apart';
	return drawPdf(paper, await printFonts(), { title, madeAt: new Date(now) }, (sheet) => {
		drawTable(sheet, {
			title,
			note:
				twins.length > 0
					? `Nothing tells these apart: ${twins.map((pair) => pair.map(nameOf).join(' and ')).join('; ')}.`
					: `As of ${now.slice(0, 10)}. What differs stands first.`,
			columns: [
				{ title: '', share: 3 },
				...alikes.map(({ name, release }) => ({ title: `${name}, ${release}`, share: 4 }))
			],
			rows: rows.map(({ feature, where, values, isDifferent }) => [
				`${isDifferent ? '' : '= '}${feature} (${LOOKS[where].words})`,
				...values.map((value) => value ?? '?')
			])
		});
	});
}
