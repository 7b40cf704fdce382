import { expect, test } from 'vitest';
import { readOutline } from '../../core/checklist/outline/read-outline.ts';
import { PAPERS } from '../../core/print/paper.ts';
import { readPdf } from '../print/read-back.fixture.ts';
import { checklistRows, printChecklist } from './print-checklist.ts';

const { release } = readOutline(
	'release Lamps, M, 1994\nbase Base: 1-90\nsubset Dogs in Base: 3\nparallel Red: Base\n2: back, two printings'
);
const owned = new Map([
	['lamps-1994/base-1', 2],
	['lamps-1994/base-1~red', 1],
	['lamps-1994/base-2!back', 1],
	['lamps-1994/base-90', 0]
]);

test('a row a card in number order, ticked where any version is there, with which', () => {
	const { rows, have } = checklistRows(release, owned);
	expect(rows.slice(0, 3)).toEqual([
		['1', '', 'Base', '2 × base; Red'],
		['2', '', 'Base', 'back'],
		['3', '', 'Dogs', '']
	]);
	expect(rows).toHaveLength(90);
	expect([...have]).toEqual([0, 1]);
});

test('on paper each card has its box', async () => {
	const [paper] = PAPERS;
	if (!paper) throw new RangeError('no paper');
	const bytes = await printChecklist(release, owned, paper, '1996-10-06T09:00:00.000Z');
	const { pages } = await readPdf(bytes);
	expect(pages.flatMap(({ boxes }) => boxes)).toHaveLength(90);
	expect(pages[0]?.text).toContain('2 of 90 cards are there, as of 1996-10-06');
	expect(pages.length).toBeGreaterThan(1);
});
