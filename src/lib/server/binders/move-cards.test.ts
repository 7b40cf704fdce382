import { describe, expect, test } from 'vitest';
import { logOwned } from '../copies/log.ts';
import { changeGoal, removeGoal } from '../goals/make-goal.ts';
import { redo, undo } from '../journal/undo.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { readBinderView } from './binder-view.ts';
import { withBinder } from './binder.fixture.ts';
import { changeBinder, swapPockets } from './change-binder.ts';
import { lieAsPlanned, movesOf, stepName, swapLying, takeSteps } from './move-cards.ts';
import { readBinder } from './read-binder.ts';
import { rowId } from '../../core/row-id.ts';

const at = withBinder();
/** What lies, as "slot in pocket". */
const lies = async () =>
	(await at.state()).now.map(({ slot, pocket }) => `${slot.slice(7)} in ${pocket}`).sort();
/** Ticks off the first steps of the plan as it is now. */
async function tick(count: number) {
	const step = movesOf(await at.state()).steps[count - 1];
	return takeSteps(at.collection, at.binder, count, step ? stepName(step) : '');
}

describe('moves', () => {
	test('cards that arrived are put in by the slip, step by step, and undo takes a step back', async () => {
		await at.log('1 3 6');
		expect(await at.slip()).toEqual([
			'put in | 1 Card 1 | page 1, row 1, pocket 1',
			'put in | 3 Card 3 | page 1, row 2, pocket 1',
			'put in | 6 Card 6 | page 2, row 1, pocket 2'
		]);
		expect(await tick(2)).toMatchObject({ ok: true, value: { taken: 2 } });
		expect(await lies()).toEqual(['1 in 1/1/2x2/1', '3 in 1/1/2x2/3']);
		await at.log('2');
		expect(await at.slip()).toHaveLength(2);
		await undo(at.collection);
		await undo(at.collection);
		expect(await lies()).toEqual([]);
		await redo(at.collection);
		expect(await lies()).toHaveLength(2);
	});

	test('a new order gives chains and cycles; stopped in the middle, the rest is planned', async () => {
		await at.log('1-6');
		await lieAsPlanned(at.collection, at.binder);
		expect(await at.slip()).toEqual([]);
		await swapPockets(at.collection, at.binder, { page: 1, pocket: 0 }, { page: 1, pocket: 1 });
		await swapPockets(at.collection, at.binder, { page: 2, pocket: 0 }, { page: 2, pocket: 3 });
		expect(await at.slip()).toEqual([
			'hold | 2 Card 2 | page 1, row 1, pocket 2',
			'move | 1 Card 1 | page 1, row 1, pocket 1 | page 1, row 1, pocket 2',
			'lay down | 2 Card 2 | page 1, row 1, pocket 1',
			'move | 5 Card 5 | page 2, row 1, pocket 1 | page 2, row 2, pocket 2'
		]);
		await tick(1);
		expect((await at.slip()).map((line) => line.split(' | ')[0])).toEqual([
			'move',
			'put in',
			'move'
		]);
		await tick(3);
		expect(await at.slip()).toEqual([]);
		expect(await lies()).toContain('5 in 1/2/2x2/4');
	});

	test('a plan that has changed since it was shown records nothing', async () => {
		await at.log('1 2');
		const shown = movesOf(await at.state()).steps[1];
		await logOwned(at.collection, 'r', [{ version: 'r/base-2', quantity: 0 }]);
		expect(
			await takeSteps(at.collection, at.binder, 2, shown ? stepName(shown) : '')
		).toMatchObject({
			ok: false
		});
		expect(await lies()).toEqual([]);
	});

	test('other pages are other pockets: every card goes over', async () => {
		await at.log('1 2');
		await lieAsPlanned(at.collection, at.binder);
		await changeBinder(at.collection, at.binder, { layout: { pageKind: '3x3' } });
		expect(await at.slip()).toEqual([
			'move | 1 Card 1 | page 1, row 1, pocket 1 | page 1, row 1, pocket 1',
			'move | 2 Card 2 | page 1, row 1, pocket 2 | page 1, row 1, pocket 2'
		]);
	});

	test('what is known to lie is corrected: two cards, or a card and nothing', async () => {
		await at.log('1 2');
		await lieAsPlanned(at.collection, at.binder);
		const [first, two, free] = ['1/1/2x2/1', '1/1/2x2/2', '1/1/2x2/3'];
		await swapLying(at.collection, at.binder, first, two);
		expect(await lies()).toEqual(['1 in 1/1/2x2/2', '2 in 1/1/2x2/1']);
		await swapLying(at.collection, at.binder, free, first);
		expect(await lies()).toEqual(['1 in 1/1/2x2/2', '2 in 1/1/2x2/3']);
		for (const other of [first, 'x']) {
			expect(await swapLying(at.collection, at.binder, first, other)).toMatchObject({ ok: false });
		}
		await undo(at.collection);
		await undo(at.collection);
		expect(await at.slip()).toEqual([]);
	});

	test('with some pockets reserved, a card that arrives moves as few others as can be', async () => {
		await changeBinder(at.collection, at.binder, { layout: { missing: 'some', reserve: 2 } });
		await at.log('1 2 4 5');
		await lieAsPlanned(at.collection, at.binder);
		await at.log('6');
		expect(await at.slip()).toEqual(['put in | 6 Card 6 | page 2, row 1, pocket 1']);
	});

	test('a card that left the collection leaves the record, and comes back with undo', async () => {
		await at.log('1 2');
		await lieAsPlanned(at.collection, at.binder);
		await logOwned(at.collection, 'r', [{ version: 'r/base-1', quantity: 0 }]);
		expect(await lies()).toEqual(['2 in 1/1/2x2/2']);
		await undo(at.collection);
		expect(await lies()).toHaveLength(2);
	});

	test('a card whose slot the goal no longer has is shown, and taken out by name', async () => {
		await at.log('1 2');
		await lieAsPlanned(at.collection, at.binder);
		await changeGoal(at.collection, rowId(1), {
			rules: { preset: 'complete', picked: ['r/base-2'] },
			name: 'G'
		});
		const view = await readBinderView(at.collection.db, at.binder);
		expect(view).toMatchObject({ need: 1, have: 1 });
		expect(view?.faces.map(({ slot, place }) => `${slot}: ${place}`)).toEqual([
			'r/base-2: Base',
			'r/base-1: no longer of its goals'
		]);
		expect((await at.slip())[0]).toBe('take out | base-1 | page 1, row 1, pocket 1');
	});

	test.each([
		['goal', () => removeGoal(at.collection, rowId(1))],
		['release', () => removeRelease(at.collection, 'r')]
	])('the %s takes the binder with it, undo brings back what lay in it', async (_, remove) => {
		await at.log('1');
		await lieAsPlanned(at.collection, at.binder);
		await remove();
		expect(await readBinder(at.collection.db, at.binder)).toBeNull();
		await undo(at.collection);
		expect(await lies()).toEqual(['1 in 1/1/2x2/1']);
	});
});
