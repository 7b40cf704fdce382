import { describe, expect, test } from 'vitest';
import { undo } from '../../journal/undo.ts';
import { answerDiscrepancy } from '../stock-take/answer-discrepancy.ts';
import { answerLine, makeSlip } from './change-slips.ts';
import { readSlip } from './slips.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { listDiscrepancies } from '../stock-take/stock-take.ts';
import { dividers } from '../../database/tables/index.ts';
import { renameDivider } from '../room/edit-dividers.ts';
import { planStorage } from '../plan/plan-storage.ts';
import { withStorage } from '../storage.fixture.ts';
import { rowId } from '../../../core/row-id.ts';

const storage = withStorage();

describe('slips', () => {
	test('put away in walking order, with neighbours as they stand then; the rest waits', async () => {
		await storage.release('a', '1992', 200);
		await storage.release('b', '1993', 30);
		await storage.log('a', '112 118 150');
		await storage.log('b', '1-9');
		await standAsPlanned(storage.collection);
		await storage.log('a', '115 113');
		await storage.log('b', '20');
		await storage.release('new', '1996', 9);
		await storage.log('new', '1-9');
		expect(await makeSlip(storage.collection, 'put away', '', { of: 'homeless' })).toMatchObject({
			ok: true
		});
		const lines = async () => (await readSlip(storage.collection.db, rowId(1)))?.lines ?? [];
		const told = (await lines())
			.filter(({ place }) => place)
			.map(({ card, place }) => [card, place?.box, place?.row, place?.after, place?.before]);
		expect(told).toEqual([
			['113 Card 113', 'Long box 1', 1, '112', '118'],
			['115 Card 115', 'Long box 1', 1, '113', '118'],
			['20 Card 20', 'Long box 1', 1, '9', null]
		]);
		// Cards of a set without a divider are not on it: the plan finds them a place first.
		expect(await lines()).toHaveLength(3);
		const [first, second] = await lines();
		const answer = (
			line: typeof first,
			state: 'done' | 'skipped',
			divider = line?.place?.dividerId
		) => answerLine(storage.collection, rowId(1), line?.id ?? rowId(0), state, divider ?? null);
		expect(await answer(second, 'done', rowId(99))).toMatchObject({ ok: false });
		// What is skipped is in the hand still: no neighbour of what is put away after it.
		expect(await answer(first, 'skipped')).toMatchObject({ ok: true });
		expect((await lines()).find(({ id }) => id === second?.id)?.place).toMatchObject({
			after: '112',
			before: '118'
		});
		expect(await answer(second, 'skipped')).toMatchObject({ ok: true });
		expect(await answer(first, 'done')).toMatchObject({ ok: true });
		expect((await storage.rows())[0]).toBe('Long box 1 / 1: A 1992 112 113 118 150');
		// A skipped card is still to be put away; done twice is refused.
		expect(await answer(first, 'done')).toMatchObject({ ok: false });
		expect(await answer(second, 'done')).toMatchObject({ ok: true });
		expect((await storage.rows())[0]).toBe('Long box 1 / 1: A 1992 112 113 115 118 150');
		await undo(storage.collection);
		expect((await lines()).find(({ id }) => id === second?.id)?.state).toBe('skipped');
	});

	test('numbers in hand order make a slip of just these; what is not there is told', async () => {
		await storage.release('a', '1992', 200);
		await storage.log('a', '1-5');
		await standAsPlanned(storage.collection);
		await storage.log('a', '9 7');
		const source = { of: 'line', release: 'a', line: '9 7 100' } as const;
		const made = await makeSlip(storage.collection, 'put away', 'Hand', source);
		expect(made).toMatchObject({
			ok: true,
			notes: [{ message: expect.stringContaining('100 Card 100') }]
		});
		const slip = await readSlip(storage.collection.db, rowId(1));
		expect(slip?.lines.map(({ card }) => card)).toEqual(['7 Card 7', '9 Card 9']);
		const none = await makeSlip(storage.collection, 'put away', '', { ...source, line: '50' });
		expect(none.ok).toBe(false);
	});

	test('pulled cards leave their box; one that is not there opens a discrepancy', async () => {
		await storage.release('a', '1992', 200);
		await storage.log('a', '1-5 3');
		await standAsPlanned(storage.collection);
		await makeSlip(storage.collection, 'pull', 'Friend', { of: 'line', release: 'a', line: '2 3' });
		const slip = await readSlip(storage.collection.db, rowId(1));
		const [two, three] = slip?.lines ?? [];
		expect([two?.place?.after, two?.place?.before]).toEqual(['1', '3']);
		await answerLine(
			storage.collection,
			rowId(1),
			two?.id ?? rowId(0),
			'done',
			two?.place?.dividerId ?? null
		);
		await answerLine(storage.collection, rowId(1), three?.id ?? rowId(0), 'not there', null);
		expect(await storage.rows()).toEqual([
			'Long box 1 / 1: A 1992 1 3 4 5',
			'Long box 1 / 1: 1992, strays 3'
		]);
		const [open] = await listDiscrepancies(storage.collection.db);
		expect(open).toMatchObject({
			sort: 'not there',
			version: 'a/base-3',
			quantity: 1,
			box: 'Long box 1'
		});
		await answerDiscrepancy(storage.collection, open?.id ?? rowId(0), 'g');
		expect(await storage.rows()).toEqual([
			'Long box 1 / 1: A 1992 1 3 4 5',
			'Long box 1 / 1: 1992, strays '
		]);
		expect(await storage.counts()).toEqual({ standing: 4, homeless: 1 });
	});
});

test('strays are known by their divider, whatever is written on it', async () => {
	await storage.release('few', '1992', 40);
	await storage.release('more', '1992', 40);
	await storage.log('few', '1 2');
	await standAsPlanned(storage.collection);
	const [strays] = await storage.collection.db.select().from(dividers);
	expect(strays).toMatchObject({ releaseId: null, straysOf: '1992' });
	await renameDivider(storage.collection, strays?.id ?? rowId(0), 'Odds and ends');
	// A card of another set of that year, and another of the same: both go there, no second one is planned.
	await storage.log('more', '7');
	await storage.log('few', '9');
	const made = await makeSlip(storage.collection, 'put away', '', { of: 'homeless' });
	expect(made.ok).toBe(true);
	const slip = await readSlip(storage.collection.db, rowId(1));
	expect(slip?.lines.map(({ place }) => place?.divider)).toEqual([
		'Odds and ends',
		'Odds and ends'
	]);
	const plan = await planStorage(storage.collection.db);
	expect(plan.boxes).toEqual([]);
	expect(plan.added).toEqual([]);
});
