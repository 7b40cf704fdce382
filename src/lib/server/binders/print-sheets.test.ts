import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { mmToPt, PAPERS, type Paper } from '../../core/print/paper.ts';
import { logLine } from '../copies/log.ts';
import type { Collection } from '../database/open.ts';
import { openCollection } from '../upkeep/open-collection.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { importRelease } from '../checklists/import-release.ts';
import { hasOwnFontsOnly, readPdf } from '../print/read-back.fixture.ts';
import { readSettings } from '../database/settings.ts';
import { makeBinder } from './change-binder.ts';
import { BINDER_SHEETS, printBinder, type BinderSheet } from './print-sheets.ts';
import { readBinder } from './read-binder.ts';
import { type BinderId, rowId } from '../../core/row-id.ts';

const NOW = '1996-10-06T09:00:00.000Z';
const [A4, LETTER] = PAPERS as readonly [Paper, Paper];
const LONG = 'The Keeper of the Outermost Light, Who Never Once in Forty Winters Let It Go Out';
let folder: string;
let collection: Collection;

beforeAll(async () => {
	folder = mkdtempSync(join(tmpdir(), 'jade-print-'));
	collection = await openCollection(readSettings({ JADE_DATA: folder, JADE_NOW: NOW }));
	// Letters of three alphabets, a title far too long, panels, and enough pages for two sheets of index.
	const titles = ['Žofie’s lamp', 'Маяк', LONG, 'Øystergate'];
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				cards: Array.from({ length: 450 }, (_, i) => ({
					number: String(i + 1),
					title: titles[i] ?? `Card ${i + 1}`
				}))
			},
			{
				name: 'Panels',
				kind: 'insert',
				format: { widthMm: 127, heightMm: 88.9 },
				cards: [{ number: 'P1', title: 'Two ferries' }]
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	await importRelease(collection, outcome.value);
	await makeGoal(collection, { release: 'r', rules: { preset: 'with-inserts' }, name: '' });
	const layout = { pageKind: '3x3', order: 'number', blockStart: 'new-page' } as const;
	await makeBinder(collection, {
		goalId: rowId(1),
		name: LONG,
		layout: { ...layout, binderKind: 'zip-20' }
	});
	await makeBinder(collection, {
		goalId: rowId(1),
		name: 'Wide',
		layout: { ...layout, pageKind: '3x4' }
	});
	await logLine(collection, 'r', { line: '1 3 450', numbering: null, parallel: null });
});
afterAll(async () => {
	await collection.close();
	rmSync(folder, { recursive: true, force: true });
});

async function readBack(binder: BinderId, which: BinderSheet, paper: Paper, spineMm = 45) {
	const state = await readBinder(collection.db, binder);
	if (!state) throw new RangeError('no binder');
	return readPdf(await printBinder(collection.db, state, which, { paper, spineMm, now: NOW }));
}

describe.each([
	['A4 (ISO 216)', A4, 210, 297],
	['Letter (ANSI/ASME Y14.1)', LETTER, 215.9, 279.4]
] as const)('on %s', (_, paper, widthMm, heightMm) => {
	test.each(BINDER_SHEETS)(
		'%s: the size of the paper, its own fonts only, and no text outside',
		async (which) => {
			const { pages, raw, title } = await readBack(rowId(1), which, paper);
			expect(title).toContain(which);
			for (const { size, placed } of pages) {
				expect(size[0]).toBeCloseTo((widthMm / 25.4) * 72, 3);
				expect(size[1]).toBeCloseTo((heightMm / 25.4) * 72, 3);
				expect(placed.length).toBeGreaterThan(0);
				for (const { at } of placed) {
					expect(at[4]).toBeGreaterThan(0);
					expect(at[4]).toBeLessThan(size[0] ?? 0);
					expect(at[5]).toBeGreaterThan(0);
					expect(at[5]).toBeLessThan(size[1] ?? 0);
				}
			}
			expect(hasOwnFontsOnly(raw)).toBe(true);
		}
	);

	test('insert sheets: boxes of 2.5 × 3.5 in, nine a sheet; a panel is twice as wide', async () => {
		const { pages } = await readBack(rowId(1), 'inserts', paper);
		expect(pages).toHaveLength(51);
		const card = [2.5 * 72, 3.5 * 72];
		expect(pages[0]?.boxes).toHaveLength(9);
		for (const box of pages[0]?.boxes ?? []) {
			expect(box.width).toBeCloseTo(card[0] ?? 0, 2);
			expect(box.height).toBeCloseTo(card[1] ?? 0, 2);
		}
		expect(pages.at(-1)?.boxes.some(({ width }) => Math.abs(width - mmToPt(127)) < 0.01)).toBe(
			true
		);
		expect(pages.at(-1)?.text).toContain('Two ferries');
	});
});

test('letters of other alphabets are written, and a long title is whole on its card', async () => {
	const { pages } = await readBack(rowId(1), 'inserts', A4);
	const text = pages[0]?.text.replace(/\s+/g, ' ') ?? '';
	for (const word of ['Žofie’s lamp', 'Маяк', 'Øystergate', 'Keeper of the', 'Go Out']) {
		expect(text.replace(/\s/g, '')).toContain(word.replace(/\s/g, ''));
	}
	expect(text).not.toContain('…');
});

test('pages of twelve go over two sheets of paper', async () => {
	const { pages } = await readBack(rowId(2), 'inserts', A4);
	// Three columns on the first, the fourth on the second.
	expect(pages.slice(0, 2).map(({ boxes }) => boxes.length)).toEqual([9, 3]);
});

test.each([10, 25, 60])(
	'a spine label is %i mm wide, one a volume, its title shrunk to fit',
	async (width) => {
		const { pages } = await readBack(rowId(1), 'spine', A4, width);
		const boxes = pages.flatMap((page) => page.boxes);
		expect(boxes).toHaveLength(2);
		expect(boxes[0]?.width).toBeCloseTo((width / 25.4) * 72, 2);
		const text = pages.map((page) => page.text).join(' ');
		// Thirteen leaves of 18 pockets, and as many again: even volumes.
		expect(text).toContain('2 of 234');
		expect(text).toContain('1 of 217');
		expect(text.startsWith('The Keeper of the Outermost Light')).toBe(true);
	}
);

test('a front label a volume, three to a sheet, 150 × 80 mm', async () => {
	const { pages } = await readBack(rowId(1), 'front', A4);
	const boxes = pages.flatMap((page) => page.boxes);
	expect(boxes).toHaveLength(2);
	expect(boxes[0]?.width).toBeCloseTo((150 / 25.4) * 72, 2);
	expect(boxes[0]?.height).toBeCloseTo((80 / 25.4) * 72, 2);
	expect(pages[0]?.text).toContain('Volume 2 of 2');
});

test('the page index names cards and what is missing, the slip and the list what to do', async () => {
	const { pages } = await readBack(rowId(1), 'index', A4);
	expect(pages.length).toBeGreaterThan(1);
	expect(pages[0]?.text).toContain('1–9');
	expect(pages[0]?.text).toContain('2, 4–9');
	expect(pages[1]?.text).toContain('continued');
	const slip = (await readBack(rowId(1), 'moves', LETTER)).pages[0];
	expect(slip?.text).toContain('3 steps');
	// A box to tick before each step.
	expect(slip?.boxes).toHaveLength(3);
	const list = (await readBack(rowId(1), 'supplies', A4)).pages[0];
	expect(list?.text).toContain('Sleeve, 63.5 × 88.9 mm');
	expect(list?.text).toContain('450');
});
