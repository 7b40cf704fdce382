import { withGulls } from '../gulls.fixture.ts';
import { expect, test } from 'vitest';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import { makeGoal } from './make-goal.ts';
import { readGoal, readHistory } from './read-goals.ts';
import { undo } from '../journal/undo.ts';
import { importRelease } from '../checklists/import-release.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { rowId } from '../../core/row-id.ts';

const at = withGulls();

test('goals: history by day, goals that keep their own, and a subject across releases', async () => {
	const rules = { preset: 'base' as const };
	const goal = await makeGoal(at.collection, { release: 'gulls-1996', name: 'A', rules });
	const id = goal.ok ? goal.value.id : rowId<'goals'>(0);
	await at.log('1 2');
	at.now = '1996-10-08T09:00:00.000Z';
	await at.log('3');
	at.now = '1996-10-06T09:00:00.000Z';
	expect(await readHistory(at.collection.db, id)).toEqual([
		{ day: '1996-10-06', have: 2, need: 4 },
		{ day: '1996-10-08', have: 3, need: 4 }
	]);
	const keeps = { preset: 'base' as const, keepsOwn: true };
	await makeGoal(at.collection, { release: 'gulls-1996', name: 'B', rules: keeps });
	expect((await readGoal(at.collection.db, id))?.filling.missing).toHaveLength(4);

	const other = resolveRelease({
		release: { name: 'Terns', maker: 'M', year: '1997' },
		sections: [{ name: 'Base', cards: [{ number: '9', title: 'Ada', subjects: ['Ada Hale'] }] }]
	});
	if (other.ok) await importRelease(at.collection, other.value);
	const subject = await makeGoal(at.collection, {
		release: 'gulls-1996',
		name: '',
		rules: { preset: 'subject', subject: 'Ada Hale' }
	});
	const subjectId = subject.ok ? subject.value.id : rowId<'goals'>(0);
	const slots = async () =>
		(await readGoal(at.collection.db, subjectId))?.slots.map(({ key }) => key);
	expect(await slots()).toEqual(['gulls-1996/base-4', 'terns-1997/base-9']);
	// Its home goes; the goal goes on in the other release.
	await removeRelease(at.collection, 'gulls-1996');
	expect(await slots()).toEqual(['terns-1997/base-9']);
	await undo(at.collection);
	expect(await slots()).toEqual(['gulls-1996/base-4', 'terns-1997/base-9']);
	for (const bad of [{ preset: 'subject' }, { preset: 'rainbow' }, { preset: 'group' }] as const) {
		const refused = await makeGoal(at.collection, { release: 'gulls-1996', name: '', rules: bad });
		expect(refused.ok).toBe(false);
	}
});
