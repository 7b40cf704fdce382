import { expect, test } from 'vitest';
import { readHoldings } from '../../formats/read-holdings.ts';
import { withStorage } from '../storage/storage.fixture.ts';
import { exportHoldingsCsv, exportHoldingsXlsx } from './export-holdings.ts';

const storage = withStorage();

test('however small its parts are, the file is the same, and holds what the workbook holds', async () => {
	const { collection } = storage;
	for (const [key, cards] of [
		['a', 3],
		['b', 12],
		['c', 5],
		['d', 1]
	] as const) {
		await storage.release(key, '1992', 12);
		if (key !== 'd') await storage.log(key, `1-${cards} 1`);
	}
	const { db } = collection;
	const files: string[] = [];
	for (const atOnce of [1, 5, 13, 10_000]) {
		let file = '';
		let parts = 0;
		for (let from: number | null = 0; from !== null; parts++) {
			const part = await exportHoldingsCsv(db, from, atOnce);
			file += part.text;
			from = part.next;
		}
		expect(parts).toBe(atOnce === 1 ? 3 : atOnce === 10_000 ? 1 : 2);
		files.push(file);
	}
	expect(new Set(files).size).toBe(1);
	const workbook = await exportHoldingsXlsx(db);
	const { outcome: read } = await readHoldings(new TextEncoder().encode(files[0]));
	const { outcome: other } = await readHoldings(workbook.ok ? workbook.value : new Uint8Array());
	expect(read.ok && read.value.length).toBe(3 + 12 + 5);
	expect(read.ok && other.ok && other.value).toEqual(read.ok && read.value);
});

test('nothing owned is a header alone', async () => {
	const { text, next } = await exportHoldingsCsv(storage.collection.db, 0);
	expect(next).toBeNull();
	expect(text.trim().split('\r\n')).toHaveLength(1);
});
