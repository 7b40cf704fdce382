import { sql } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { makeAskedSlip } from '../storage/slips/make-asked-slip.ts';
import { standAsPlanned } from '../storage/plan/stand-as-planned.ts';
import { withStorage } from '../storage/storage.fixture.ts';
import { forgetHoused, releasesWithLoose } from './loose-releases.ts';

const storage = withStorage();
const run = (statement: string) =>
	storage.collection.write(async (tx) => void (await tx.run(sql.raw(statement))));
const listed = () => storage.collection.db.all(sql`select release_id as id from loose_releases`);

/** Two releases; of the first a pile of three stands, one card lies in a pocket, one in a drawer, one is on its way. */
async function housed() {
	await storage.release('a', '1992', 9);
	await storage.release('b', '1993', 9);
	await storage.log('a', '1x3');
	await standAsPlanned(storage.collection);
	await storage.log('a', '2 3 4');
	await run("update copies set place = 'drawer' where card_key = 'base-3'");
	await run("update copies set status = 'incoming' where card_key = 'base-4'");
	await run(
		`insert into goals (id, release_id, name, rules, created_at) values (1, 1, 'All', '{"preset":"base"}', '')`
	);
	await run(
		`insert into binders (id, goal_id, name, layout, created_at) values (1, 1, 'Book', '{}', '')`
	);
	await run(
		`insert into binder_pockets (binder_id, pocket, slot_key, copy_id)
			select 1, '1/1/3x3/1', 'x', id from copies where card_key = 'base-2'`
	);
	await storage.collection.write(forgetHoused);
	expect(await listed()).toEqual([]);
}

test.each([
	['a copy more', "update copies set quantity = 4 where card_key = 'base-1'"],
	['what was on its way', "update copies set status = 'kept' where card_key = 'base-4'"],
	['what lay in a drawer', "update copies set place = null where card_key = 'base-3'"],
	['what stood in a box', 'delete from box_cards'],
	['a part of what stood', 'update box_cards set quantity = 2'],
	['what lay in a pocket', 'delete from binder_pockets'],
	[
		'the card that another took the pocket of',
		"update binder_pockets set copy_id = (select id from copies where card_key = 'base-3')"
	]
])('%s is found again after it was forgotten that a card is loose', async (_, statement) => {
	await housed();
	await run(statement);
	expect(await releasesWithLoose(storage.collection.db)).toEqual([1]);
});

test('standing, and a slip asked for in vain, forget what has no loose card; one that has stays', async () => {
	await storage.release('a', '1992', 9);
	await storage.log('a', '1-8');
	expect(await listed()).toEqual([{ id: 1 }]);
	await standAsPlanned(storage.collection);
	expect(await listed()).toEqual([]);
	// A note of a copy houses nothing and frees nothing; a count that is set anew to the same may.
	await run("update copies set note = 'seen' where card_key = 'base-1'");
	expect(await listed()).toEqual([]);
	await run('update copies set quantity = quantity');
	expect(await listed()).toEqual([{ id: 1 }]);
	const asked = { sort: 'put away', of: 'homeless' } as const;
	expect(await makeAskedSlip(storage.collection, asked)).toMatchObject({ ok: false });
	expect(await listed()).toEqual([]);
	await storage.log('a', '9');
	expect(await makeAskedSlip(storage.collection, asked)).toMatchObject({ ok: true });
	expect(await listed()).toEqual([{ id: 1 }]);
});
