import { beforeEach, describe, expect, test } from 'vitest';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { progressOf } from '../../core/goal/progress.ts';
import { makeBinder } from '../binders/change-binder.ts';
import { listBinders, readBinder } from '../binders/read-binder.ts';
import { makeGoal, removeGoal } from './make-goal.ts';
import { listGoals, readGoal } from './read-goals.ts';
import { undo } from '../journal/undo.ts';
import { importRelease } from '../checklists/import-release.ts';
import { rowId } from '../../core/row-id.ts';

const at = withCollection();

describe('goals and binders', () => {
	beforeEach(async () => {
		await importRelease(at.collection, sampleRelease());
	});

	test('summary rows are what the goal itself gives', async () => {
		await makeGoal(at.collection, { release: 'r', rules: { preset: 'strict-master' }, name: '' });
		await makeGoal(at.collection, {
			release: 'r',
			rules: { preset: 'parallel-run', parallel: 'brass' },
			name: ''
		});
		await at.line('1-9 21');
		await at.line('all but 4', { parallel: 'brass' });
		const goals = await listGoals(at.collection.db);
		expect(goals.map(({ name, have, need }) => `${name} ${have}/${need}`)).toEqual([
			'R, strict master 29/45',
			'R, Brass run 19/20'
		]);
		for (const { id, rows } of goals) {
			const goal = await readGoal(at.collection.db, id);
			expect(rows).toEqual(goal && progressOf(goal.slots, goal.filling));
		}
	});

	test('a parallel run without its parallel is refused; a goal goes with its binders', async () => {
		const refused = await makeGoal(at.collection, {
			release: 'r',
			rules: { preset: 'parallel-run' },
			name: ''
		});
		expect(refused).toMatchObject({ ok: false, problems: [{ field: 'parallels' }] });
		await makeGoal(at.collection, { release: 'r', rules: { preset: 'base' }, name: '' });
		const id = await makeBinder(at.collection, { goalId: rowId(1), name: '' });
		expect(await makeBinder(at.collection, { goalId: rowId(9), name: '' })).toBeNull();
		expect((await readBinder(at.collection.db, id ?? rowId(0)))?.plan).toMatchObject({
			leaves: 2,
			emptyPockets: 7
		});
		expect(await removeGoal(at.collection, rowId(1))).toBe(true);
		expect(await listBinders(at.collection.db)).toEqual([]);
		await undo(at.collection);
		expect(await listBinders(at.collection.db)).toHaveLength(1);
	});
});
