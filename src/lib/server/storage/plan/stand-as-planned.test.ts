import { describe, expect, test } from 'vitest';
import { makeBinder } from '../../binders/change-binder.ts';
import { lieAsPlanned } from '../../binders/move-cards.ts';
import { addCopy, editCopy, splitCopy } from '../../copies/edit-copy.ts';
import { logOwned } from '../../copies/log.ts';
import { makeGoal } from '../../goals/make-goal.ts';
import { undoStep } from '../../journal/undo-step.ts';
import { recentSteps, undo } from '../../journal/undo.ts';
import { removeRelease } from '../../checklists/remove-release.ts';
import { answerLine, makeSlip } from '../slips/change-slips.ts';
import { copiesForBinder } from '../slips/copies-for-binder.ts';
import { removeBox, saveBox } from '../room/edit-boxes.ts';
import { saveShelf } from '../room/edit-shelves.ts';
import { planStorage } from './plan-storage.ts';
import { readBoxes } from '../room/read-storage.ts';
import { readStorageChoice } from './read-storage-options.ts';
import { readSlip } from '../slips/slips.ts';
import { standAsPlanned } from './stand-as-planned.ts';
import { withStorage } from '../storage.fixture.ts';
import { rowId } from '../../../core/row-id.ts';

const storage = withStorage();

describe('boxes as planned', () => {
	test('stand with every card, each once; undo takes all of it back', async () => {
		await storage.release('big', '1994', 400);
		await storage.release('a', '1992', 40);
		await storage.release('b', '1993', 30);
		await storage.release('lone', '1993', 50);
		await storage.log('big', '1-390');
		await storage.log('a', '3x2 1 2 brass 2');
		await storage.log('b', '10-20');
		await storage.log('lone', '7');
		const all = 390 + 5 + 11 + 1;
		expect(await storage.counts()).toEqual({ standing: 0, homeless: all });
		expect(await standAsPlanned(storage.collection)).toEqual({ boxes: 2, cards: all });
		expect(await storage.counts()).toEqual({ standing: all, homeless: 0 });
		const [alone, ...shared] = await storage.rows();
		expect(alone).toMatch(/^BIG 1994 \/ 1: BIG 1994 1 2 3 .* 390$/);
		expect(shared).toEqual([
			'Long box 1 / 1: A 1992, Brass 1 2 3',
			// Lone cards of the year: the base card, and the double.
			'Long box 1 / 1: 1992, strays 2 3',
			'Long box 1 / 1: B 1993 10 11 12 13 14 15 16 17 18 19 20',
			'Long box 1 / 1: 1993, strays 7'
		]);
		await undo(storage.collection);
		expect(await storage.counts()).toEqual({ standing: 0, homeless: all });
	});

	test('what is logged while the plan is made stands as well', async () => {
		await storage.release('a', '1992', 30);
		await storage.log('a', '1-10');
		let logging: Promise<unknown> | undefined;
		const tell = () => (logging ??= storage.log('a', '11-15'));
		expect(await standAsPlanned(storage.collection, undefined, tell)).toMatchObject({ cards: 15 });
		await logging;
		expect(await storage.counts()).toEqual({ standing: 15, homeless: 0 });
	});

	test('heavy ones go on low shelves, and never over what a shelf bears', async () => {
		for (const [level, ratingG] of [
			[1, 10_000],
			[2, null],
			[3, null]
		] as const) {
			await saveShelf(storage.collection, { room: 'R', unit: 'U', level, lengthMm: 2000, ratingG });
		}
		await storage.release('a', '1992', 900);
		await storage.release('c', '1995', 400);
		await storage.log('a', '1-900x5 1-200');
		await storage.log('c', '1-400');
		await standAsPlanned(storage.collection);
		const placed = (await readBoxes(storage.collection.db)).map(({ name, shelfId }) => [
			name,
			shelfId
		]);
		// 4,700 cards weigh over 9 kg with their box: to lift with care. The light one leaves the low shelves free.
		expect(placed).toEqual([
			['C 1995', 3],
			['Long box 1', 1]
		]);
	});

	test('a new set goes between those that stand where there is room, and nothing moves', async () => {
		for (const [key, year] of [
			['a', '1992'],
			['c', '1994']
		] as const) {
			await storage.release(key, year, 30);
			await storage.log(key, '1-10');
		}
		await standAsPlanned(storage.collection);
		await storage.release('b', '1993', 30);
		await storage.log('b', '1-10');
		await storage.log('a', '11');
		const plan = await planStorage(storage.collection.db);
		expect(plan.boxes).toEqual([]);
		expect(plan.added).toMatchObject([{ label: 'B 1993', row: 1, at: 1 }]);
		expect(plan.toPutAway).toMatchObject([{ run: { release: 'a', set: 1 }, cards: 1 }]);
		await standAsPlanned(storage.collection);
		expect((await storage.rows()).map((row) => row.slice(0, 24))).toEqual([
			'Long box 1 / 1: A 1992 1',
			'Long box 1 / 1: B 1993 1',
			'Long box 1 / 1: C 1994 1'
		]);
	});

	test('never more stand than there are: what is taken out of the collection leaves its box', async () => {
		await storage.release('a', '1992', 30);
		await storage.log('a', '1x3 2 3');
		await standAsPlanned(storage.collection);
		await logOwned(storage.collection, 'a', [
			{ version: 'a/base-1', quantity: 1 },
			{ version: 'a/base-2', quantity: 0 }
		]);
		// What is too many comes out of the doubles first.
		expect(await storage.rows()).toEqual([
			'Long box 1 / 1: A 1992 1 3',
			'Long box 1 / 1: 1992, strays '
		]);
		await undo(storage.collection);
		expect(await storage.rows()).toEqual([
			'Long box 1 / 1: A 1992 1 2 3',
			'Long box 1 / 1: 1992, strays 1x2'
		]);
		await removeRelease(storage.collection, 'a');
		expect(await storage.rows()).toEqual(['Long box 1 / 1: 1992, strays ']);
		await undo(storage.collection);
		expect(await storage.counts()).toEqual({ standing: 5, homeless: 0 });
	});

	test('the order in which boxes were stood is kept for what comes later', async () => {
		await storage.release('a', '1992', 60);
		await storage.log('a', '1-20');
		await standAsPlanned(storage.collection, { school: 'maker', fill: 90, have: 80, growth: 0 });
		const kept = (query: string) =>
			readStorageChoice(storage.collection.db, new URLSearchParams(query));
		expect(await kept('')).toEqual({
			...{ school: 'maker', fill: 90, have: 80, growth: 0 },
			small: false
		});
		expect(await kept('school=theme&fill=10&have=1000&growth=x')).toEqual({
			school: 'theme',
			fill: 10,
			have: 80,
			growth: 0,
			small: false
		});
	});

	test('lone cards of a year stand behind one divider, also those that come later', async () => {
		for (const key of ['a', 'b', 'c']) await storage.release(key, '1992', 60);
		await storage.log('a', '1-20');
		await storage.log('b', '7');
		await standAsPlanned(storage.collection);
		await storage.log('c', '9');
		const plan = await planStorage(storage.collection.db);
		expect([plan.boxes, plan.added]).toEqual([[], []]);
		await makeSlip(storage.collection, 'put away', '', { of: 'homeless' });
		const [line] = (await readSlip(storage.collection.db, rowId(1)))?.lines ?? [];
		expect(line?.place).toMatchObject({ divider: '1992, strays', after: '7', before: null });
		await answerLine(
			storage.collection,
			rowId(1),
			line?.id ?? rowId(0),
			'done',
			line?.place?.dividerId ?? null
		);
		expect((await storage.rows())[1]).toBe('Long box 1 / 1: 1992, strays 7 9');
	});

	test('a card split off a pile stands where the pile does; in a top loader it leaves its set', async () => {
		await storage.release('a', '1992', 30);
		await storage.log('a', '1x3 2');
		await standAsPlanned(storage.collection);
		await splitCopy(storage.collection, rowId(1));
		expect(await storage.counts()).toEqual({ standing: 4, homeless: 0 });
		await editCopy(storage.collection, rowId(3), { holder: 'top-loader-35' });
		expect(await storage.counts()).toEqual({ standing: 3, homeless: 1 });
		const plan = await planStorage(storage.collection.db);
		expect(plan.boxes).toMatchObject([{ use: 'valuables', kind: 'loaders-150' }]);
		expect(plan.choices).toMatchObject([{ rule: 'kept apart: valuables' }]);
	});

	test('valuables, graded cards and what is to sell join the boxes of their use while there is room', async () => {
		for (const key of ['a', 'b']) await storage.release(key, '1992', 60);
		const add = (version: string, fields: object) => addCopy(storage.collection, version, fields);
		const ofEach = async (release: string) => {
			await add(`${release}/base-1`, { holder: 'top-loader-35' });
			await add(`${release}/base-2`, { grade: 9, house: 'H' });
			await add(`${release}/base-3`, { status: 'to sell', quantity: 2 });
			await add(`${release}/base-4`, { attributes: ['personal'] });
		};
		await ofEach('a');
		await standAsPlanned(storage.collection);
		const names = async () =>
			(await readBoxes(storage.collection.db)).map(({ name }) => name).sort();
		const boxes = ['Graded 1', 'Personal 1', 'To sell 1', 'Valuables 1'];
		expect(await names()).toEqual(boxes);
		await ofEach('b');
		await standAsPlanned(storage.collection);
		expect(await names()).toEqual(boxes);
		// The lone personal card goes behind the divider of its year's strays: a slip's work.
		expect(await storage.counts()).toEqual({ standing: 9, homeless: 1 });
		expect((await storage.rows()).filter((row) => row.startsWith('Valuables'))).toEqual([
			'Valuables 1 / 1: A 1992 1',
			'Valuables 1 / 1: B 1992 1'
		]);
	});

	test('a card put into a binder leaves its box', async () => {
		await storage.release('a', '1992', 9);
		await storage.log('a', '1-4');
		await standAsPlanned(storage.collection);
		await makeGoal(storage.collection, { release: 'a', rules: { preset: 'complete' }, name: 'G' });
		const binder = await makeBinder(storage.collection, { goalId: rowId(1), name: 'B' });
		expect(await copiesForBinder(storage.collection.db, binder ?? rowId(0))).toEqual([1, 2, 3, 4]);
		await lieAsPlanned(storage.collection, binder ?? rowId(0));
		expect(await storage.counts()).toEqual({ standing: 0, homeless: 0 });
	});

	test('a step is taken back only while nothing hangs on it; piles that shrink leave their boxes', async () => {
		await storage.release('a', '1992', 30);
		await storage.log('a', '1x2');
		await storage.log('a', '1 5');
		await standAsPlanned(storage.collection);
		const [stood, second] = await recentSteps(storage.collection.db, 2);
		// Copy 5 came with the second log and stands in a box now.
		expect(await undoStep(storage.collection, second?.id ?? rowId(0))).toMatchObject({
			ok: false,
			problems: [{ message: 'something recorded later hangs on it' }]
		});
		expect(await storage.counts()).toEqual({ standing: 4, homeless: 0 });
		await undoStep(storage.collection, stood?.id ?? rowId(0));
		expect(await storage.counts()).toEqual({ standing: 0, homeless: 4 });
	});

	test('a box that goes leaves its cards without a place; names and kinds are checked', async () => {
		await storage.release('a', '1992', 30);
		await storage.log('a', '1-9');
		await standAsPlanned(storage.collection);
		expect(
			await saveBox(storage.collection, { name: 'Long box 1', kind: 'x', use: 'sets' })
		).toMatchObject({
			ok: false,
			problems: [{ field: 'name' }, { field: 'kind' }]
		});
		expect((await removeBox(storage.collection, rowId(1))).ok).toBe(true);
		expect(await storage.counts()).toEqual({ standing: 0, homeless: 9 });
	});
});
