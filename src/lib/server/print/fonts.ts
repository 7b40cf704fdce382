import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { rangeTest } from '../../formats/pdf/unicode-range.ts';
import type { PdfFont, PdfFonts } from '../../formats/pdf/open-pdf.ts';

const require = createRequire(import.meta.url);
const OWN = '@fontsource/atkinson-hyperlegible-next';
let loading: Promise<PdfFonts> | undefined;

/** The fonts that are embedded in what is printed: the program's own, and one with nearly every letter. */
export function printFonts(): Promise<PdfFonts> {
	loading ??= loadFonts();
	return loading;
}

async function loadFonts(): Promise<PdfFonts> {
	const ranges = JSON.parse(
		await readFile(require.resolve(`${OWN}/unicode.json`), 'utf8')
	) as Readonly<Record<'latin' | 'latin-ext', string>>;
	const load = async (subset: 'latin' | 'latin-ext', weight: number): Promise<PdfFont> => ({
		name: `own ${subset} ${weight}`,
		bytes: await readFile(
			require.resolve(`${OWN}/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`)
		),
		covers: rangeTest(ranges[subset])
	});
	const rest = async (file: string): Promise<PdfFont> => ({
		name: file,
		bytes: await readFile(require.resolve(`dejavu-fonts-ttf/ttf/${file}.ttf`)),
		covers: () => true
	});
	return {
		regular: [await load('latin', 400), await load('latin-ext', 400), await rest('DejaVuSans')],
		bold: [await load('latin', 600), await load('latin-ext', 600), await rest('DejaVuSans-Bold')]
	};
}
