import { rowId } from '../src/lib/core/row-id.ts';
import { sql } from 'drizzle-orm';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { makeSlip } from '../src/lib/server/storage/slips/change-slips.ts';
import { planStorage } from '../src/lib/server/storage/plan/plan-storage.ts';
import { readBoxes } from '../src/lib/server/storage/room/read-storage.ts';
import { readSlip } from '../src/lib/server/storage/slips/slips.ts';
import { standAsPlanned } from '../src/lib/server/storage/plan/stand-as-planned.ts';
import { openCollection } from '../src/lib/server/upkeep/open-collection.ts';
import { readSettings } from '../src/lib/server/database/settings.ts';
import { fillCollection } from './fill-collection.ts';
import { median } from './median.ts';

const RELEASES = 3000;
const CARDS = 56;

/** Boxes for half a million cards in 3,000 releases out of the database, beside a raw sum over the same rows. */
export async function benchStorage(): Promise<void> {
	const folder = mkdtempSync(join(tmpdir(), 'jade-bench-'));
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	try {
		await fillCollection(collection, RELEASES, CARDS);
		const { db } = collection;
		console.log(
			`\n${RELEASES * CARDS * 3} cards in ${RELEASES} releases; medians of 15, but for standing`
		);
		const baseline = await median(() =>
			db.all(sql`select release_id, sum(quantity) from copies group by release_id`)
		);
		const tell = (name: string, ms: number) =>
			console.log(
				`  ${name.padEnd(34)} ${ms.toFixed(2).padStart(8)} ms  × ${(ms / baseline).toFixed(1)}`
			);
		tell('raw sum by release', baseline);
		const once = async (name: string, run: () => Promise<unknown>) => {
			const start = performance.now();
			await run();
			tell(`${name} (once)`, performance.now() - start);
		};
		await once('plan all boxes', () => planStorage(db));
		await once('stand them, journalled', () => standAsPlanned(collection));
		tell('the room: all boxes', await median(() => readBoxes(db)));
		await db.run(
			sql`insert into copies (release_id, card_key, quantity, logged_at) select 1 + value % ${RELEASES}, 'base-' || (1 + value % ${CARDS}), 1, 't' from json_each(${JSON.stringify(Array.from({ length: 1000 }, (_, i) => i * 3))})`
		);
		await once('plan what came since', () => planStorage(db));
		await once('make a slip of it', () =>
			makeSlip(collection, 'put away', 'Bench', { of: 'homeless' })
		);
		tell('put-away slip of 1,000 cards', await median(() => readSlip(db, rowId(1))));
	} finally {
		await collection.close();
		rmSync(folder, { recursive: true, force: true });
	}
}
