import { expect, test } from 'vitest';
import { standAsPlanned } from '../plan/stand-as-planned.ts';
import { withStorage } from '../storage.fixture.ts';
import { labelTexts, LABEL_SORTS } from './label-texts.ts';
import { countLabels, previewLabels } from './preview-labels.ts';
import { readBoxIds } from './read-box-ids.ts';
import { rowId } from '../../../core/row-id.ts';

const storage = withStorage();

test.each([
	['', []],
	['box=', []],
	['box=7&box=2&box=7', [7, 2]],
	['box=0&box=x&box=-1&box=1.5&box=1e3', []]
])('the boxes of the query "%s"', (query, ids) => {
	expect(readBoxIds(new URLSearchParams(query))).toEqual(ids);
});

test('what is shown first is what all labels begin with, and they are counted without their texts', async () => {
	for (const key of ['a', 'b', 'c']) {
		await storage.release(key, '1992', 400);
		await storage.log(key, '1-390');
	}
	await standAsPlanned(storage.collection);
	const { db } = storage.collection;
	for (const sort of LABEL_SORTS) {
		for (const ids of [[], [2], [1, 3], [999]]) {
			const boxIds = ids.map((id) => rowId<'boxes'>(id));
			const choice = { sort, boxIds, address: 'http://h', date: '1996-10-06' };
			const all = await labelTexts(db, choice);
			expect(await countLabels(db, choice), `${sort} ${boxIds.join()}`).toBe(all.length);
			expect(await previewLabels(db, choice, 2)).toEqual(all.slice(0, 2));
		}
	}
});
