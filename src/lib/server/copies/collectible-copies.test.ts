import { beforeEach, describe, expect, test } from 'vitest';
import { dropCollectible } from '../../core/checklist/edit-beside.ts';
import { rowId } from '../../core/row-id.ts';
import { formatHoldingsCsv } from '../../formats/write-holdings.ts';
import { readHoldings } from '../../formats/read-holdings.ts';
import type { GoalChoice } from '../../core/goal/goal-rules.ts';
import { makeBinder } from '../binders/change-binder.ts';
import { readBinder } from '../binders/read-binder.ts';
import { importRelease } from '../checklists/import-release.ts';
import { saveRelease } from '../checklists/save-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { matchInCollection } from '../holdings/import-holdings.ts';
import { undo } from '../journal/undo.ts';
import { homelessCopies } from '../places/homeless.ts';
import { readKeeping } from '../places/keeping.ts';
import { loadRelease } from '../releases/load-release.ts';
import { logOwned } from './log.ts';
import { readCopies } from './read-copies.ts';

const at = withCollection();
const setCopies = (key: string, quantity: number) =>
	logOwned(at.collection, 'r', [{ version: `r/.${key}`, quantity }]);

describe('copies of what is collected beside the cards', () => {
	beforeEach(async () => {
		await importRelease(at.collection, {
			...sampleRelease(),
			collectibles: [
				{ key: 'storm', kind: 'poster', name: 'Storm' },
				// Called like a card.
				{ key: 'red', kind: 'wrapper', name: 'Card 2' }
			]
		});
	});

	test('count in a goal that asks for them, in no other, and lie in no pocket', async () => {
		const goal = (rules: Partial<GoalChoice>) =>
			makeGoal(at.collection, { release: 'r', name: '', rules: { preset: 'base', ...rules } });
		await goal({});
		const outcome = await goal({ collectibles: ['poster', 'wrapper'] });
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		expect(await at.totals()).toEqual(['0/20', '0/22']);
		expect(await setCopies('storm', 3)).toMatchObject({ ok: true });
		await at.line('1');
		expect(await at.totals()).toEqual(['1/20', '2/22']);
		const binder = await makeBinder(at.collection, { goalId: rowId(2), name: '' });
		if (binder === null) throw new RangeError('no binder');
		expect((await readBinder(at.collection.db, binder))?.content.slots).toHaveLength(20);
		await undo(at.collection);
		await undo(at.collection);
		expect(await at.totals()).toEqual(['0/20', '1/22']);
	});

	test('go into no box of cards', async () => {
		await setCopies('red', 2);
		await at.line('2');
		const homeless = await homelessCopies(at.collection.db, await readKeeping(at.collection.db));
		expect(homeless.map(({ cardKey }) => cardKey)).toEqual(['base-2']);
	});

	test('keep the thing on the list; one that nobody has may go', async () => {
		await setCopies('storm', 1);
		const drop = (key: string) =>
			saveRelease(at.collection, 'r', 'drop', (release) => dropCollectible(release, key));
		expect(await drop('storm')).toMatchObject({ ok: false, problems: [{ field: 'r/.storm' }] });
		expect(await drop('red')).toMatchObject({ ok: true });
		expect(await setCopies('red', 1)).toMatchObject({ ok: false });
	});

	test('are written to a list of holdings and read from it again', async () => {
		await setCopies('storm', 2);
		await setCopies('red', 1);
		const { db } = at.collection;
		const stored = await loadRelease(db, 'r');
		if (!stored) throw new RangeError('no release');
		const csv = formatHoldingsCsv([
			{ release: stored.release, copies: await readCopies(db, stored.id) }
		]);
		expect(csv).toContain('Beside the cards,,Storm');
		const { outcome } = await readHoldings(new TextEncoder().encode(csv));
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		const match = await matchInCollection(db, outcome.value, {});
		expect(match.unmatched).toEqual([]);
		expect(match.matched).toMatchObject([
			{ version: 'r/.storm', fields: { quantity: 2 } },
			{ version: 'r/.red' }
		]);
		const bySubject = outcome.value.map((row) => ({ ...row, section: '' }));
		expect(await matchInCollection(db, bySubject, {})).toMatchObject({
			matched: [{ version: 'r/base-2' }],
			unmatched: [{ reason: 'R has no Storm' }]
		});
	});
});
