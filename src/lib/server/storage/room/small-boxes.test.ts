import { expect, test } from 'vitest';
import type { BoxId } from '../../../core/row-id.ts';
import { undo } from '../../journal/undo.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { planStorage } from '../plan/plan-storage.ts';
import { storageOptions } from '../plan/read-storage-options.ts';
import { makeSlip } from '../slips/change-slips.ts';
import { readSlip } from '../slips/slips.ts';
import { withStorage } from '../storage.fixture.ts';
import { removeBox, saveBox } from './edit-boxes.ts';
import { readBoxes, readBoxHeads } from './read-storage.ts';
import { readRoom } from './read-room.ts';

const storage = withStorage();
const CHOICE = { school: 'year' as const, fill: 55, have: 60, growth: 50, small: true };
const STOCK_UM = 457.2;

/** Boxes as they stand: "Long box 1 [A 1991 / row 1]". */
async function boxes(): Promise<readonly string[]> {
	return (await readBoxes(storage.collection.db)).map(
		({ name, inside }) => `${name} [${inside.map((box) => `${box.name} / ${box.row}`).join(', ')}]`
	);
}

test('tiny sets stand in small boxes in a larger one; the next joins them; a slip leads there', async () => {
	const { collection } = storage;
	await storage.release('a', '1991', 45);
	await storage.release('b', '1992', 90);
	await storage.log('a', '1-45');
	await storage.log('b', '1-89');
	await standAsPlanned(collection, CHOICE);
	expect(await boxes()).toEqual(['Long box 1 [A 1991 / 1, B 1992 / 1]', 'A 1991 []', 'B 1992 []']);
	const [host, small] = await readBoxes(collection.db);
	if (!host || !small) throw new RangeError('no boxes');
	// 25 mm and 48 mm of the row; its weight is that of all that is in it.
	expect(host.rows[0]).toMatchObject({ usedUm: 73_000, cards: 0 });
	expect(host.grams).toBeCloseTo(620 + 7 + 10 + 134 * 1.8, 0);
	expect(small).toMatchObject({ cards: 45, rows: [{ usedUm: Math.round(45 * STOCK_UM) }] });
	// What stands in a box stands on no shelf by itself, and is not advised to move.
	const room = await readRoom(collection.db);
	expect(room.loose.map(({ name }) => name)).toEqual(['Long box 1']);
	await storage.release('c', '1990', 40);
	await storage.log('c', '1-40');
	const plan = await planStorage(collection.db, storageOptions(CHOICE));
	expect(plan.addedSmall).toMatchObject([{ label: 'C 1990', boxId: host.id, row: 1 }]);
	await standAsPlanned(collection, CHOICE);
	expect((await boxes())[0]).toBe('Long box 1 [A 1991 / 1, B 1992 / 1, C 1990 / 1]');
	await storage.log('b', '90');
	const slip = await makeSlip(collection, 'put away', 'Slip', { of: 'homeless' });
	if (!slip.ok) throw new RangeError(JSON.stringify(slip.problems));
	const made = await readSlip(collection.db, slip.value.id);
	expect(made?.lines[0]?.place).toMatchObject({ box: 'B 1992', shelf: 'in Long box 1, row 1' });
	expect((await storage.counts()).homeless).toBe(1);
});

test('a small box is put into a row by hand, where it goes in; else all that is wrong is told', async () => {
	const { collection } = storage;
	const make = async (name: string, kind: string, inside?: { boxId: BoxId; row: number }) =>
		saveBox(collection, {
			...{ name, kind, use: 'sets', shelfId: null },
			...(inside ? { inside } : {})
		});
	const idOf = async (name: string, kind: string) => {
		const made = await make(name, kind);
		if (!made.ok) throw new RangeError(JSON.stringify(made.problems));
		return made.value.id;
	};
	const host = await idOf('Host', '5000');
	const low = await idOf('Low', '800');
	expect((await make('In', 'small-50', { boxId: host, row: 2 })).ok).toBe(true);
	const [, inner] = await readBoxHeads(collection.db);
	expect(inner).toMatchObject({ name: 'In', shelf: 'in Host, row 2', insideRow: 2 });
	const told = async (kind: string, inside: { boxId: BoxId; row: number }) => {
		const done = await make('New', kind, inside);
		return done.ok ? [] : done.problems.map(({ message }) => message);
	};
	expect(await told('800', { boxId: host, row: 9 })).toEqual([
		'Host has no row 9',
		'Box of 800 is too large for a row of Host'
	]);
	expect(await told('small-50', { boxId: inner?.id ?? host, row: 1 })).toEqual([
		'a box in a box holds no other',
		'Small box of 50 is too large for a row of In',
		'row 1 of In is too full for it'
	]);
	expect((await make('Beside', 'small-100', { boxId: low, row: 1 })).ok).toBe(true);
	// A row of 457 mm takes eighteen of 25 mm.
	for (let i = 1; i < 18; i++) {
		expect((await make(`S${i}`, 'small-50', { boxId: host, row: 2 })).ok, String(i)).toBe(true);
	}
	expect(await told('small-50', { boxId: host, row: 2 })).toEqual([
		'row 2 of Host is too full for it'
	]);
	// Saved again as it is, it is not in its own way.
	const same = { name: 'Again', inside: { boxId: host, row: 2 } };
	expect((await saveBox(collection, same, inner?.id)).ok).toBe(true);
	await removeBox(collection, host);
	expect((await readBoxHeads(collection.db)).filter(({ insideId }) => insideId === host)).toEqual(
		[]
	);
	await undo(collection);
	expect(
		(await readBoxHeads(collection.db)).filter(({ insideId }) => insideId === host)
	).toHaveLength(18);
});
