import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach } from 'vitest';
import { resolveRelease } from '../core/checklist/draft/resolve-release.ts';
import type { Release } from '../core/checklist/release.ts';
import { logLine } from './copies/log.ts';
import { countOwned, readCopies } from './copies/read-copies.ts';
import type { Collection } from './database/open.ts';
import { startRemote, type RemoteStandIn } from './database/remote.fixture.ts';
import { readSettings } from './database/settings.ts';
import { listGoals } from './goals/read-goals.ts';
import { loadRelease } from './releases/load-release.ts';
import { openCollection } from './upkeep/open-collection.ts';

const NOW = '1996-10-05T18:30:00.000Z';
/** The demo takes its time on a busy machine. */
const LONGEST_MS = 90_000;

let template: Promise<Buffer> | undefined;

/** An empty collection as a file, made once: to go through all migrations takes longer than most tests. */
const emptyCollection = () => (template ??= fileOf(() => Promise.resolve()));

/** A collection as a file, with what `fill` puts in. */
export async function fileOf(fill: (collection: Collection) => Promise<unknown>): Promise<Buffer> {
	const folder = mkdtempSync(join(tmpdir(), 'jade-file-'));
	const collection = await openCollection(readSettings({ JADE_DATA: folder, JADE_NOW: NOW }));
	await fill(collection);
	await collection.close();
	const file = readFileSync(join(folder, 'jade.db'));
	rmSync(folder, { recursive: true });
	return file;
}

/** With `JADE_TEST_REMOTE=1` the tests of the server ask a stand-in for a remote database (`npm run test:remote`). */
const IS_REMOTE = process.env.JADE_TEST_REMOTE === '1';

/** For tests: before each, an empty collection, or that of a file, in a folder of its own. Its clock may be set. */
export function withCollection(readFile: () => Promise<Buffer> = emptyCollection) {
	let folder = '';
	let opened: Collection | undefined;
	let remote: RemoteStandIn | undefined;
	let now = NOW;
	const open = async (): Promise<Collection> => ({
		...(await openCollection(
			readSettings({ JADE_DATA: folder, ...(remote ? { DATABASE_URL: remote.url } : {}) })
		)),
		now: () => now
	});
	const collection = () => {
		if (!opened) throw new RangeError('withCollection: it is open within tests only');
		return opened;
	};

	beforeEach(async () => {
		folder = mkdtempSync(join(tmpdir(), 'jade-test-'));
		writeFileSync(join(folder, 'jade.db'), await readFile());
		if (IS_REMOTE) remote = await startRemote(join(folder, 'jade.db'));
		opened = await open();
	}, LONGEST_MS);
	afterEach(async () => {
		await opened?.close();
		await remote?.close();
		rmSync(folder, { recursive: true, force: true });
	});

	return {
		get collection() {
			return collection();
		},
		set now(moment: string) {
			now = moment;
		},
		/** Closes the collection and opens it again, as a restart does. */
		async reopen(): Promise<void> {
			await opened?.close();
			opened = await open();
		},
		/** Logs a line against a release, usually `sampleRelease`. */
		line: (
			text: string,
			{
				release = 'r',
				...rest
			}: { release?: string; parallel?: string; condition?: 'mint' | 'poor' } = {}
		) => logLine(collection(), release, { line: text, numbering: null, parallel: null, ...rest }),
		/** Version key → copies of `sampleRelease`. */
		async owned(): Promise<Record<string, number>> {
			const { db } = collection();
			const stored = await loadRelease(db, 'r');
			return stored ? Object.fromEntries(countOwned(await readCopies(db, stored.id))) : {};
		},
		/** "have/need" of each goal. */
		totals: async () =>
			(await listGoals(collection().db)).map(({ have, need }) => `${have}/${need}`)
	};
}

const cards = (from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({
		number: String(from + i),
		title: `Card ${from + i}`
	}));

/** Base 1–20 with the subset 21–25, odds, a parallel of /120. */
export function sampleRelease(): Release {
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994', note: 'n' },
		packTypes: [{ name: 'Hobby', packsPerBox: 36, cardsPerPack: 10 }],
		sections: [
			{
				name: 'Base',
				cards: cards(1, 20),
				series: [{ name: 'I', from: '1', to: '25' }],
				odds: { hobby: '9:1' }
			},
			{ name: 'Sub', kind: 'subset', numberedIn: 'base', cards: cards(21, 25) }
		],
		parallels: [{ name: 'Brass', runs: [{ sections: ['base'], printRun: 120 }] }]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
