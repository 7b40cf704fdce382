import { expect, test } from 'vitest';
import { withGulls } from '../../gulls.fixture.ts';
import { redo, undo } from '../../journal/undo.ts';
import { keptView } from './kept-views.ts';

const gulls = withGulls();

test('a view is worked out once for each state of the collection, and each question', async () => {
	const { collection } = gulls;
	let made = 0;
	const ask = (name: string) =>
		keptView(collection.db, name, () => Promise.resolve(String(++made)));
	expect([await ask('a'), await ask('a'), await ask('b'), await ask('a')]).toEqual([
		'1',
		'1',
		'2',
		'1'
	]);
	await gulls.log('1');
	expect(await ask('a')).toBe('3');
	await undo(collection);
	expect(await ask('a')).toBe('4');
	await redo(collection);
	expect(await ask('a')).toBe('3');
	await undo(collection);
	await gulls.log('2');
	expect(await ask('a')).toBe('5');
	await expect(
		keptView(collection.db, 'broken', () => Promise.reject(new RangeError('stopped')))
	).rejects.toThrow('stopped');
	expect(await ask('broken')).toBe('6');
});
