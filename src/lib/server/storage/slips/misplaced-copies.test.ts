import { sql } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { setStorageClasses } from '../../preferences/storage-classes.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { withStorage } from '../storage.fixture.ts';
import { misplacedCopies } from './misplaced-copies.ts';

const storage = withStorage();

test('what stands in another box than its class or tier has now is found, and nothing else', async () => {
	const { collection } = storage;
	await storage.release('a', '1992', 40);
	await storage.log('a', '1-9, 10 brass');
	await standAsPlanned(collection);
	const numbers = async () => (await misplacedCopies(collection.db, 99)).length;
	expect(await numbers()).toBe(0);
	// Two are worth a tier by now, one is to be sold.
	await collection.write((tx) =>
		tx.run(sql`update copies set value_minor = 2500 where card_key in ('base-1', 'base-2')`)
	);
	await collection.write((tx) =>
		tx.run(sql`update copies set status = 'to sell' where card_key = 'base-3'`)
	);
	expect(await numbers()).toBe(3);
	expect(await misplacedCopies(collection.db, 2)).toHaveLength(2);
	await setStorageClasses(collection, [{ name: 'Brass', where: { finishes: ['Brass'] } }]);
	// Of what is to be sold no class says anything now; the brass one has its own.
	expect(await numbers()).toBe(3);
	await setStorageClasses(collection, [{ name: 'sets', where: {} }]);
	expect(await numbers()).toBe(0);
});
