import { eq, min } from 'drizzle-orm';
import { readBoxes } from '../storage/room/read-storage.ts';
import { copies, releases } from '../database/tables/index.ts';
import { listGoals } from '../goals/read-goals.ts';
import { readSubject } from '../releases/read-subject.ts';
import { expect, test } from 'vitest';
import { formatChecklistJson, readChecklistJson } from '../../formats/checklist-json.ts';
import { readHoldings } from '../../formats/read-holdings.ts';
import { importRelease } from '../checklists/import-release.ts';
import { fileOf, withCollection } from '../collection.fixture.ts';
import type { Reader } from '../database/open.ts';
import { exportHoldingsCsv } from '../holdings/export-holdings.ts';
import { importHoldings } from '../holdings/import-holdings.ts';
import { listReleases } from '../releases/list-releases.ts';
import { loadRelease } from '../releases/load-release.ts';
import { exportKnowledge } from '../knowledge/export-knowledge.ts';
import { openKnowledge } from '../knowledge/look-at-knowledge.ts';
import { readMine } from '../knowledge/read-mine.ts';
import { takeInKnowledge } from '../knowledge/take-in-knowledge.ts';
import { loadDemo } from './load-demo.ts';

/** Loaded once: it takes longer than what is asked of it. */
let demo: Promise<Buffer> | undefined;
const demoFile = () => (demo ??= fileOf(async (empty) => expect(await loadDemo(empty)).toBe(true)));

const from = withCollection(demoFile);
const to = withCollection();

async function holdings(db: Reader): Promise<string> {
	let text = '';
	for (let next: number | null = 0; next !== null;) {
		const part = await exportHoldingsCsv(db, next);
		text += part.text;
		({ next } = part);
	}
	return text;
}
const lines = (text: string) => text.trim().split('\r\n').sort();

test('the demo is the same every time, fills an empty collection only, and is 60 % collected', async () => {
	expect(await loadDemo(from.collection)).toBe(false);
	const [first] = await listGoals(from.collection.db);
	expect(first && Math.round((100 * first.have) / first.need)).toBe(60);
	const [oldest] = await from.collection.db
		.select({ at: min(copies.loggedAt) })
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.where(eq(releases.key, 'harbour-lights-1994'));
	expect(oldest?.at).toBe('1996-02-11T16:00:00.000Z');
	// Two years share a subject; its cards are found over both.
	const both = await readSubject(from.collection.db, 'Quiet Harbour Light');
	expect(both.map(({ releaseKey }) => releaseKey)).toEqual(
		expect.arrayContaining(['harbour-lights-1994', 'harbour-lights-1995'])
	);
	expect(await readSubject(from.collection.db, "x' or 1=1 --")).toEqual([]);
	const summary = (await listReleases(from.collection.db)).map(
		({ key, cards: count, parallels }) => `${key} ${count} ${parallels}`
	);
	// design.md §4: 240 base, inserts of 15, 10 and 12, nine stickers, three foils; 270; 5 × 16 and 40 panels; 96.
	expect(summary).toEqual(
		expect.arrayContaining([
			'tidewater-strips-1926 60 0',
			'regatta-almanac-1948 120 0',
			'moths-of-the-lamp 25 0',
			'harbour-lights-1994 289 3',
			'harbour-lights-1995 279 4',
			'the-drowned-bell 97 0',
			'brine-and-beacon 96 0',
			'signal-year-2019 280 5'
		])
	);
	// And the basement: 45 older sets, some 60,000 cards in boxes.
	expect(summary).toHaveLength(8 + 45);
	const standing = (await readBoxes(from.collection.db)).reduce(
		(sum, { cards: count }) => sum + count,
		0
	);
	expect(Math.round(standing / 1000)).toBe(60);
});

test('the whole demo goes out in open formats and comes in again: checklists, holdings, knowledge', async () => {
	const heads = await listReleases(from.collection.db);
	for (const { key } of heads) {
		const stored = await loadRelease(from.collection.db, key);
		if (!stored) throw new RangeError(key);
		const text = formatChecklistJson(stored.release);
		const read = readChecklistJson(text);
		if (!read.ok) throw new RangeError(JSON.stringify(read.problems));
		expect(await importRelease(to.collection, read.value)).toMatchObject({ ok: true });
		const again = await loadRelease(to.collection.db, key);
		expect(again && formatChecklistJson(again.release)).toBe(text);
	}

	const csv = await holdings(from.collection.db);
	const { outcome } = await readHoldings(new TextEncoder().encode(csv));
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems.slice(0, 5)));
	const taken = await importHoldings(to.collection, 'all', outcome.value, {});
	expect(taken.unmatched).toBe(0);
	const [before, after] = [lines(csv), lines(await holdings(to.collection.db))];
	const known = new Set(after);
	expect(before.filter((line) => !known.has(line)).slice(0, 10)).toEqual([]);
	expect(after).toEqual(before);

	for (const { key } of heads) {
		const ask = { release: key, from: 'M', hasPictures: true, hasPrices: true, on: '1996-10-06' };
		const file = await exportKnowledge(from.collection.db, ask);
		if (!file) throw new RangeError(key);
		const { db } = to.collection;
		const opened = await openKnowledge(db, file, (stored) => readMine(db, stored));
		if (!opened.ok) throw new RangeError(JSON.stringify(opened.problems));
		const ids = opened.value.differences.map(({ id }) => id);
		const done = await takeInKnowledge(to.collection, file, new Set(ids), '');
		expect(done, key).toMatchObject({ ok: true, value: { taken: ids.length, left: 0 } });
		const again = await openKnowledge(db, file, (stored) => readMine(db, stored));
		expect(again.ok && again.value.differences, key).toEqual([]);
	}
});
