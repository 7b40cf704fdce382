import { describe, expect, test } from 'vitest';
import { makeBinder } from '../../binders/change-binder.ts';
import { lieAsPlanned } from '../../binders/move-cards.ts';
import { addCopy } from '../../copies/edit-copy.ts';
import { makeGoal } from '../../goals/make-goal.ts';
import { saveShelf } from '../room/edit-shelves.ts';
import { labelTexts } from './label-texts.ts';
import { placesOfCopies } from '../../places/places-of.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { withStorage } from '../storage.fixture.ts';
import { type BoxId, rowId } from '../../../core/row-id.ts';

const storage = withStorage();
const texts = async (sort: 'boxes' | 'dividers' | 'shelves', boxIds: readonly BoxId[] = []) => {
	const choice = { sort, boxIds, address: 'http://h', date: '1996-10-06' };
	const labels = await labelTexts(storage.collection.db, choice);
	return labels.map(({ title, lines }) => [title, ...lines]);
};

describe('a box label', () => {
	test('names what is kept elsewhere with where: another box, a place in words, or none yet', async () => {
		await storage.release('a', '1992', 12);
		await storage.log('a', '1-8');
		await addCopy(storage.collection, 'a/base-9', { grade: 9, house: 'H' });
		await addCopy(storage.collection, 'a/base-10', { place: 'Bank box' });
		await standAsPlanned(storage.collection);
		await storage.log('a', '11');
		const whole = [
			'A 1992',
			'Long box 1 · 11 of 12 · 1996-10-06',
			'Missing: 12',
			'Graded 1: 9',
			'Bank box: 10',
			'no place yet: 11'
		];
		// Of what is kept apart a label says nothing of completeness.
		expect(await texts('boxes')).toEqual([['Graded 1', 'A 1992', '1996-10-06'], whole]);
		expect(await texts('boxes', [rowId(1)])).toEqual([whole]);
	});

	test('of a set that went into a binder: the divider is there still, and says so', async () => {
		await storage.release('a', '1992', 12);
		await storage.log('a', '1-9');
		await standAsPlanned(storage.collection);
		await makeGoal(storage.collection, { release: 'a', rules: { preset: 'base' }, name: 'G' });
		await makeBinder(storage.collection, { goalId: rowId(1), name: 'Book' });
		await lieAsPlanned(storage.collection, rowId(1));
		expect(await texts('boxes')).toEqual([
			['A 1992', 'Long box 1 · 9 of 12 · 1996-10-06', 'Missing: 10–12', 'Book: 1–9']
		]);
		expect(await texts('dividers')).toEqual([['A 1992', 'Long box 1, row 1']]);
		const places = await placesOfCopies(storage.collection.db, [rowId(1), rowId(99)]);
		expect([...places]).toEqual([[1, [expect.objectContaining({ name: 'Book', boxId: null })]]]);
	});

	test('many sets are named with their counts; strays have a tab and no count', async () => {
		for (const key of ['a', 'b', 'c', 'd']) {
			await storage.release(key, '1992', 9);
			await storage.log(key, '1-5');
		}
		await storage.release('e', '1992', 9);
		await storage.log('e', '3');
		await standAsPlanned(storage.collection);
		const [label] = await texts('boxes');
		expect(label).toEqual([
			'Long box 1',
			...['A', 'B', 'C', 'D'].map((name) => `${name} 1992, 5 of 9`),
			'1996-10-06'
		]);
		expect((await texts('dividers')).at(-1)).toEqual(['1992, strays', '3', 'Long box 1, row 1']);
	});

	test('a shelf tag names its boxes and what it bears', async () => {
		const at = { room: 'Basement', unit: 'Rack', level: 3, lengthMm: 1000, ratingG: 60_500 };
		await saveShelf(storage.collection, at);
		await storage.release('a', '1992', 9);
		await storage.log('a', '1-5');
		await standAsPlanned(storage.collection);
		expect(await texts('shelves')).toEqual([
			['Basement: Rack, shelf 3', 'Long box 1', 'bears 60.5 kg, says its maker']
		]);
	});
});
