import { describe, expect, test } from 'vitest';
import { answerDiscrepancy } from './answer-discrepancy.ts';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { checkDivider, listDiscrepancies } from './stock-take.ts';
import { withStorage } from '../storage.fixture.ts';
import { rowId } from '../../../core/row-id.ts';

const storage = withStorage();

describe('stock-take', () => {
	test('differences become questions, and each answer does what it says', async () => {
		await storage.release('a', '1992', 40);
		await storage.log('a', '1-10');
		await standAsPlanned(storage.collection);
		// Doubles that stand with the set, as a person put them.
		await storage.log('a', '4 4');
		await storage.stand('A 1992', rowId(4), 2);
		await storage.log('a', '20');
		const { id } = await storage.dividerOf('A 1992');
		// 4 stands for all three; 9 is not there; 20 and 21 are not recorded.
		expect(await checkDivider(storage.collection, id, 'a', '1-8 10 20 21')).toMatchObject({
			value: { notThere: 1, notRecorded: 2 }
		});
		const open = await listDiscrepancies(storage.collection.db);
		const idOf = (version: string) =>
			open.find((question) => question.version === version)?.id ?? rowId<'discrepancies'>(0);
		// 21 has no copy anywhere: it cannot be one that had another place.
		const none = await answerDiscrepancy(storage.collection, idOf('a/base-21'), 'h');
		expect(none).toMatchObject({ ok: false });
		expect(await listDiscrepancies(storage.collection.db)).toHaveLength(3);
		await answerDiscrepancy(storage.collection, idOf('a/base-9'), 'o');
		await answerDiscrepancy(storage.collection, idOf('a/base-20'), 'h');
		await answerDiscrepancy(storage.collection, idOf('a/base-21'), 'l');
		expect(await listDiscrepancies(storage.collection.db)).toEqual([]);
		expect(await storage.rows()).toEqual(['Long box 1 / 1: A 1992 1 2 3 4x3 5 6 7 8 10 20 21']);
		// 9 has no place; 20 had none; 21 is new.
		expect(await storage.counts()).toEqual({ standing: 13, homeless: 1 });
		expect((await storage.dividerOf('A 1992')).checkedAt).toBe('1996-10-06T09:00:00.000Z');
	});

	test('a count of two or more is taken at its word; a misread line changes nothing', async () => {
		await storage.release('a', '1992', 40);
		await storage.log('a', '1 2 3');
		await standAsPlanned(storage.collection);
		await storage.log('a', '1x2');
		await storage.stand('A 1992', rowId(1), 2);
		const { id } = await storage.dividerOf('A 1992');
		expect(await checkDivider(storage.collection, id, 'a', '1x2 2-3')).toMatchObject({
			value: { notThere: 1, notRecorded: 0 }
		});
		expect(await checkDivider(storage.collection, id, 'a', '1 zebra')).toMatchObject({ ok: false });
		expect(await listDiscrepancies(storage.collection.db)).toHaveLength(1);
		// All there after all: the earlier questions are dropped.
		await checkDivider(storage.collection, id, null, null);
		expect(await listDiscrepancies(storage.collection.db)).toEqual([]);
	});
});
