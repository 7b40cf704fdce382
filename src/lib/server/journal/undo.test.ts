import { beforeEach, describe, expect, test } from 'vitest';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { nextSteps, redo, undo } from './undo.ts';
import { importRelease } from '../checklists/import-release.ts';
import { listReleases } from '../releases/list-releases.ts';

const at = withCollection();

describe('the journal', () => {
	beforeEach(async () => {
		await importRelease(at.collection, sampleRelease());
		await makeGoal(at.collection, { release: 'r', rules: { preset: 'complete' }, name: 'G' });
	});

	test('undoes and redoes line by line, also after a restart, and progress follows', async () => {
		await at.line('1-10');
		await at.line('3x2 11');
		expect(await at.totals()).toEqual(['11/25']);
		await at.reopen();
		expect(await undo(at.collection)).toMatchObject({ label: 'R: log 3x2 11' });
		expect(await at.totals()).toEqual(['10/25']);
		expect((await at.owned())['r/base-3']).toBe(1);
		await undo(at.collection);
		expect(await at.owned()).toEqual({});
		await at.reopen();
		await redo(at.collection);
		await redo(at.collection);
		expect(await redo(at.collection)).toBeNull();
		expect(await at.totals()).toEqual(['11/25']);
		expect((await at.owned())['r/base-3']).toBe(3);
	});

	test('what was undone cannot be redone once something else is done', async () => {
		await at.line('1');
		await undo(at.collection);
		await at.line('2');
		expect(await nextSteps(at.collection.db)).toMatchObject({
			redo: null,
			undo: { label: 'R: log 2' }
		});
		expect(Object.keys(await at.owned())).toEqual(['r/base-2']);
	});

	test('can be walked back to the empty at.collection and forth again', async () => {
		await at.line('all but 3');
		const state = async () => JSON.stringify([await at.owned(), await at.totals()]);
		const end = await state();
		while (await undo(at.collection));
		expect(await listReleases(at.collection.db)).toEqual([]);
		while (await redo(at.collection));
		expect(await state()).toBe(end);
	});

	test('a line with one unknown word changes nothing and leaves no step', async () => {
		const outcome = await at.line('1-5 Q9');
		expect(outcome).toMatchObject({ ok: false, problems: [{ start: 4, end: 6 }] });
		expect(await at.owned()).toEqual({});
		expect((await nextSteps(at.collection.db)).undo?.label).toBe('Goal G');
	});
});
