import { describe, expect, test } from 'vitest';
import { rowId } from '../../core/row-id.ts';
import { changeGoal, makeGoal, removeGoal } from '../goals/make-goal.ts';
import { goalsOfBinders } from '../held-goals/goals-of-binders.ts';
import { readGoal } from '../goals/read-goals.ts';
import { undo } from '../journal/undo.ts';
import { withBinder } from './binder.fixture.ts';
import { readBinderView } from './binder-view.ts';
import { changeBinder, holdInBinder } from './change-binder.ts';
import { lieAsPlanned } from './move-cards.ts';
import { listBinders } from './read-binder.ts';

const at = withBinder();
const all = rowId<'goals'>(1);
const second = rowId<'goals'>(2);
const brass = { preset: 'strict-master' } as const;

/** The pockets of the pages, without what all keys begin with. */
const laid = async () =>
	(await at.state()).plan.pages.map(({ pockets }) =>
		pockets.map((key) => key?.replace('r/base-', '') ?? '.').join(' ')
	);
const hold = (...goals: Parameters<typeof holdInBinder>[2]) =>
	holdInBinder(at.collection, at.binder, goals);
const secondGoal = (rules: Parameters<typeof makeGoal>[1]['rules']) =>
	makeGoal(at.collection, { release: 'r', rules, name: 'H' });

describe('a binder that holds several goals', () => {
	test('a card that both ask for has one pocket; a goal by itself lies in its own order', async () => {
		expect(await secondGoal(brass)).toMatchObject({ ok: true });
		await hold({ goalId: all, order: null }, { goalId: second, order: null });
		expect(await laid()).toEqual([
			'1 2 3 4',
			'5 6 . .',
			'1~brass 2~brass 3~brass 4~brass',
			'5~brass 6~brass . .'
		]);
		await hold({ goalId: second, order: 'subject' }, { goalId: all, order: null });
		// The second goal asks for all of them: nothing is left for the first.
		expect(await laid()).toHaveLength(3);
		await hold({ goalId: all, order: null }, { goalId: second, order: 'newest' });
		expect((await laid())[0]).toBe('1 2 3 4');
		expect((await listBinders(at.collection.db))[0]?.goals.map(({ name }) => name)).toEqual([
			'G',
			'H'
		]);
		expect(await readBinderView(at.collection.db, at.binder)).toMatchObject({
			need: 12,
			goals: [
				{ name: 'G', order: null },
				{ name: 'H', order: 'newest' }
			]
		});
		await undo(at.collection);
		await undo(at.collection);
		expect(await laid()).toHaveLength(4);
	});

	test('goals that keep their own lie side by side, and what lies stays for each', async () => {
		const keeping = { preset: 'complete', keepsOwn: true } as const;
		await changeGoal(at.collection, all, { rules: keeping, name: 'G' });
		await secondGoal(keeping);
		await at.log('1 x2, 2');
		await hold({ goalId: all, order: null }, { goalId: second, order: 'number' });
		expect(await laid()).toEqual(['1 2 3 4', '5 6 . .', '1@2 2@2 3@2 4@2', '5@2 6@2 . .']);
		await lieAsPlanned(at.collection, at.binder);
		expect((await at.state()).now.map(({ slot }) => slot.slice(7)).sort()).toEqual([
			'1',
			'1@2',
			'2'
		]);
		expect(await at.slip()).toEqual([]);
		const filled = async (id: typeof all) =>
			(await readGoal(at.collection.db, id))?.filling.placements;
		expect(await filled(all)).toHaveLength(2);
		expect(await filled(second)).toHaveLength(1);
	});

	test('refused: none, the same twice, goals and binders that are not there; nothing is written', async () => {
		const of = (...ids: readonly number[]) =>
			ids.map((id) => ({ goalId: rowId<'goals'>(id), order: null }));
		for (const [goals, count] of [
			[of(), 1],
			[of(1, 1), 1],
			[of(1, 99), 1],
			[of(99, 99), 2]
		] as const) {
			const outcome = await hold(...goals);
			expect(outcome.ok ? [] : outcome.problems).toHaveLength(count);
		}
		expect(await holdInBinder(at.collection, rowId(99), of(1))).toMatchObject({ ok: false });
		expect((await goalsOfBinders(at.collection.db)).get(at.binder)).toEqual(of(1));
	});

	test('a goal that is removed leaves the binder to the others, the last takes it along', async () => {
		await secondGoal(brass);
		await at.log('1');
		await hold({ goalId: all, order: null }, { goalId: second, order: null });
		await lieAsPlanned(at.collection, at.binder);
		await removeGoal(at.collection, all);
		expect((await listBinders(at.collection.db)).map(({ goals }) => goals)).toEqual([
			[{ id: second, name: 'H' }]
		]);
		expect(await at.slip()).toEqual([]);
		await removeGoal(at.collection, second);
		expect(await listBinders(at.collection.db)).toEqual([]);
		await undo(at.collection);
		await undo(at.collection);
		expect((await listBinders(at.collection.db))[0]?.goals).toHaveLength(2);
		expect((await at.state()).now).toHaveLength(1);
	});

	test('blocks keep their place and order whatever they are called', async () => {
		await secondGoal(brass);
		await hold({ goalId: all, order: null }, { goalId: second, order: null });
		const blocks = [{ block: 'r/base~brass', order: 'title' as const }];
		await changeBinder(at.collection, at.binder, { layout: { blocks } });
		expect((await laid())[0]).toBe('1~brass 2~brass 3~brass 4~brass');
		await changeBinder(at.collection, at.binder, { layout: { order: 'group' } });
		expect((await at.state()).plan.blocks).toEqual([
			{ key: 'No group', name: 'No group', slots: 12 }
		]);
	});
});
