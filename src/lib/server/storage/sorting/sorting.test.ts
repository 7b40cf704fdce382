import { expect, test } from 'vitest';
import { undo } from '../../journal/undo.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { preferences } from '../../database/tables/index.ts';
import { HOLDER_RULES } from '../../places/holder-tiers.ts';
import { readKeeping } from '../../places/keeping.ts';
import {
	forgetMeasures,
	saveSortingSlip,
	SORTING_MEASURES,
	SORTING_SLIP,
	type SortingSlip
} from './sorting.ts';
import { withStorage } from '../storage.fixture.ts';

const storage = withStorage();
const slip: SortingSlip = {
	release: 'a',
	cards: 300,
	way: 'passes',
	steps: [
		{ piles: 7, seconds: 12.5, startedAt: null, isDone: true },
		{ piles: 6, seconds: 0, startedAt: '1996-10-06T09:00:00.000Z', isDone: false }
	]
};

test('a sorting slip is kept with its timers, measures add up, and undo takes either back', async () => {
	const { collection } = storage;
	expect(await readPreference(collection.db, SORTING_SLIP)).toBeNull();
	await saveSortingSlip(collection, slip, null);
	const pass = { cards: 300, piles: 7, seconds: 400 };
	await saveSortingSlip(collection, slip, pass);
	await saveSortingSlip(collection, slip, { ...pass, piles: 6 });
	expect(await readPreference(collection.db, SORTING_SLIP)).toEqual(slip);
	expect(await readPreference(collection.db, SORTING_MEASURES)).toEqual([
		pass,
		{ ...pass, piles: 6 }
	]);
	await undo(collection);
	expect(await readPreference(collection.db, SORTING_MEASURES)).toEqual([pass]);
	await saveSortingSlip(collection, null, null);
	expect(await readPreference(collection.db, SORTING_SLIP)).toBeNull();
	await forgetMeasures(collection);
	expect(await readPreference(collection.db, SORTING_MEASURES)).toEqual([]);
});

test('a preference that another program stored in another form counts as not set', async () => {
	const { collection } = storage;
	await collection.write((tx) =>
		tx.insert(preferences).values([
			{ key: SORTING_MEASURES.key, value: [{ cards: 'many' }] },
			{ key: HOLDER_RULES.key, value: { tiers: [] } }
		])
	);
	expect(await readPreference(collection.db, SORTING_MEASURES)).toEqual([]);
	expect(await readPreference(collection.db, HOLDER_RULES)).toEqual(HOLDER_RULES.usual);
	// ● From 1 on a card is kept in a top loader. Common practice, no source.
	const { useOf } = await readKeeping(collection.db);
	const worth = (valueMinor: number) => useOf({ card: { valueMinor }, holder: null }).use;
	expect([worth(99), worth(100)]).toEqual(['sets', 'valuables']);
});
