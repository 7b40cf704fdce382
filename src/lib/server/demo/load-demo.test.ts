import { eq, min } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { withCollection } from '../collection.fixture.ts';
import { readBoxes } from '../storage/room/read-storage.ts';
import { copies, releases } from '../database/tables/index.ts';
import { loadDemo } from './load-demo.ts';
import { listGoals } from '../goals/read-goals.ts';
import { listReleases } from '../releases/list-releases.ts';
import { readSubject } from '../releases/read-subject.ts';

const at = withCollection();

test('the demo is the same every time, fills an empty at.collection only, and is 60 % collected', async () => {
	expect(await loadDemo(at.collection)).toBe(true);
	expect(await loadDemo(at.collection)).toBe(false);
	const [first] = await listGoals(at.collection.db);
	expect(first && Math.round((100 * first.have) / first.need)).toBe(60);
	const [oldest] = await at.collection.db
		.select({ at: min(copies.loggedAt) })
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.where(eq(releases.key, 'harbour-lights-1994'));
	expect(oldest?.at).toBe('1996-02-11T16:00:00.000Z');
	// Two years share a subject; its cards are found over both.
	const both = await readSubject(at.collection.db, 'Quiet Harbour Light');
	expect(both.map(({ releaseKey }) => releaseKey)).toEqual(
		expect.arrayContaining(['harbour-lights-1994', 'harbour-lights-1995'])
	);
	expect(await readSubject(at.collection.db, "x' or 1=1 --")).toEqual([]);
	const summary = (await listReleases(at.collection.db)).map(
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
	const standing = (await readBoxes(at.collection.db)).reduce(
		(sum, { cards: count }) => sum + count,
		0
	);
	expect(Math.round(standing / 1000)).toBe(60);
});
