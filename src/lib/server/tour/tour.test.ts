import { expect, test } from 'vitest';
import { makeBinder } from '../binders/change-binder.ts';
import { markWant } from '../buying/wants/mark-want.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { undo } from '../journal/undo.ts';
import { rowId } from '../../core/row-id.ts';
import { endTour, readTour } from './tour.ts';

const at = withCollection();
const done = async () => {
	const tour = await readTour(at.collection.db);
	return tour && [...tour].join(' ');
};

test('each step is done by doing it, in any order; undone it is to be done again; all done it is over', async () => {
	const { collection } = at;
	expect(await done()).toBe('');
	await importRelease(collection, sampleRelease());
	expect(await done()).toBe('learn');
	await at.line('1-3');
	expect(await done()).toBe('learn log');
	await undo(collection);
	expect(await done()).toBe('learn');
	await at.line('1-3');
	await makeGoal(collection, { release: 'r', rules: { preset: 'complete' }, name: 'G' });
	await makeBinder(collection, { goalId: rowId(1), name: 'B' });
	expect(await done()).toBe('learn decide log house');
	await markWant(collection, 'r/base-5', { isFavourite: true, currency: 'EUR' });
	expect(await done()).toBeNull();
});

test('who knows the way is not led, until that is undone', async () => {
	await endTour(at.collection);
	expect(await done()).toBeNull();
	await undo(at.collection);
	expect(await done()).toBe('');
});
