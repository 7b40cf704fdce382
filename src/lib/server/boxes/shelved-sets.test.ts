import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { planBoxes } from '../../core/boxes/plan-boxes.ts';
import { weighBoxes } from '../../core/boxes/weigh-boxes.ts';
import { resolveRelease } from '../../core/checklist/resolve-release.ts';
import { makeBinder } from '../binders/change-binder.ts';
import { lieAsPlanned } from '../binders/move-cards.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { logLine } from '../copies/log.ts';
import { openCollection, type Collection } from '../database/open.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { importRelease } from '../releases/import-release.ts';
import { readSettings } from '../settings.ts';
import { shelvedSets } from './shelved-sets.ts';

let folder: string;
let collection: Collection;

beforeEach(async () => {
	folder = mkdtempSync(join(tmpdir(), 'jade-boxes-'));
	collection = await openCollection(readSettings({ JADE_DATA: folder }));
	const outcome = resolveRelease({
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				format: { stockPt: 15 },
				cards: Array.from({ length: 20 }, (_, i) => ({ number: String(i + 1), title: `${i + 1}` }))
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	await importRelease(collection, outcome.value);
});
afterEach(() => {
	collection.close();
	rmSync(folder, { recursive: true, force: true });
});

test('what is here counts, but for what lies in binders, has its own place, or is on its way', async () => {
	expect(await shelvedSets(collection.db)).toMatchObject([{ cards: 0, need: 20, have: 0 }]);
	const entry = { numbering: null, parallel: null } as const;
	await logLine(collection, 'r', { line: '1-6x2', ...entry });
	await addCopy(collection, 'r/base-7', { place: 'Bank box' });
	await addCopy(collection, 'r/base-8', { status: 'incoming' });
	await addCopy(collection, 'r/base-9', { status: 'to sell' });
	const [set] = await shelvedSets(collection.db);
	expect(set).toMatchObject({ key: 'r', cards: 13, need: 20, have: 7, stockPt: 15 });

	// A goal of one card each: six of the twelve lie in its binder, and the one to sell does not.
	await makeGoal(collection, { release: 'r', rules: { preset: 'complete' }, name: '' });
	const binder = (await makeBinder(collection, { goalId: 1, name: 'B' })) ?? 0;
	await lieAsPlanned(collection, binder);
	const sets = await shelvedSets(collection.db);
	expect(sets).toMatchObject([{ cards: 7, need: 14, have: 1 }]);

	const { boxes } = planBoxes(sets);
	const [weighed] = weighBoxes(boxes, sets);
	// ● 1.8 g a standard card, of 15 pt stock 1.5 g; the long box itself 620 g.
	expect(weighed).toMatchObject({ box: 1, cards: 7, grams: Math.round(620 + 7 * 1.5) });
});
