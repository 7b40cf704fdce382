import { sql } from 'drizzle-orm';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { logLine } from '../src/lib/server/copies/log.ts';
import { openCollection, type Collection } from '../src/lib/server/database/open.ts';
import { makeGoal } from '../src/lib/server/goals/make-goal.ts';
import { search } from '../src/lib/server/search/search.ts';
import { readSettings } from '../src/lib/server/settings.ts';

const RELEASES = 1000;
const CARDS = 250;

/** Half a million copies: a thousand releases of 250 cards, two piles of each card. */
async function fill({ db }: Collection): Promise<void> {
	const numbers = JSON.stringify(Array.from({ length: CARDS }, (_, i) => i + 1));
	for (let r = 1; r <= RELEASES; r++) {
		await db.run(
			sql`insert into releases values (${r}, ${`r-${r}`}, ${`Harbour Series ${r}`}, 'M', '1994', null, '[]', '[]')`
		);
		await db.run(
			sql`insert into sections (id, release_id, key, position, name, kind, series, odds) values (${r}, ${r}, 'base', 0, 'Base', 'base', '[]', '[]')`
		);
		await db.run(
			sql`insert into cards (release_id, section_id, key, position, number, title, subjects, marks) select ${r}, ${r}, 'base-' || value, value, value, 'Keeper ' || (value * 7 % 997), '[]', '[]' from json_each(${numbers})`
		);
		await db.run(
			sql`insert into copies (release_id, card_key, quantity, condition, place, logged_at) select ${r}, 'base-' || value, 1, 'good', case when value % 50 = 0 then 'Long box ' || ${r} end, 't' from json_each(${numbers})`
		);
		await db.run(
			sql`insert into copies (release_id, card_key, quantity, condition, logged_at) select ${r}, 'base-' || value, 2, 'mint', 't' from json_each(${numbers})`
		);
	}
}

/** Search and log at half a million copies, beside raw SQLite in the same file. */
export async function benchCollection(): Promise<void> {
	const folder = mkdtempSync(join(tmpdir(), 'jade-bench-'));
	const collection = await openCollection(readSettings({ JADE_DATA: folder }));
	try {
		await fill(collection);
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
	} finally {
		collection.close();
		rmSync(folder, { recursive: true, force: true });
	}
}

const line = (collection: Collection, release: string, text: string) =>
	logLine(collection, release, { line: text, numbering: null, parallel: null });

async function median(run: (i: number) => Promise<unknown>): Promise<number> {
	const times: number[] = [];
	for (let i = 0; i < 16; i++) {
		const start = performance.now();
		await run(i);
		// The first one warms up.
		if (i > 0) times.push(performance.now() - start);
	}
	return times.sort((a, b) => a - b)[7] ?? 0;
}
