import type { LabelText } from '../../../core/storage/labels/label-text.ts';
import type { LabelGrid } from '../../../core/print/label-grid.ts';
import { PAPERS } from '../../../core/print/paper.ts';
import { drawLabels } from '../../../formats/pdf/draw-labels.ts';
import { drawPdf } from '../../../formats/pdf/open-pdf.ts';
import { printFonts } from '../../print/fonts.ts';

/** Labels as a PDF for sheets of a grid, the first `start − 1` places left free. */
export async function printLabels(
	labels: readonly LabelText[],
	grid: LabelGrid,
	start: number,
	now: string
): Promise<Uint8Array<ArrayBuffer>> {
	const paper = PAPERS.find(({ key }) => key === grid.paper);
	if (!paper) throw new RangeError(`printLabels: no paper "${grid.paper}"`);
	const info = { title: 'Labels', madeAt: new Date(now) };
	return drawPdf(paper, await printFonts(), info, (sheet) => {
		drawLabels(sheet, grid, labels, start);
	});
}
