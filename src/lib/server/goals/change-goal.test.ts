import { beforeEach, expect, test } from 'vitest';
import { rowId } from '../../core/row-id.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { changeGoal, makeGoal } from './make-goal.ts';
import { listGoals } from './read-goals.ts';

const at = withCollection();
const seen = { name: 'G', rules: { preset: 'complete' } } as const;

beforeEach(async () => {
	await importRelease(at.collection, sampleRelease());
	await makeGoal(at.collection, { release: 'r', ...seen });
});

test('two windows decide a goal anew: what does not touch the same rule is kept, what does is told', async () => {
	const rules = { preset: 'complete', sets: 2 } as const;
	expect((await changeGoal(at.collection, rowId(1), { name: 'G', rules }, seen)).ok).toBe(true);
	const named = { name: 'Coast', rules: seen.rules };
	expect((await changeGoal(at.collection, rowId(1), named, seen)).ok).toBe(true);
	expect(await listGoals(at.collection.db)).toMatchObject([{ name: 'Coast', rules: { sets: 2 } }]);
	const late = { name: 'G', rules: { preset: 'complete', sets: 3 } } as const;
	expect(await changeGoal(at.collection, rowId(1), late, seen)).toMatchObject({
		ok: false,
		problems: [{ field: 'sets' }]
	});
	expect(await listGoals(at.collection.db)).toMatchObject([{ name: 'Coast', rules: { sets: 2 } }]);
	// Without what was seen the goal is decided as it is said: for programs.
	expect((await changeGoal(at.collection, rowId(1), late)).ok).toBe(true);
	expect(await listGoals(at.collection.db)).toMatchObject([{ name: 'G', rules: { sets: 3 } }]);
});

test('nobody else did anything: the rules are kept as they were said', async () => {
	const rules = { preset: 'complete', errors: 'none' } as const;
	await changeGoal(at.collection, rowId(1), { name: 'G', rules });
	await changeGoal(at.collection, rowId(1), { name: 'G', rules }, { name: 'G', rules });
	expect((await listGoals(at.collection.db))[0]?.rules).toEqual(rules);
});
