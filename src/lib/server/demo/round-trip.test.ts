import { expect, test } from 'vitest';
import { formatChecklistJson, readChecklistJson } from '../../formats/checklist-json.ts';
import { readHoldings } from '../../formats/read-holdings.ts';
import { importRelease } from '../checklists/import-release.ts';
import { withCollection } from '../collection.fixture.ts';
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

const from = withCollection();
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

test('the whole demo goes out in open formats and comes in again: checklists, holdings, knowledge', async () => {
	await loadDemo(from.collection);
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
