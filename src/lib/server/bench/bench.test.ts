import { expect, test } from 'vitest';
import type { CopyId } from '../../core/row-id.ts';
import { removeCopy } from '../copies/edit-copy.ts';
import { copies } from '../database/tables/index.ts';
import { withGulls } from '../gulls.fixture.ts';
import { undo } from '../journal/undo.ts';
import { benchView } from './bench-view.ts';
import { keepWorksheet, type TypedWorksheet } from './keep-worksheet.ts';
import { readWorksheetRules, setWorksheetRules } from './worksheet-rules.ts';
import { worksheetsView } from './worksheets-view.ts';
import { formatLevelLines, formatLimitLines } from '../../core/condition/worksheet-lines.ts';

const gulls = withGulls();
const NOTHING: TypedWorksheet = {
	front: { leftRight: '', topBottom: '', offBy: '' },
	back: { leftRight: '', topBottom: '', offBy: '' },
	levels: { corners: [], edges: [], surface: [] },
	...{ widthMm: '', heightMm: '', thicknessPt: '', estimate: '', note: '', takesWord: true }
};
const firstCopy = async () => {
	const [copy] = await gulls.collection.db.select({ id: copies.id }).from(copies);
	return copy?.id as CopyId;
};
const messages = (done: { ok: boolean; problems?: readonly { message: string }[] }) =>
	(done.problems ?? []).map(({ message }) => message);

test('a worksheet is kept with its copy, gives it its word, and is replaced by the next; undo', async () => {
	await gulls.log('1-2');
	const id = await firstCopy();
	const keep = (more: Partial<TypedWorksheet>) =>
		keepWorksheet(gulls.collection, id, { ...NOTHING, ...more });
	const soft = { corners: ['sharp', 'soft'], edges: ['clean'], surface: [] };
	expect(
		await keep({
			front: { leftRight: '55,5', topBottom: '48', offBy: '0.4' },
			...{ levels: soft, thicknessPt: '18.2', estimate: '6.5', note: ' seen by lamp ' }
		})
	).toMatchObject({ ok: true, value: { word: 'excellent' } });
	expect(await gulls.copies()).toContain('base-1 1 excellent');
	const on = () => benchView(gulls.collection.db, { copy: id, words: '' });
	expect((await on()).copy?.sheet).toMatchObject({
		...{ word: 'excellent', estimate: 6.5, thicknessPt: 18.2, note: 'seen by lamp' },
		sheet: { front: { leftRight: 55.5, topBottom: 48, offBy: 0.4 }, corners: ['sharp', 'soft'] }
	});
	await keep({ levels: { ...soft, corners: ['sharp'] }, takesWord: false });
	expect((await on()).copy?.sheet?.word).toBe('mint');
	expect(await gulls.copies()).toContain('base-1 1 excellent');
	await undo(gulls.collection);
	expect((await on()).copy?.sheet?.word).toBe('excellent');
	await removeCopy(gulls.collection, id);
	expect((await worksheetsView(gulls.collection.db, null)).release).toBeNull();
	await undo(gulls.collection);
	expect((await worksheetsView(gulls.collection.db, null)).sheets).toHaveLength(1);
	expect(
		(await benchView(gulls.collection.db, { copy: null, words: 'Gull 2' })).found
	).toHaveLength(1);
});

test('of a pile all cards get the word that it is given', async () => {
	await gulls.log('1x3');
	await keepWorksheet(gulls.collection, await firstCopy(), {
		...NOTHING,
		levels: { corners: ['worn'], edges: [], surface: [] }
	});
	expect(await gulls.copies()).toEqual(['base-1 3 good']);
});

test('bad worksheets keep nothing, and all is told', async () => {
	await gulls.log('1');
	const id = await firstCopy();
	const done = await keepWorksheet(gulls.collection, id, {
		...NOTHING,
		front: { leftRight: '155', topBottom: '', offBy: '' },
		levels: { corners: ['superb'], edges: [], surface: [] },
		...{ thicknessPt: 'thick', estimate: '8.2' }
	});
	expect(messages(done)).toEqual([
		'"155" is no number from 0 to 100',
		'"superb" is no level of corners',
		'"8.2" is no grade',
		'"thick" is no number from 0 to 1000'
	]);
	expect(
		messages(
			await keepWorksheet(gulls.collection, id, {
				...NOTHING,
				front: { leftRight: '55', topBottom: '', offBy: '' }
			})
		)
	).toEqual(['of the front only one way is measured']);
	expect(messages(await keepWorksheet(gulls.collection, 99 as CopyId, NOTHING))).toEqual([
		'this copy is gone'
	]);
	expect((await benchView(gulls.collection.db, { copy: id, words: '' })).copy?.sheet).toBeNull();
});

test('the tables are the user’s: another limit gives another word; a level that is gone counts no more', async () => {
	await gulls.log('1-4');
	const rows = await gulls.collection.db.select({ id: copies.id }).from(copies);
	for (const [i, { id }] of rows.entries()) {
		await keepWorksheet(gulls.collection, id, {
			...{ ...NOTHING, takesWord: false },
			front: { leftRight: '62', topBottom: '50', offBy: '' },
			levels: { corners: [i < 1 ? 'soft' : 'sharp'], edges: [], surface: [] }
		});
	}
	const rates = async () =>
		(await worksheetsView(gulls.collection.db, null)).rates.map(
			({ aspect, weak, looked }) => `${aspect} ${weak} of ${looked}`
		);
	expect(await rates()).toEqual(['centring 0 of 4', 'corners 1 of 4']);
	const { limits, levels } = await readWorksheetRules(gulls.collection.db);
	const typed = {
		limits: formatLimitLines(limits).replace('near mint: 70', 'near mint: 61'),
		corners: formatLevelLines(levels.corners.filter(({ key }) => key !== 'soft')),
		edges: formatLevelLines(levels.edges),
		surface: formatLevelLines(levels.surface)
	};
	expect(
		messages(
			await setWorksheetRules(gulls.collection, {
				...{ ...typed, edges: 'x', limits: '' },
				weakFrom: 'excellent'
			})
		)
	).toEqual(['edges: line 1: "x" is not understood', 'centring: nothing is written']);
	expect((await setWorksheetRules(gulls.collection, { ...typed, weakFrom: 'excellent' })).ok).toBe(
		true
	);
	expect(await rates()).toEqual(['centring 4 of 4', 'corners 0 of 3']);
});
