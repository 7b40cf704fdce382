import { describe, expect, test } from 'vitest';
import { boxKindOf } from '../../../core/storage/kinds/box-kind.ts';
import { makeBinder } from '../../binders/change-binder.ts';
import { makeGoal } from '../../goals/make-goal.ts';
import { undo } from '../../journal/undo.ts';
import { addKind, removeKind } from '../../kinds/own-kinds.ts';
import { moveBoxes, removeBox, saveBox, shiftBox } from './edit-boxes.ts';
import { addDivider, removeDivider, renameDivider } from './edit-dividers.ts';
import { placeBinder, removeShelf, saveShelf } from './edit-shelves.ts';
import { readBox } from './read-box.ts';
import { readRoom } from './read-room.ts';
import { readBoxHeads, readShelves } from './read-storage.ts';
import { withStorage } from '../storage.fixture.ts';
import { type ShelfId, rowId } from '../../../core/row-id.ts';

const storage = withStorage();

const shelf = (level: number, ratingG: number | null = null, unit = 'Rack A') =>
	saveShelf(storage.collection, { room: 'Basement', unit, level, lengthMm: 1000, ratingG });
const box = (name: string, shelfId: ShelfId | null, kind = '5000') =>
	saveBox(storage.collection, { name, kind, use: 'sets', shelfId });
const names = async () => (await readBoxHeads(storage.collection.db)).map(({ name }) => name);

describe('shelves', () => {
	test('a place is taken once; a change keeps what stands there, and undo brings a shelf back', async () => {
		await shelf(1);
		expect(await shelf(1)).toMatchObject({
			ok: false,
			problems: [{ field: 'level', message: 'Rack A, shelf 1 is there already' }]
		});
		expect((await shelf(2)).ok).toBe(true);
		const moved = { room: 'Basement', unit: 'Rack A', level: 1, lengthMm: 900, ratingG: 1 };
		expect((await saveShelf(storage.collection, moved, rowId(2))).ok).toBe(false);
		expect((await saveShelf(storage.collection, { ...moved, level: 5 }, rowId(2))).ok).toBe(true);
		expect((await saveShelf(storage.collection, moved, rowId(99))).ok).toBe(false);
		await box('A', rowId(2));
		expect((await removeShelf(storage.collection, rowId(2))).ok).toBe(true);
		expect((await readBoxHeads(storage.collection.db))[0]?.shelfId).toBeNull();
		await undo(storage.collection);
		expect((await readShelves(storage.collection.db)).map(({ level }) => level)).toEqual([5, 1]);
		expect((await readBoxHeads(storage.collection.db))[0]?.shelf).toBe('Rack A, shelf 5');
		expect((await removeShelf(storage.collection, rowId(99))).ok).toBe(false);
	});

	test('the room: boxes on each other with a board between, loads against ratings, binders beside them', async () => {
		await shelf(1, 1200);
		await shelf(3);
		for (const name of ['A', 'B', 'C']) await box(name, rowId(1));
		await storage.release('r', '1994', 9);
		await makeGoal(storage.collection, { release: 'r', rules: { preset: 'complete' }, name: 'G' });
		await makeBinder(storage.collection, { goalId: rowId(1), name: 'Book' });
		expect((await placeBinder(storage.collection, rowId(1), rowId(2))).ok).toBe(true);
		expect((await placeBinder(storage.collection, rowId(9), rowId(2))).ok).toBe(false);
		expect((await placeBinder(storage.collection, rowId(1), rowId(9))).ok).toBe(false);
		const { shelves, loose } = await readRoom(storage.collection.db);
		const [upper, lower] = shelves;
		expect(upper?.items.map(({ name }) => name)).toEqual(['Book']);
		// 50 mm rings and two covers.
		expect(upper?.items[0]?.lengthMm).toBe(56);
		// Two long boxes of 465 mm fill a shelf of a metre; the third stands on them, on a board.
		const { heightMm, tareG } = boxKindOf('5000');
		expect(lower?.items.map(({ name, bottomMm }) => [name, bottomMm])).toEqual([
			['A', 0],
			['B', 0],
			['C', heightMm]
		]);
		expect(lower).toMatchObject({ boards: 1, grams: 3 * tareG, isOver: true });
		expect(loose).toEqual([]);
	});
});

describe('boxes', () => {
	test('stand in the order of their shelf, are moved along it and to other shelves', async () => {
		await shelf(1);
		await shelf(2);
		for (const name of ['A', 'B', 'C']) await box(name, rowId(1));
		await shiftBox(storage.collection, rowId(3), -1);
		expect(await names()).toEqual(['A', 'C', 'B']);
		await shiftBox(storage.collection, rowId(1), -1);
		expect(await names()).toEqual(['A', 'C', 'B']);
		await moveBoxes(storage.collection, [
			{ box: rowId(1), shelf: rowId(2) },
			{ box: rowId(2), shelf: null }
		]);
		// The upper shelf is walked first; what is on none comes last.
		expect(await names()).toEqual(['A', 'C', 'B']);
		expect((await readBoxHeads(storage.collection.db)).map(({ shelfId }) => shelfId)).toEqual([
			2,
			1,
			null
		]);
		expect((await shiftBox(storage.collection, rowId(2), 1)).ok).toBe(false);
		// One wrong move, and none is made.
		const moves = [
			{ box: 3, shelf: 2 },
			{ box: 1, shelf: 77 }
		].map(({ box, shelf }) => ({ box: rowId<'boxes'>(box), shelf: rowId<'shelves'>(shelf) }));
		const standing = await readBoxHeads(storage.collection.db);
		expect((await moveBoxes(storage.collection, moves)).ok).toBe(false);
		expect(await readBoxHeads(storage.collection.db)).toEqual(standing);
	});

	test.each([
		['no name', { name: ' ', kind: '5000' }, ['name']],
		['an unknown kind', { name: 'A', kind: 'crate' }, ['kind']],
		['an unknown shelf', { name: 'A', kind: '5000', shelfId: rowId<'shelves'>(9) }, [undefined]],
		[
			'all at once',
			{ name: '', kind: 'crate', shelfId: rowId<'shelves'>(9) },
			['name', 'kind', undefined]
		]
	])('%s is refused, and nothing is kept', async (_, fields, wrong) => {
		const done = await saveBox(storage.collection, { use: 'sets', ...fields });
		expect(done.ok ? [] : done.problems.map(({ field }) => field)).toEqual(wrong);
		expect(await names()).toEqual([]);
	});

	test('a kind of one’s own holds by its own rows, and stays while a box uses it', async () => {
		const crate = { ...boxKindOf('800'), name: 'Crate', rows: 3, rowMm: 100 };
		expect(await addKind(storage.collection, { sort: 'box', kind: crate })).toMatchObject({
			value: { key: 'own-crate' }
		});
		expect((await addKind(storage.collection, { sort: 'box', kind: crate })).ok).toBe(false);
		await box('A', null, 'own-crate');
		expect((await readBox(storage.collection.db, rowId(1)))?.rows).toHaveLength(3);
		expect(await removeKind(storage.collection, 'box', 'own-crate')).toMatchObject({
			ok: false,
			problems: [{ message: 'A uses it' }]
		});
		await removeBox(storage.collection, rowId(1));
		expect((await removeKind(storage.collection, 'box', 'own-crate')).ok).toBe(true);
	});
});

describe('dividers', () => {
	test('stand one behind the other in a row that the box has, and are renamed and taken out', async () => {
		await box('A', null);
		const add = (row: number, label: string) =>
			addDivider(storage.collection, rowId(1), row, label, null);
		expect((await add(5, 'Checklists')).ok).toBe(true);
		expect((await add(5, ' Promos ')).ok).toBe(true);
		for (const [row, label] of [
			[6, 'X'],
			[0, 'X'],
			[1.5, 'X'],
			[1, ' ']
		] as const) {
			expect((await add(row, label)).ok).toBe(false);
		}
		expect((await addDivider(storage.collection, rowId(9), 1, 'X', null)).ok).toBe(false);
		await renameDivider(storage.collection, rowId(1), 'Lists');
		expect((await renameDivider(storage.collection, rowId(1), '')).ok).toBe(false);
		expect((await renameDivider(storage.collection, rowId(9), 'X')).ok).toBe(false);
		const labels = async () =>
			(await readBox(storage.collection.db, rowId(1)))?.dividers.map(({ row, label }) => [
				row,
				label
			]);
		expect(await labels()).toEqual([
			[5, 'Lists'],
			[5, 'Promos']
		]);
		expect((await readBox(storage.collection.db, rowId(1)))?.rows[4]?.usedUm).toBe(1600);
		await removeDivider(storage.collection, rowId(1));
		expect((await removeDivider(storage.collection, rowId(1))).ok).toBe(false);
		expect(await labels()).toEqual([[5, 'Promos']]);
	});
});
