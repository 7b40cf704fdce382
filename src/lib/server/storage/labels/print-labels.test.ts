import jsQR from 'jsqr';
import { describe, expect, test } from 'vitest';
import type { LabelText } from '../../../core/storage/labels/label-text.ts';
import { LABEL_GRIDS, labelPlace, type LabelGrid } from '../../../core/print/label-grid.ts';
import { mmToPt, PAPERS } from '../../../core/print/paper.ts';
import { hasOwnFontsOnly, readPdf, type DrawnBox } from '../../print/read-back.fixture.ts';
import { labelTexts } from './label-texts.ts';
import { printLabels } from './print-labels.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { withStorage } from '../storage.fixture.ts';

const NOW = '1996-10-06T09:00:00.000Z';
const grid = (key: string): LabelGrid => {
	const found = LABEL_GRIDS.find((known) => known.key === key);
	if (!found) throw new RangeError(`no grid ${key}`);
	return found;
};
const label = (title: string, ...lines: string[]): LabelText => ({ title, lines });
const print = async (labels: readonly LabelText[], key: string, start = 1) =>
	readPdf(await printLabels(labels, grid(key), start, NOW));
const withoutSpaces = (text: string) => text.replace(/\s/g, '');

describe.each(LABEL_GRIDS.map((layout) => [layout.name, layout] as const))('%s', (_, layout) => {
	test('lies on its paper, labels apart; text stays within its label and is never clipped', async () => {
		const paper = PAPERS.find(({ key }) => key === layout.paper);
		const last = labelPlace(layout, layout.columns * layout.rows - 1);
		expect(layout.leftMm).toBeGreaterThan(0);
		expect(last.xMm + layout.widthMm).toBeLessThan(paper?.widthMm ?? 0);
		expect(last.yMm + layout.heightMm).toBeLessThan(paper?.heightMm ?? 0);
		const long = Array.from({ length: 90 }, (_one, i) => String(3 * i + 1)).join(', ');
		const title =
			'The Keeper of the Outermost Light, Who Never Once in Forty Winters Let It Go Out 1994';
		const { pages, raw } = await print(
			[label(title, '236 of 240', `Missing: ${long}`), label('B')],
			layout.key,
			2
		);
		expect(hasOwnFontsOnly(raw)).toBe(true);
		expect(pages[0]?.size[0]).toBeCloseTo(mmToPt(paper?.widthMm ?? 0), 3);
		expect(pages[0]?.size[1]).toBeCloseTo(mmToPt(paper?.heightMm ?? 0), 3);
		// Every word of it stands somewhere.
		const text = withoutSpaces(pages.map((page) => page.text).join(' '));
		expect(text).not.toContain('…');
		for (const word of ['236of240', ...long.split(', ').slice(-3)]) expect(text).toContain(word);
		const places = Array.from({ length: layout.columns * layout.rows }, (_one, i) =>
			labelPlace(layout, i)
		);
		for (const { placed, size } of pages) {
			for (const { at, width } of placed) {
				const [x, y] = [at[4] ?? 0, (size[1] ?? 0) - (at[5] ?? 0)];
				const isInside = places.some(
					({ xMm, yMm }) =>
						x >= mmToPt(xMm) &&
						x + width <= mmToPt(xMm + layout.widthMm) + 0.01 &&
						y >= mmToPt(yMm) &&
						y <= mmToPt(yMm + layout.heightMm)
				);
				expect(isInside).toBe(true);
			}
		}
		// The first place is left free.
		const first = labelPlace(layout, 0);
		const inFirst = pages[0]?.placed.filter(
			({ at }) =>
				(at[4] ?? 0) < mmToPt(first.xMm + layout.widthMm) &&
				(pages[0]?.size[1] ?? 0) - (at[5] ?? 0) < mmToPt(first.yMm + layout.heightMm)
		);
		expect(inFirst).toEqual([]);
	});
});

test('a short label is written large; a longer one shrinks, and at the floor goes on with its title', async () => {
	const sizes = async (lines: string[]) => {
		const { pages } = await print([label('Lamp', ...lines)], 'a4-3x7');
		const placed = pages.flatMap((page) => page.placed);
		return {
			least: Math.min(...placed.map(({ at }) => at[0] ?? 0)),
			text: pages.map((page) => page.text).join(' ')
		};
	};
	const [short, long, longest] = [
		await sizes(['1 of 2']),
		await sizes(Array(9).fill('1 of 2')),
		await sizes(Array(40).fill('1 of 2'))
	];
	expect(short.least).toBe(12);
	expect(long.least).toBeLessThan(12);
	expect(longest.least).toBe(6);
	expect(longest.text).toContain('Lamp (2)');
	expect(longest.text.match(/1 of 2/g)).toHaveLength(40);
});

describe('a box label', () => {
	const storage = withStorage();

	test('of a box that stands says what is there and missing, and its QR code opens the box', async () => {
		await storage.release('hl', '1994', 400);
		await storage.log('hl', '1-60 64-390');
		await standAsPlanned(storage.collection);
		const choice = {
			sort: 'boxes',
			boxIds: [],
			address: 'http://10.0.0.7:3000',
			date: '1996-10-06'
		} as const;
		const texts = await labelTexts(storage.collection.db, choice);
		expect(texts).toEqual([
			{
				title: 'HL 1994',
				lines: ['387 of 400 · 1996-10-06', 'Missing: 61–63, 391–400'],
				link: 'http://10.0.0.7:3000/boxes/1'
			}
		]);
		const { pages } = await print(texts, 'a4-2x7');
		expect(scan(pages[0]?.boxes ?? [])).toBe('http://10.0.0.7:3000/boxes/1');
		const tabs = await labelTexts(storage.collection.db, { ...choice, sort: 'dividers' });
		expect(tabs).toEqual([{ title: 'HL 1994', lines: ['1–390', 'HL 1994, row 1'] }]);
	});
});

/** What a decoder package reads in black rectangles on white. */
function scan(boxes: readonly DrawnBox[]): string | undefined {
	const PX_A_PT = 6;
	const margin = 10;
	const left = Math.min(...boxes.map(({ x }) => x)) - margin;
	const top = Math.min(...boxes.map(({ y }) => y)) - margin;
	const size = Math.ceil(
		(Math.max(...boxes.map(({ x, width }) => x + width)) - left + margin) * PX_A_PT
	);
	const pixels = new Uint8ClampedArray(size * size * 4).fill(255);
	for (const { x, y, width, height } of boxes) {
		const from = (value: number, least: number) => Math.round((value - least) * PX_A_PT);
		for (let row = from(y, top); row < from(y + height, top); row++) {
			for (let column = from(x, left); column < from(x + width, left); column++) {
				pixels.fill(0, 4 * (row * size + column), 4 * (row * size + column) + 3);
			}
		}
	}
	return jsQR(pixels, size, size)?.data;
}
