import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** A rectangle that was drawn, in points from the upper left corner. */
export interface DrawnBox {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
}

/** For tests: a PDF read back by a reader that knows nothing of ours: size, text, rectangles, fonts. */
export async function readPdf(data: Uint8Array<ArrayBuffer>) {
	const raw = new TextDecoder('latin1').decode(data);
	const pdf = await getDocument({ data, useSystemFonts: false, verbosity: 0 }).promise;
	const pages = await Promise.all(
		Array.from({ length: pdf.numPages }, async (_, i) => {
			const page = await pdf.getPage(i + 1);
			const { items } = await page.getTextContent();
			const { fnArray, argsArray } = await page.getOperatorList();
			const placed = items.flatMap((item) =>
				'str' in item && item.str.trim()
					? [{ text: item.str, at: item.transform as number[], width: item.width }]
					: []
			);
			return {
				size: page.view.slice(2),
				text: placed.map(({ text }) => text).join(' '),
				placed,
				boxes: boxesOf(fnArray, argsArray)
			};
		})
	);
	return { pages, raw, title: ((await pdf.getMetadata()).info as { Title?: string }).Title };
}

function boxesOf(fns: readonly number[], args: readonly unknown[]): readonly DrawnBox[] {
	return fns.flatMap((fn, i) => {
		if (fn !== OPS.constructPath) return [];
		const [ops, numbers] = args[i] as [number[], number[]];
		if (ops.some((op) => op !== OPS.rectangle)) return [];
		return ops.map((_, n): DrawnBox => {
			const [x = 0, y = 0, width = 0, height = 0] = numbers.slice(4 * n, 4 * n + 4);
			return { x, y, width, height };
		});
	});
}

/** Whether every font is in the file: as many files as descriptors, and none of a reader's own. */
export function hasOwnFontsOnly(raw: string): boolean {
	const count = (word: RegExp) => raw.match(word)?.length ?? 0;
	const files = count(/\/FontFile[23]/g);
	return (
		files > 0 &&
		files === count(/\/Type \/FontDescriptor/g) &&
		!/\/BaseFont \/(Helvetica|Times|Courier)/.test(raw)
	);
}
