import { sql } from 'drizzle-orm';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { logLine } from '../src/lib/server/copies/log.ts';
import type { Collection } from '../src/lib/server/database/open.ts';
import { openCollection } from '../src/lib/server/upkeep/open-collection.ts';
import { makeGoal } from '../src/lib/server/goals/make-goal.ts';
import { search } from '../src/lib/server/search/search.ts';
import { readSettings } from '../src/lib/server/database/settings.ts';
import { benchPile } from './bench-pile.ts';
import { fillCollection } from './fill-collection.ts';
import { median } from './median.ts';

const RELEASES = 3000;
const CARDS = 84;

/** Search and log at half a million copies, beside raw SQLite in the same file. */
export async function benchCollection(): Promise<void> {
	const folder = mkdtempSync(join(tmpdir(), 'jade-bench-'));
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	try {
		await fillCollection(collection, RELEASES, CARDS);
		const { db } = collection;
		await makeGoal(collection, {
			release: 'r-500',
			name: 'G',
			rules: { preset: 'complete' }
		});
		console.log(`${RELEASES * CARDS * 2} copies in ${RELEASES} releases; medians of 15`);
		const baseline = await median(async (i) => {
			await collection.write(async (tx) => {
				await tx.run(
					sql`insert into copies (release_id, card_key, quantity, logged_at) values (1, ${`base-${i + 1}`}, 1, 't')`
				);
			});
		});
		const tell = (name: string, ms: number) =>
			console.log(
				`  ${name.padEnd(34)} ${ms.toFixed(2).padStart(8)} ms  × ${(ms / baseline).toFixed(1)}`
			);
		tell('raw insert and commit', baseline);
		tell('log one card, goal kept up', await median((i) => line(collection, 'r-500', `${i + 1}`)));
		tell('log "1-40", goal kept up', await median(() => line(collection, 'r-500', '1-40')));
		for (const text of ['keeper 27', 'harbour 500 12', 'long box 7', 'k', 'harbour']) {
			tell(`search "${text}"`, await median(() => search(db, text)));
		}
		await benchPile(collection);
	} finally {
		await collection.close();
		rmSync(folder, { recursive: true, force: true });
	}
}

const line = (collection: Collection, release: string, text: string) =>
	logLine(collection, release, { line: text, numbering: null, parallel: null });
