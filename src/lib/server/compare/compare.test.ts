import { beforeEach, expect, test } from 'vitest';
import { mmToPt, PAPERS } from '../../core/print/paper.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { undo } from '../journal/undo.ts';
import { readPdf } from '../print/read-back.fixture.ts';
import { compareView, printComparison } from './compare-view.ts';
import { pairSections } from './counterparts.ts';

const at = withCollection();
beforeEach(async () => {
	for (const key of ['r', 's', 't'])
		await importRelease(at.collection, { ...sampleRelease(), key, name: key.toUpperCase() });
});
const met = async (...names: readonly string[]) =>
	(await compareView(at.collection.db, names)).parts.map(({ members }) =>
		members.map((member) => member?.name ?? '-').join(' ')
	);
const name = (text: string) => {
	const [release = '', section = ''] = text.split('/');
	return { release, section };
};
const pair = (first: string, other: string, together = true) =>
	pairSections(at.collection, name(first), name(other), together);

test('three releases and sections of one lie beside each other; what is not there is left out', async () => {
	expect(await met('r', 's', 'nix', 't')).toEqual(['Base Base Base', 'Sub Sub Sub']);
	expect(await met('r/base', 'r/sub')).toEqual(['Base Sub']);
	expect((await compareView(at.collection.db, ['r', 's'])).parts[0]?.pairs).toHaveLength(20);
	expect((await compareView(at.collection.db, ['r', 's', 't'])).parts[0]?.pairs).toEqual([]);
});

test('a pair made by hand is kept whichever side comes first, replaced by another, parted and undone', async () => {
	expect(await pair('s/sub', 'r/base')).toMatchObject({ ok: true });
	// The others are of two kinds: each stands alone.
	const crossed = ['Base Sub', 'Sub -', '- Base'];
	expect(await met('r', 's')).toEqual(crossed);
	expect(await met('s', 'r')).toEqual(['Base -', 'Sub Base', '- Sub']);
	await pair('r/base', 's/base');
	expect(await met('r', 's')).toEqual(['Base Base', 'Sub Sub']);
	await undo(at.collection);
	expect(await met('r', 's')).toEqual(crossed);
	await pair('r/base', 's/sub', false);
	expect(await met('r', 's')).toEqual(['Base Base', 'Sub Sub']);
	for (const [first, other, count] of [
		['r/base', 'r/sub', 1],
		['r/nix', 'nix/base', 2]
	] as const) {
		const outcome = await pair(first, other);
		expect(outcome.ok ? [] : outcome.problems).toHaveLength(count);
	}
});

test('printed: a column a side, A4 upright; nothing without two sides', async () => {
	const [paper] = PAPERS;
	if (!paper) throw new RangeError('no paper');
	const now = '1996-10-05T18:30:00.000Z';
	const bytes = await printComparison(at.collection.db, ['r', 's', 't'], paper, now);
	const { pages } = await readPdf(bytes ?? new Uint8Array());
	expect(pages[0]?.size.map(Math.round)).toEqual([210, 297].map((mm) => Math.round(mmToPt(mm))));
	for (const word of ['Side by side', 'Brass', '/120', 'Numbers']) {
		expect(pages[0]?.text).toContain(word);
	}
	expect(await printComparison(at.collection.db, ['r', 'nix'], paper, now)).toBeNull();
});
