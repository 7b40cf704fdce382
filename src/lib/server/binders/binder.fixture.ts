import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach } from 'vitest';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { logLine } from '../copies/log.ts';
import type { Collection } from '../database/open.ts';
import { openCollection } from '../upkeep/open-collection.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { importRelease } from '../checklists/import-release.ts';
import { readSettings } from '../database/settings.ts';
import { makeBinder } from './change-binder.ts';
import { moveSlip } from './move-slip.ts';
import { readBinder } from './read-binder.ts';
import { type BinderId, rowId } from '../../core/row-id.ts';

/**
 * For tests: before each, a release of six cards with a parallel, its base as a goal, and a binder of
 * four pockets a page for it.
 */
export function withBinder() {
	let folder: string;
	let collection: Collection;
	let binder: BinderId;

	beforeEach(async () => {
		folder = mkdtempSync(join(tmpdir(), 'jade-binders-'));
		const settings = readSettings({ JADE_DATA: folder, JADE_NOW: '1996-10-06T09:00:00.000Z' });
		collection = await openCollection(settings);
		const outcome = resolveRelease({
			release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
			sections: [
				{
					name: 'Base',
					cards: Array.from({ length: 6 }, (_, i) => ({
						number: String(i + 1),
						title: `Card ${i + 1}`
					}))
				}
			],
			parallels: [{ name: 'Brass', runs: [{ sections: ['base'], printRun: 9 }] }]
		});
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		await importRelease(collection, outcome.value);
		await makeGoal(collection, { release: 'r', rules: { preset: 'complete' }, name: 'G' });
		const layout = { pageKind: '2x2', order: 'number', blockStart: 'new-page' } as const;
		binder = (await makeBinder(collection, { goalId: rowId(1), name: 'B', layout })) ?? rowId(0);
	});
	afterEach(async () => {
		await collection.close();
		rmSync(folder, { recursive: true, force: true });
	});

	const state = async () => {
		const found = await readBinder(collection.db, binder);
		if (!found) throw new RangeError('no binder');
		return found;
	};
	return {
		get collection() {
			return collection;
		},
		get binder() {
			return binder;
		},
		log: (line: string) =>
			logLine(collection, 'r', { line, numbering: null, parallel: null, condition: 'good' }),
		state,
		/** The slip, a line a step. */
		slip: async () =>
			moveSlip(await state()).lines.map(({ does, card, from, to }) =>
				[does, card, from, to].filter(Boolean).join(' | ')
			)
	};
}
