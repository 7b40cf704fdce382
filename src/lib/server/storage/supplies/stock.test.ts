import { expect, test } from 'vitest';
import { undo } from '../../journal/undo.ts';
import { addKind, removeKind } from '../../kinds/own-kinds.ts';
import { addCopy } from '../../copies/edit-copy.ts';
import { homelessCopies } from '../../places/homeless.ts';
import { readKeeping } from '../../places/keeping.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { setHolders } from '../holders/change-holders.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { addDivider } from '../room/edit-dividers.ts';
import { saveBox } from '../room/edit-boxes.ts';
import { readBoxes } from '../room/read-storage.ts';
import { withStorage } from '../storage.fixture.ts';
import { readLow, setAside, setStock, STOCK } from './stock.ts';

const storage = withStorage();
const counts = async () =>
	Object.fromEntries(
		Object.entries(await readPreference(storage.collection.db, STOCK)).map(([key, { count }]) => [
			key,
			count
		])
	);

test('boxes, dividers and holders run down as plans and slips use them; undo brings them back; the low are told', async () => {
	const { collection } = storage;
	await storage.release('a', '1992', 40);
	await storage.release('b', '1993', 40);
	await storage.log('a', '1-20');
	await storage.log('b', '1-10');
	const stocked = new Map([
		['box:5000', { count: 2, least: 2 }],
		['box-divider', { count: 9 }],
		['holder:top-loader-35', { count: 4, least: 3 }]
	]);
	expect((await setStock(collection, stocked)).ok).toBe(true);
	expect(await readLow(collection.db)).toEqual([]);
	await standAsPlanned(collection);
	expect(await counts()).toEqual({ 'box:5000': 1, 'box-divider': 7, 'holder:top-loader-35': 4 });
	expect(await readLow(collection.db)).toMatchObject([{ key: 'box:5000', count: 1, enough: 2 }]);
	const [box] = await readBoxes(collection.db);
	if (!box) throw new RangeError('no box');
	await addDivider(collection, box.id, 2, 'Mine', null);
	await saveBox(collection, { name: 'New', kind: '5000', use: 'sets', shelfId: null });
	expect(await counts()).toMatchObject({ 'box:5000': 0, 'box-divider': 6 });
	await undo(collection);
	await undo(collection);
	expect(await counts()).toMatchObject({ 'box:5000': 1, 'box-divider': 7 });
	expect((await setStock(collection, new Map([['box:none', { count: 1 }]]))).ok).toBe(false);
	expect((await setAside(collection, 'top-loader-35', 5)).ok).toBe(false);
	expect((await setAside(collection, 'sleeve', 1)).ok).toBe(false);
	// What is added to six digits is kept, and with it all the rest.
	const many = new Map([['scuffed:top-loader-35', { count: 999_999 }]]);
	await setStock(collection, many);
	expect((await setAside(collection, 'top-loader-35', 2)).ok).toBe(true);
	expect(await counts()).toMatchObject({ 'scuffed:top-loader-35': 1_000_001, 'box:5000': 1 });
	await undo(collection);
	await undo(collection);
	expect((await setAside(collection, 'top-loader-35', 3)).ok).toBe(true);
	expect(await counts()).toMatchObject({ 'holder:top-loader-35': 1, 'scuffed:top-loader-35': 3 });
});

test('a holder of one’s own is chosen, kept in, counted, and not taken away while a copy is in it', async () => {
	const { collection } = storage;
	await storage.release('a', '1926', 3, { widthMm: 38, heightMm: 60 });
	const kind = {
		...({ name: 'Strip loader', sort: 'top-loader', isRigid: true, takes: 'sleeved' } as const),
		...{ takesPt: 55, innerWidthMm: 40, innerHeightMm: 62, addsUm: 1500, addsG: 5 }
	};
	const added = await addKind(collection, { sort: 'holder', kind });
	if (!added.ok) throw new RangeError('not added');
	const { key } = added.value;
	const unknown = await addCopy(collection, 'a/base-1', { holder: 'own-none' });
	expect(unknown).toMatchObject({ ok: false, problems: [{ field: 'holder' }] });
	const logged = await addCopy(collection, 'a/base-1', { valueMinor: 500, currency: 'EUR' });
	if (!logged.ok) throw new RangeError('not logged');
	await setStock(collection, new Map([[`holder:${key}`, { count: 1 }]]));
	const moved = await setHolders(collection, [{ copyId: logged.value.id, to: key }]);
	expect(moved.ok).toBe(true);
	expect(await counts()).toEqual({ [`holder:${key}`]: 0 });
	const [copy] = await homelessCopies(collection.db, await readKeeping(collection.db));
	expect(copy).toMatchObject({ use: 'valuables', um: 457.2 + 1500 });
	expect(await removeKind(collection, 'holder', key)).toMatchObject({
		ok: false,
		problems: [{ message: 'a copy is in it' }]
	});
	await undo(collection);
	expect((await removeKind(collection, 'holder', key)).ok).toBe(true);
});
