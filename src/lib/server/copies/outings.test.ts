import { expect, test } from 'vitest';
import type { CopyId } from '../../core/row-id.ts';
import { undo } from '../journal/undo.ts';
import { placesOfCopies } from '../places/places-of.ts';
import { standAsPlanned } from '../storage/plan/stand-as-planned.ts';
import { makeSlip } from '../storage/slips/change-slips.ts';
import { readSlip } from '../storage/slips/slips.ts';
import { checkDivider } from '../storage/stock-take/stock-take.ts';
import { copies } from '../database/tables/index.ts';
import { withStorage } from '../storage/storage.fixture.ts';
import { removeCopy } from './edit-copy.ts';
import { bringBack, listBack, listOutings, outOf, sendOut } from './outings.ts';

const storage = withStorage();
const NOW = '1996-10-06T09:00:00.000Z';

/** Cards 1 to 5 stand in a box, 2 three times. */
async function standing(): Promise<readonly CopyId[]> {
	await storage.release('a', '1992', 40);
	await storage.log('a', '1-5, 2x2');
	await standAsPlanned(storage.collection);
	return (await storage.collection.db.select({ id: copies.id }).from(copies)).map(({ id }) => id);
}
const out = async () => (await listOutings(storage.collection.db, NOW)).map(({ name }) => name);

test('cards go out, keep their place, remind, and come back; each is a step to undo', async () => {
	const { collection } = storage;
	const [first, second] = await standing();
	if (first === undefined || second === undefined) throw new RangeError('no copies');
	const before = await placesOfCopies(collection.db, [first]);
	const loan = { kind: 'loan' as const, to: ' Wren ', dueOn: '1996-10-05', outOn: '1996-09-01' };
	expect((await sendOut(collection, [{ copyId: first, quantity: 1 }], loan)).ok).toBe(true);
	const grading = { kind: 'grading' as const, to: 'Lantern House', dueOn: null };
	expect((await sendOut(collection, [{ copyId: second, quantity: 1 }], grading)).ok).toBe(true);
	expect(await listOutings(collection.db, NOW)).toMatchObject([
		{ name: '1 Card 1', to: 'Wren', state: 'overdue', quantity: 1 },
		{ name: '2 Card 2', to: 'Lantern House', state: 'out', outOn: '1996-10-06' }
	]);
	expect(await placesOfCopies(collection.db, [first])).toEqual(before);
	const [line] = await listOutings(collection.db, NOW);
	if (!line) throw new RangeError('nothing is out');
	expect((await bringBack(collection, line.id)).ok).toBe(true);
	expect((await bringBack(collection, line.id)).ok).toBe(false);
	expect(await out()).toEqual(['2 Card 2']);
	expect(await listBack(collection.db, NOW, 9)).toMatchObject([
		{ to: 'Wren', backOn: '1996-10-06' }
	]);
	await undo(collection);
	expect(await out()).toEqual(['1 Card 1', '2 Card 2']);
	// What leaves the collection is out no longer.
	await removeCopy(collection, first);
	expect(await out()).toEqual(['2 Card 2']);
	await undo(collection);
	expect(await out()).toHaveLength(2);
});

test('bad ones change nothing, and all is told: too many, twice, nobody, gone', async () => {
	const { collection } = storage;
	const [first] = await standing();
	if (first === undefined) throw new RangeError('no copies');
	const said = { kind: 'look' as const, to: 'Wren', dueOn: null };
	const pick = { copyId: first, quantity: 1 };
	for (const picks of [
		[],
		[pick, pick],
		[{ ...pick, quantity: 2 }],
		[pick, { ...pick, copyId: 999 as CopyId }]
	]) {
		expect((await sendOut(collection, picks, said)).ok).toBe(false);
	}
	const twice = await sendOut(collection, [pick], { ...said, to: ' ', dueOn: '1996-01-01' });
	expect(twice).toMatchObject({ ok: false, problems: [{ field: 'to' }, { field: 'dueOn' }] });
	expect(await out()).toEqual([]);
});

test('nobody looks for what is out: no stock-take misses it, no slip pulls it', async () => {
	const { collection } = storage;
	const [first, second] = await standing();
	if (first === undefined || second === undefined) throw new RangeError('no copies');
	await sendOut(collection, [{ copyId: first, quantity: 1 }], {
		kind: 'look',
		to: 'W',
		dueOn: null
	});
	const { id } = await storage.dividerOf('A 1992');
	const taken = await checkDivider(collection, id, 'a', '2-5');
	expect(taken).toMatchObject({ ok: true, value: { notThere: 0, notRecorded: 0 } });
	// Seen there all the same, it came back: no question either.
	expect(await checkDivider(collection, id, 'a', '1-5')).toMatchObject({
		value: { notThere: 0, notRecorded: 0 }
	});
	const slip = await makeSlip(collection, 'pull', 'Pull', { of: 'copies', ids: [first, second] });
	if (!slip.ok) throw new RangeError(JSON.stringify(slip.problems));
	const made = await readSlip(collection.db, slip.value.id);
	expect(made?.lines.map(({ copyId }) => copyId)).toEqual([second, second]);
	expect([...(await outOf(collection.db))]).toEqual([[first, 1]]);
});
