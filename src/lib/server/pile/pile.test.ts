import { beforeEach, describe, expect, test } from 'vitest';
import { addPile, listTrays } from '../copies/trays.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { undo } from '../journal/undo.ts';
import { readPreference } from '../preferences/preferences.ts';
import { logPileCard } from './log-pile-card.ts';
import { beginPile, findForPile } from './read-pile.ts';
import { setStorageClasses, STORAGE_CLASSES } from './storage-classes.ts';

const at = withCollection();
const named = (key: string, more: object) => ({ ...sampleRelease(), key, name: key, ...more });
const keys = ({ releases }: Awaited<ReturnType<typeof beginPile>>) =>
	releases.map(({ key }) => key);

describe('a pile', () => {
	beforeEach(async () => {
		await importRelease(at.collection, sampleRelease());
		await importRelease(at.collection, named('later', { year: '1995-96' }));
		await importRelease(at.collection, named('rival', { maker: 'Rival 100 %' }));
	});

	test('begins with the releases logged last, then those of goals, then the newest', async () => {
		await at.line('1', { release: 'later' });
		await at.line('1');
		await makeGoal(at.collection, { release: 'rival', name: '', rules: { preset: 'base' } });
		const { db } = at.collection;
		const view = await beginPile(db, null, {});
		expect(keys(view)).toEqual(['r', 'later', 'rival']);
		expect(view.slots).toHaveLength(20);
		expect(Object.fromEntries(view.owned)).toEqual({ 'r/base-1': 1, 'later/base-1': 1 });
		expect(keys(await beginPile(db, 'rival', {}))).toEqual(['rival']);
		expect(keys(await beginPile(db, 'none', {}))).toHaveLength(3);
		expect(keys(await beginPile(db, null, { year: '1995' }))).toEqual(['later']);
		expect(keys(await beginPile(db, null, { maker: 'rival 100 %' }))).toEqual(['rival']);
		expect(keys(await beginPile(db, null, { year: '1890' }))).toEqual([]);
	});

	test('finds what its releases do not have, and nothing that they have', async () => {
		const { db } = at.collection;
		expect(keys(await findForPile(db, '7', {}, ['r', 'later'])).sort()).toEqual(['rival']);
		expect(keys(await findForPile(db, '99', {}, []))).toEqual([]);
		for (const line of ['', '"', '%', "'; drop table", '* OR *']) {
			expect(keys(await findForPile(db, line, {}, ['r', 'later', 'rival']))).toEqual([]);
		}
	});

	test('is logged card by card, each in a step of its own; what is no version, or misread, is refused', async () => {
		const tray = await addPile(at.collection, 'to log', 'Fair', 3);
		const pile = tray.ok ? tray.value.id : undefined;
		const first = await logPileCard(at.collection, {
			version: 'r/base-1',
			condition: 'good',
			pile
		});
		await logPileCard(at.collection, { version: 'r/base-1~brass', serial: '7/120', pile });
		expect(first).toMatchObject({ ok: true, value: { step: expect.any(Number) as number } });
		expect(await at.owned()).toEqual({ 'r/base-1': 1, 'r/base-1~brass': 1 });
		const trays = async () =>
			(await listTrays(at.collection.db)).map(({ tray: name, cards }) => `${name} ${cards}`);
		expect((await trays()).sort()).toEqual(['to log 1', 'to sort 2']);
		for (const wrong of ['r/base-99', 'none/base-1', 'x', 'r/base-1~gold']) {
			expect(await logPileCard(at.collection, { version: wrong })).toMatchObject({ ok: false });
		}
		const misread = await logPileCard(at.collection, {
			version: 'r/base-1~brass',
			serial: '200/120'
		});
		expect(misread).toMatchObject({ ok: false, problems: [{ field: 'serial' }] });
		await undo(at.collection);
		expect(await at.owned()).toEqual({ 'r/base-1': 1 });
		expect((await trays()).sort()).toEqual(['to log 2', 'to sort 1']);
	});

	test('has piles of its own, kept in their order', async () => {
		const classes = [
			{ name: 'Ada', where: { subjects: ['Ada'] } },
			{ name: 'rest', where: {} }
		];
		const { db } = at.collection;
		expect(await setStorageClasses(at.collection, classes)).toMatchObject({ ok: true });
		expect(await readPreference(db, STORAGE_CLASSES)).toEqual(classes);
		expect(await setStorageClasses(at.collection, [{ name: '', where: {} }])).toMatchObject({
			ok: false
		});
		await undo(at.collection);
		expect(await readPreference(db, STORAGE_CLASSES)).toEqual([]);
	});
});
