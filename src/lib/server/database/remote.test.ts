import { sum } from 'd3-array';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease } from '../collection.fixture.ts';
import { logLine } from '../copies/log.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import { recentSteps, undo } from '../journal/undo.ts';
import { loadRelease } from '../releases/load-release.ts';
import { openCollection } from '../upkeep/open-collection.ts';
import type { Collection } from './open.ts';
import { startRemote, type RemoteStandIn } from './remote.fixture.ts';
import { readSettings } from './settings.ts';
import { whyUnwritten } from './why-unwritten.ts';

let folder = '';
let remote: RemoteStandIn;
let collection: Collection;

beforeEach(async () => {
	folder = mkdtempSync(join(tmpdir(), 'jade-remote-'));
	remote = await startRemote(join(folder, 'club.db'), 1);
	collection = await openCollection(readSettings({ JADE_DATA: folder, DATABASE_URL: remote.url }));
	await importRelease(collection, sampleRelease());
});
afterEach(async () => {
	await collection.close();
	await remote.close();
	rmSync(folder, { recursive: true, force: true });
});

const log = (line: string) => logLine(collection, 'r', { line, numbering: null, parallel: null });
const owned = async () => {
	const stored = await loadRelease(collection.db, 'r');
	const counts = stored ? countOwned(await readCopies(collection.db, stored.id)) : [];
	return sum([...counts].map(([, count]) => count));
};
async function requestsOf(work: () => Promise<unknown>): Promise<number> {
	const before = remote.requests();
	await work();
	return remote.requests() - before;
}

test('a change takes as many round trips for twenty cards as for one, and few', async () => {
	await log('1');
	const single = await requestsOf(() => log('2'));
	const twenty = await requestsOf(() => log('3-22'));
	expect(twenty).toBe(single);
	expect(await requestsOf(() => undo(collection))).toBeLessThanOrEqual(single);
	// A transaction asks and writes by turns: each question is a round trip.
	expect(single).toBeLessThanOrEqual(40);
});

test('wherever in a change the connection breaks, the change is made whole or not at all, and the next one goes on', async () => {
	let told = 0;
	const needed = await requestsOf(() => log('1'));
	// Each place by command (JADE_FUZZ_RUNS), the first, the last and some between them else.
	const step = process.env.JADE_FUZZ_RUNS ? 1 : 6;
	for (let n = 1; n <= needed; n += n + step > needed && n < needed ? needed - n : step) {
		const before = await owned();
		const steps = (await recentSteps(collection.db, 100)).length;
		remote.breakAt(n);
		const outcome = await log('7').catch((error: unknown) => error as Error);
		// A change that took fewer requests was not broken.
		remote.breakAt(Infinity);
		const isMade = !(outcome instanceof Error) && outcome.ok;
		// Only what says goodbye may go unheard.
		if (outcome instanceof Error)
			expect(whyUnwritten(outcome)?.status, `request ${n} of ${needed}`).toBe(503);
		const [cards, journalled] = [
			(await owned()) - before,
			(await recentSteps(collection.db, 100)).length - steps
		];
		// The commit may have come through, and its answer not.
		expect(
			isMade ? [1] : [0, 1],
			`request ${n} of ${needed}: ${JSON.stringify(outcome)}`
		).toContain(cards);
		expect(journalled).toBe(cards);
		told += isMade ? 0 : 1;
	}
	expect(told).toBeGreaterThan(needed / step / 2);
	expect(await log('20')).toMatchObject({ ok: true });
});

test('two servers on one database wait for each other, and lose nothing', async () => {
	const settings = readSettings({ JADE_DATA: folder, DATABASE_URL: remote.url });
	const other = await openCollection(settings);
	const done = await Promise.all(
		Array.from({ length: 20 }, (_, i) =>
			logLine(i % 2 ? collection : other, 'r', {
				...{ line: String(i + 1), numbering: null, parallel: null }
			})
		)
	);
	expect(done.every(({ ok }) => ok)).toBe(true);
	expect(await owned()).toBe(20);
	await other.close();
});

test('a database that is not reached at start is told in words', async () => {
	const gone = await startRemote(join(folder, 'gone.db'));
	await gone.close();
	const settings = readSettings({ JADE_DATA: folder, DATABASE_URL: gone.url });
	await expect(openCollection(settings)).rejects.toMatchObject({
		name: 'StartProblem',
		message: expect.stringContaining('not reached') as string
	});
});
