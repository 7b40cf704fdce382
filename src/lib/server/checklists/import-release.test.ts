import { beforeEach, describe, expect, test } from 'vitest';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { good } from '../../core/problem.ts';
import { makeBinder } from '../binders/change-binder.ts';
import { listBinders } from '../binders/read-binder.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { listGoals } from '../goals/read-goals.ts';
import { nextSteps, undo } from '../journal/undo.ts';
import { importRelease } from './import-release.ts';
import { listReleases } from '../releases/list-releases.ts';
import { loadRelease } from '../releases/load-release.ts';
import { saveRelease } from './save-release.ts';
import { removeRelease } from './remove-release.ts';
import { rowId } from '../../core/row-id.ts';

const at = withCollection();

describe('a release', () => {
	test('is stored whole and read back the same', async () => {
		const release = sampleRelease();
		expect(await importRelease(at.collection, release)).toMatchObject({ ok: true });
		expect((await loadRelease(at.collection.db, 'r'))?.release).toEqual(release);
	});

	test('cannot be imported twice, and the refusal changes nothing', async () => {
		await importRelease(at.collection, sampleRelease());
		const again = await importRelease(at.collection, sampleRelease());
		expect(again).toMatchObject({ ok: false, problems: [{ field: 'release' }] });
		expect(await listReleases(at.collection.db)).toHaveLength(1);
	});

	test('goes with all that hangs on it, and undo brings all of it back', async () => {
		await importRelease(at.collection, sampleRelease());
		await at.line('1-5 7x2');
		await makeGoal(at.collection, { release: 'r', rules: { preset: 'complete' }, name: '' });
		await makeBinder(at.collection, { goalId: rowId(1), name: 'B' });
		const before = [await at.owned(), await at.totals(), await listBinders(at.collection.db)];
		expect(await removeRelease(at.collection, 'r')).toBe(true);
		expect(await listReleases(at.collection.db)).toEqual([]);
		expect(await listGoals(at.collection.db)).toEqual([]);
		await undo(at.collection);
		expect([await at.owned(), await at.totals(), await listBinders(at.collection.db)]).toEqual(
			before
		);
		expect(await removeRelease(at.collection, 'nix')).toBe(false);
	});
});

const card21 = {
	title: 'Late',
	subjects: [],
	marks: [],
	otherNumbers: [],
	panelOf: []
};

describe('an edit of a release', () => {
	beforeEach(async () => {
		await importRelease(at.collection, sampleRelease());
		await makeGoal(at.collection, { release: 'r', rules: { preset: 'complete' }, name: 'G' });
		await at.line('1-5 21');
		await at.line('3', { parallel: 'brass' });
	});

	test('keeps every copy attached, moves progress, and is undone', async () => {
		const before = await at.owned();
		const saved = await saveRelease(at.collection, 'r', 'edit', (release) =>
			good({
				...release,
				name: 'Renamed',
				sections: release.sections.map((section) => ({
					...section,
					cards: [
						...section.cards.map((card) => ({
							...card,
							title: `${card.title}!`,
							number: `${card.number}`
						})),
						...(section.key === 'sub' ? [{ ...card21, key: 'base-26', number: '26' }] : [])
					]
				})),
				variants: [{ key: 'town', kind: 'error', name: 'Town', cards: ['3'] }]
			})
		);
		expect(saved).toMatchObject({ ok: true });
		expect(await at.owned()).toEqual(before);
		expect(await at.totals()).toEqual(['6/26']);
		expect((await loadRelease(at.collection.db, 'r'))?.release.variants).toHaveLength(1);
		await undo(at.collection);
		expect((await loadRelease(at.collection.db, 'r'))?.release).toEqual(sampleRelease());
		expect(await at.totals()).toEqual(['6/25']);
	});

	test('that would orphan copies is refused, and each version is named', async () => {
		const saved = await saveRelease(at.collection, 'r', 'edit', (release) =>
			good({
				...release,
				parallels: [],
				sections: release.sections.map((section) => ({
					...section,
					cards: section.cards.filter(({ number }) => number !== '2')
				}))
			})
		);
		expect(saved.ok ? [] : saved.problems.map(({ field }) => field)).toEqual([
			'r/base-2',
			'r/base-3~brass'
		]);
		expect(Object.keys(await at.owned())).toHaveLength(7);
		expect((await nextSteps(at.collection.db)).undo?.label).toContain('log 3');
	});

	test('that changes nothing leaves no step', async () => {
		const step = (await nextSteps(at.collection.db)).undo?.id;
		await saveRelease(at.collection, 'r', 'edit', (release) => good({ ...release }));
		expect((await nextSteps(at.collection.db)).undo?.id).toBe(step);
	});
});
