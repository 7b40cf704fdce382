import { mmToPt } from '../../core/print/paper.ts';
import { fitText, LINE, writeText } from './fit-text.ts';
import type { Sheet } from './open-pdf.ts';
import type { SpineLabel } from './spine-labels.ts';

/** A label that fits the front of any binder, three to a sheet of A4 or Letter. */
const WIDTH_MM = 150;
const HEIGHT_MM = 80;
const GAP_MM = 6;

/** Draws title labels for the fronts of volumes, with lines to cut along; long titles shrink to fit. */
export function drawFronts(sheet: Sheet, labels: readonly SpineLabel[]): void {
	const { doc, widthPt, heightPt } = sheet;
	const [width, height, gap] = [mmToPt(WIDTH_MM), mmToPt(HEIGHT_MM), mmToPt(GAP_MM)];
	const down = Math.max(1, Math.floor((heightPt - gap) / (height + gap)));
	labels.forEach((label, i) => {
		if (i % down === 0) doc.addPage();
		const x = (widthPt - width) / 2;
		const y = gap + (i % down) * (height + gap);
		doc
			.rect(x, y, width, height)
			.lineWidth(0.5)
			.dash(3, { space: 2 })
			.strokeColor('#8a8f86')
			.stroke();
		doc.undash();
		const pad = mmToPt(10);
		const inner = { x: x + pad, width: width - 2 * pad, align: 'center' } as const;
		const title = { ...inner, size: 30, weight: 'bold', lines: 2, floor: 12 } as const;
		const note = [label.volume, label.contents].filter(Boolean).join(' · ');
		const fitted = fitText(sheet, label.title, title);
		writeText(sheet, label.title, { ...title, y: y + pad });
		writeText(sheet, note, {
			...inner,
			y: y + pad + fitted.lines.length * fitted.size * LINE + 6,
			size: 11,
			lines: 3,
			floor: 7,
			color: '#4a5d55'
		});
		writeText(sheet, label.count, { ...inner, y: y + height - pad - 18, size: 15, weight: 'bold' });
	});
}
