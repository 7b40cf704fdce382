import { withGulls } from '../gulls.fixture.ts';
import { expect, test } from 'vitest';
import { listTrays, savePile } from '../copies/trays.ts';
import { nextSteps, recentSteps, undo } from './undo.ts';
import { takeBack, undoStep } from './undo-step.ts';
import { rowId } from '../../core/row-id.ts';

const at = withGulls();

test('any step is taken back unless a later one changed the same things', async () => {
	await at.log('1');
	await at.log('2');
	await at.log('1');
	const steps = await recentSteps(at.collection.db, 10);
	const [second, two, first] = steps.map(({ id }) => id);
	expect(await undoStep(at.collection, first ?? rowId(0))).toMatchObject({
		ok: false,
		problems: [{ message: '"Gulls: log 1" changed the same things later' }]
	});
	expect(await undoStep(at.collection, two ?? rowId(0))).toMatchObject({ ok: true });
	expect(await at.copies()).toEqual(['base-1 2']);
	await undoStep(at.collection, second ?? rowId(0));
	expect(await at.copies()).toEqual(['base-1 1']);
	// Taking back is a step, too.
	await undo(at.collection);
	await undo(at.collection);
	expect(await at.copies()).toEqual(['base-1 2', 'base-2 1']);
	expect(await undoStep(at.collection, rowId(999))).toMatchObject({ ok: false });
});

test('a step is taken back by its id: as undo where it is the last, else alone, or not at all', async () => {
	const step = async (line: string) => {
		const outcome = await at.log(line);
		return outcome.ok ? (outcome.value.step ?? rowId<'journal'>(0)) : rowId<'journal'>(0);
	};
	const [first, second] = [await step('1'), await step('1')];
	await savePile(at.collection, { tray: 'to sort', name: 'Elsewhere', amount: '3' });
	// Something else was done since: only this step goes, and the pile stays.
	expect(await takeBack(at.collection, second)).toMatchObject({ ok: true });
	expect(await at.copies()).toEqual(['base-1 1']);
	expect((await listTrays(at.collection.db)).length).toBeGreaterThan(0);
	// The first is built on by the second and by its taking back.
	expect(await takeBack(at.collection, first)).toMatchObject({ ok: false });
	const last = await step('2');
	expect(await takeBack(at.collection, last)).toMatchObject({ ok: true });
	expect((await nextSteps(at.collection.db)).redo?.id).toBe(last);
	expect(await takeBack(at.collection, rowId(999))).toMatchObject({ ok: false });
});
