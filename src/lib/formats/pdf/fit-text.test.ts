import { describe, expect, test } from 'vitest';
import { fitText, writeText } from './fit-text.ts';
import type { PdfFont, Sheet } from './open-pdf.ts';
import { rangeTest } from './unicode-range.ts';

const font = (name: string, covers: PdfFont['covers']): PdfFont => ({
	name,
	bytes: new Uint8Array(),
	covers
});

/** A sheet on which every letter is as wide as it is high, and that remembers what was written. */
function sheetOf() {
	const written: { font: string; size: number; text: string; x: number; y: number }[] = [];
	let [name, size] = ['', 0];
	const doc = {
		font: (fontName: string) => ((name = fontName), doc),
		fontSize: (fontSize: number) => ((size = fontSize), doc),
		fillColor: () => doc,
		widthOfString: (text: string) => [...text].length * size,
		text: (text: string, x: number, y: number) => written.push({ font: name, size, text, x, y })
	};
	const latin = rangeTest('U+0000-00FF, U+2026');
	const fonts = { regular: [font('latin', latin), font('rest', () => true)], bold: [] };
	const sheet = { doc, fonts, widthPt: 600, heightPt: 800 } as unknown as Sheet;
	return { sheet, written };
}

describe('fitText', () => {
	const fit = (text: string, width: number, lines: number, floor: number) =>
		fitText(sheetOf().sheet, text, { width, size: 10, lines, floor });

	test.each([
		['what fits stays', 'two words', 100, 1, 4, ['two words'], 10],
		['wrapped at words', 'two words', 60, 2, 4, ['two', 'words'], 10],
		['shrunk until it fits', 'two words', 72, 1, 4, ['two words'], 8],
		['at the floor it ends in an ellipsis', 'two words', 30, 1, 5, ['two…'], 5],
		['so does a word too long, on any line', 'Gullhavener ok', 40, 2, 5, ['Gullhav…', 'ok'], 5],
		['nothing', '  ', 40, 1, 5, [], 10]
	])('%s', (_, text, width, lines, floor, fitted, size) => {
		expect(fit(text, width, lines, floor)).toEqual({ lines: fitted, size });
	});

	test('whatever it is, no line is wider than its box, and none is lost without an ellipsis', () => {
		for (const text of ['a bb ccc dddd', 'Wwwwwwwwwwwwwwww', 'Маяк и маяк', '🦀🦀🦀🦀🦀🦀🦀🦀 x']) {
			for (let width = 20; width < 200; width += 7) {
				const { lines, size } = fit(text, width, 2, 5);
				for (const line of lines) expect([...line].length * size).toBeLessThanOrEqual(width);
				const whole = lines.join(' ').replace(/\s+/g, ' ');
				if (whole !== text) expect(whole).toContain('…');
				expect(whole).not.toMatch(/[\ud800-\udbff](?![\udc00-\udfff])/);
			}
		}
	});
});

test('letters are taken from the first font that has them, one behind the other', () => {
	const { sheet, written } = sheetOf();
	const box = { x: 10, y: 20, width: 100, size: 10, align: 'right' } as const;
	expect(writeText(sheet, 'a маяк b', box)).toBe(12.5);
	expect(written.map(({ font: of, text, x }) => [of, text, x])).toEqual([
		['latin', 'a ', 30],
		['rest', 'маяк', 50],
		['latin', ' b', 90]
	]);
});

test.each([
	['U+0000-00FF,U+0131', [0x41, 0xff, 0x131], [0x100, 0x130]],
	['U+20AC', [0x20ac], [0x20ab]]
])('the range %s', (ranges, inside, outside) => {
	const covers = rangeTest(ranges);
	expect(inside.map(covers)).toEqual(inside.map(() => true));
	expect(outside.map(covers)).toEqual(outside.map(() => false));
});
