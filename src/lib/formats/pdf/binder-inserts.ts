import type { BinderPage } from '../../core/binder/binder-page.ts';
import { STANDARD_CARD } from '../../core/measuring/card-size.ts';
import type { PageKind } from '../../core/binder/page-kind.ts';
import type { PocketFace } from '../../core/binder/pocket-face.ts';
import { mmToPt } from '../../core/print/paper.ts';
import { writeText } from './fit-text.ts';
import type { Sheet } from './open-pdf.ts';

/** What printers leave blank at the edges. */
const EDGE_MM = 4;

interface InsertOptions {
	readonly pages: readonly BinderPage[];
	readonly faces: ReadonlyMap<string, PocketFace>;
	readonly kinds: readonly PageKind[];
	/** "Page 3" or "Volume 2, page 3" */
	readonly nameOf: (page: BinderPage) => string;
}

/**
 * A sheet a binder page: its pockets as they lie, each a box as large as its card, with number and
 * title and what is missing: cut out, the boxes are placeholders. A page that is larger than the paper
 * goes over several sheets.
 */
export function drawInserts(sheet: Sheet, { pages, faces, kinds, nameOf }: InsertOptions): void {
	const shown = pages.filter(({ use }) => use === 'cards');
	if (shown.length === 0) {
		sheet.doc.addPage();
		writeText(sheet, 'Nothing is laid in this binder yet.', { x: 40, y: 40, width: 400, size: 12 });
	}
	for (const page of shown) {
		const kind = kinds.find(({ key }) => key === page.kind);
		if (!kind) throw new RangeError(`drawInserts: no page kind "${page.kind}"`);
		const cells = page.pockets.map((slot, pocket) => ({
			face: slot === null ? undefined : faces.get(slot),
			mark: page.marks.find((mark) => mark.pocket === pocket)
		}));
		const sizes = cells.map(({ face }) => sizeOf(face));
		const wide = mmToPt(Math.max(...sizes.map(({ widthMm }) => widthMm)));
		const high = mmToPt(Math.max(...sizes.map(({ heightMm }) => heightMm)));
		const across = Math.max(1, Math.floor((sheet.widthPt - 2 * mmToPt(EDGE_MM)) / wide));
		const down = Math.max(1, Math.floor((sheet.heightPt - 2 * mmToPt(EDGE_MM)) / high));
		for (let top = 0; top < kind.rows; top += down) {
			for (let left = 0; left < kind.columns; left += across) {
				const columns = Math.min(across, kind.columns - left);
				const rows = Math.min(down, kind.rows - top);
				const shownCells = Array.from({ length: rows * columns }, (_, i) => {
					const [row, column] = [Math.floor(i / columns), i % columns];
					return { row, column, ...cells[(top + row) * kind.columns + left + column] };
				}).filter(({ face, mark }) => face !== undefined || mark !== undefined);
				if (shownCells.length === 0) continue;
				sheet.doc.addPage();
				const x0 = (sheet.widthPt - columns * wide) / 2;
				const y0 = (sheet.heightPt - rows * high) / 2;
				const head = { x: x0, y: Math.max(2, y0 - 9), width: columns * wide, size: 6 };
				writeText(sheet, nameOf(page), head);
				for (const { row, column, face, mark } of shownCells) {
					drawBox(sheet, face, titleOf(mark), x0 + column * wide, y0 + row * high);
				}
			}
		}
	}
}

function titleOf(mark: BinderPage['marks'][number] | undefined): string {
	return mark ? (mark.use === 'title' ? (mark.text ?? '') : mark.use) : '';
}

function sizeOf(face: PocketFace | undefined): { widthMm: number; heightMm: number } {
	return {
		widthMm: face?.format?.widthMm ?? STANDARD_CARD.widthMm,
		heightMm: face?.format?.heightMm ?? STANDARD_CARD.heightMm
	};
}

const WORDS = {
	here: '',
	missing: 'missing',
	elsewhere: 'kept elsewhere',
	'stand-in': 'a stand-in lies here'
} as const;

function drawBox(
	sheet: Sheet,
	face: PocketFace | undefined,
	mark: string,
	x: number,
	y: number
): void {
	const size = sizeOf(face);
	const [width, height] = [mmToPt(size.widthMm), mmToPt(size.heightMm)];
	sheet.doc.rect(x, y, width, height).lineWidth(0.5).strokeColor('#8a8f86').stroke();
	const pad = Math.min(10, width / 8);
	const inside = { x: x + pad, width: width - 2 * pad, align: 'center' } as const;
	if (!face) {
		if (mark)
			writeText(sheet, mark, {
				...inside,
				y: y + height * 0.4,
				size: 13,
				weight: 'bold',
				lines: 3,
				floor: 7
			});
		return;
	}
	let at = y + height * 0.16;
	if (face.number !== null) {
		at += writeText(sheet, face.number, { ...inside, y: at, size: 30, weight: 'bold', floor: 10 });
	}
	at += 4;
	at += writeText(sheet, face.title, { ...inside, y: at, size: 12, lines: 3, floor: 7 });
	at += 3;
	const run = face.printRun === null ? '' : ` /${face.printRun}`;
	at += writeText(sheet, `${face.place}${run}`, {
		...inside,
		y: at,
		size: 9,
		lines: 3,
		floor: 6.5,
		color: '#4a5d55'
	});
	const words = [WORDS[face.state], face.kept].filter(Boolean).join(': ');
	if (words) {
		writeText(sheet, words, {
			...inside,
			y: at + 5,
			size: 9,
			weight: 'bold',
			lines: 3,
			floor: 6.5,
			color: '#b03a2a'
		});
	}
}
