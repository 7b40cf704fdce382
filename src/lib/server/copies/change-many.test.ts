import { beforeEach, expect, test } from 'vitest';
import { rowId } from '../../core/row-id.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { copies } from '../database/tables/index.ts';
import { must } from '../demo/must.ts';
import { undo } from '../journal/undo.ts';
import { changeMany } from './change-many.ts';
import { chooseCopies } from './choose-copies.ts';
import { addCopy } from './edit-copy.ts';

const at = withCollection();
const ids = async (choice: Parameters<typeof chooseCopies>[1]) =>
	(await chooseCopies(at.collection.db, choice)).map(({ id }) => id);
const rows = async () =>
	(await at.collection.db.select().from(copies)).map(
		({ cardKey, quantity, status, attributes, costMinor, currency }) =>
			[cardKey, quantity, status, attributes.join('; '), costMinor, currency]
				.filter(Boolean)
				.join(' ')
	);

beforeEach(async () => {
	await importRelease(at.collection, sampleRelease());
	await at.line('1 2x3 3');
	await at.line('4', { parallel: 'brass' });
	await addCopy(at.collection, 'r/base-5', {
		status: 'spare',
		attributes: ['signed'],
		valueMinor: 900,
		currency: 'EUR'
	});
});

test('copies are chosen by release, section, finish, status and words; nothing said is none', async () => {
	expect(await ids({})).toEqual([]);
	expect(await ids({ release: 'r' })).toHaveLength(5);
	expect(await ids({ release: 'r', section: 'base', finish: '' })).toHaveLength(4);
	expect(await ids({ release: 'r', finish: 'brass' })).toHaveLength(1);
	expect(await ids({ status: 'spare' })).toHaveLength(1);
	expect(await ids({ release: 'nix' })).toEqual([]);
	expect(await ids({ words: 'brass' })).toHaveLength(1);
	expect(await ids({ words: 'no such thing' })).toEqual([]);
	expect(await ids({ box: rowId(9) })).toEqual([]);
	expect(await ids({ pile: rowId(9) })).toEqual([]);
});

test('many are changed in one step: marks join those that are there, a lot’s cost is spread to the cent', async () => {
	const all = await ids({ release: 'r' });
	const before = await rows();
	const lot = { totalMinor: 1000, currency: 'EUR', by: 'share' as const };
	const done = must(
		await changeMany(at.collection, all, {
			fields: { status: 'kept' },
			mark: ['lot 7'],
			unmark: ['signed'],
			lot
		})
	);
	expect(done.cards).toBe(7);
	// 1,000 over seven: six of 143 and one of 142.
	expect(await rows()).toEqual([
		'base-1 1 kept lot 7 143 EUR',
		'base-2 3 kept lot 7 143 EUR',
		'base-3 1 kept lot 7 143 EUR',
		'base-4 1 kept lot 7 143 EUR',
		'base-5 1 kept lot 7 142 EUR'
	]);
	await undo(at.collection);
	expect(await rows()).toEqual(before);
});

test('what cannot be is refused, and nothing is changed', async () => {
	const all = await ids({ release: 'r' });
	const before = await rows();
	const euro = { totalMinor: 100, currency: 'EUR' };
	for (const [chosen, change, message] of [
		[[], { fields: { status: 'spare' } }, 'no copy is chosen'],
		[
			[...all, rowId<'copies'>(999)],
			{ fields: { status: 'spare' } },
			'some of these copies are gone'
		],
		[all, { fields: {} }, 'nothing is said of them'],
		[all, { fields: {}, lot: { ...euro, by: 'value' } }, '6 cards of these have no value'],
		[
			all,
			{ fields: {}, lot: { ...euro, currency: 'USD', by: 'share' } },
			'some of these are valued in other money than USD'
		],
		[all, { fields: { serial: '1/9' } }, 'a pile of several cards has no serial number']
	] as const) {
		const outcome = await changeMany(at.collection, chosen, change);
		expect(outcome).toMatchObject({ ok: false });
		if (!outcome.ok) expect(outcome.problems.map((problem) => problem.message)).toContain(message);
	}
	expect(await rows()).toEqual(before);
});
