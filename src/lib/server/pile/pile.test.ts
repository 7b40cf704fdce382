import { beforeEach, describe, expect, test } from 'vitest';
import { must } from '../demo/must.ts';
import { rowId, type TrayId } from '../../core/row-id.ts';
import { findPile, listTrays, removePile, savePile } from '../copies/trays.ts';
import { copies } from '../database/tables/index.ts';
import { removeShelf, saveShelf } from '../storage/room/edit-shelves.ts';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { undo } from '../journal/undo.ts';
import { readPreference } from '../preferences/preferences.ts';
import { describePileCard } from './describe-pile-card.ts';
import { handOver } from './hand-over.ts';
import { logPileCards } from './log-pile-cards.ts';
import { protectPile, readProtection } from './protect-pile.ts';
import { readLying } from './read-lying.ts';
import { beginPile, findForPile } from './read-pile.ts';
import { takeBackPileCards } from './take-back.ts';
import { USUAL_CLASSES } from '../../core/storage/classes/keeping.ts';
import { setStorageClasses, STORAGE_CLASSES } from '../preferences/storage-classes.ts';

const at = withCollection();
const named = (key: string, more: object) => ({ ...sampleRelease(), key, name: key, ...more });
const keys = ({ releases }: Awaited<ReturnType<typeof beginPile>>) =>
	releases.map(({ key }) => key);

const GOAL = { kind: 'goal', name: 'G', why: 'its slot is open' } as const;

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

	const lay = (version: string, more: object = {}, laying: object = {}) =>
		logPileCards(at.collection, {
			line: version,
			cards: [{ version, next: GOAL, verdict: { kind: 'outside', copies: 1 }, ...more }],
			...laying
		});
	const trays = async () =>
		(await listTrays(at.collection.db))
			.map(({ tray, name, cards }) => `${name} ${tray} ${cards}`)
			.sort();
	/** Cards on their next pile, newest first. */
	const lying = async (pile: TrayId) => {
		const { piles, last } = await readLying(at.collection.db, pile);
		return [
			...piles.map(({ name, count }) => `${name} ${count}`),
			...last.map(({ version }) => version)
		];
	};

	test('is logged card by card; what is no version, or misread, is refused, and lays nothing', async () => {
		const tray = await savePile(at.collection, { tray: 'to log', name: 'Fair', amount: '3' });
		const from = tray.ok ? tray.value.id : undefined;
		const first = must(await lay('r/base-1', { condition: 'good' }, { from, year: '1994' }));
		await lay('r/base-1~brass', { serial: '7/120' }, { from, year: '1994' });
		expect(await at.owned()).toEqual({ 'r/base-1': 1, 'r/base-1~brass': 1 });
		expect(await trays()).toEqual(['Fair to log 1', 'Fair to sort 2']);
		// What was typed of the whole pile is there the next time.
		expect(await findPile(at.collection.db, 'Fair')).toMatchObject({
			toLog: { year: '1994' },
			toSort: { id: first.pile, year: '1994', maker: null }
		});
		for (const wrong of ['r/base-99', 'none/base-1', 'x', 'r/base-1~gold']) {
			expect(await lay(wrong, {}, { from })).toMatchObject({ ok: false });
		}
		expect(await lay('r/base-1~brass', { serial: '200/120' })).toMatchObject({
			ok: false,
			problems: [{ field: 'serial' }]
		});
		expect(await lay('r/base-1', {}, { instead: [rowId(99)] })).toMatchObject({ ok: false });
		await undo(at.collection);
		expect(await at.owned()).toEqual({ 'r/base-1': 1 });
		expect(await trays()).toEqual(['Fair to log 2', 'Fair to sort 1']);
	});

	test('a card is taken back alone, whatever was logged since; another one takes its place in one step', async () => {
		const first = must(await lay('r/base-1'));
		const second = must(await lay('r/base-1'));
		expect(second.pile).toBe(first.pile);
		await at.line('1');
		const [card] = first.cards;
		expect(await takeBackPileCards(at.collection, [card?.id ?? rowId(0)])).toMatchObject({
			ok: true
		});
		expect(await at.owned()).toEqual({ 'r/base-1': 2 });
		expect(await takeBackPileCards(at.collection, [card?.id ?? rowId(0)])).toMatchObject({
			ok: false
		});
		const [again] = second.cards;
		must(await lay('r/base-2', {}, { instead: [again?.id] }));
		expect(await at.owned()).toEqual({ 'r/base-1': 1, 'r/base-2': 1 });
		expect(await lying(first.pile)).toEqual(['G 1', 'r/base-2']);
		await undo(at.collection);
		expect(await at.owned()).toEqual({ 'r/base-1': 2 });
		expect(await lying(first.pile)).toEqual(['G 1', 'r/base-1']);
	});

	test('a card not looked at stands apart; one that is described becomes a copy apart', async () => {
		must(await lay('r/base-1'));
		const unseen = must(await lay('r/base-1', { isPrintingUnseen: true }));
		must(await lay('r/base-1', { isPrintingUnseen: true }));
		const [card] = unseen.cards;
		const rows = async () =>
			(await at.collection.db.select().from(copies)).map(
				({ quantity, isPrintingUnseen, condition, valueMinor }) =>
					`${quantity}${isPrintingUnseen ? ' unseen' : ''} ${condition ?? ''} ${valueMinor ?? ''}`
			);
		expect(await rows()).toEqual(['1  ', '2 unseen  ']);
		const wrong = { valueMinor: 500 };
		const id = card?.id ?? rowId<'pile_cards'>(0);
		expect(await describePileCard(at.collection, id, wrong)).toMatchObject({ ok: false });
		const fields = { condition: 'good' as const, valueMinor: 500, currency: 'EUR' };
		const described = must(await describePileCard(at.collection, id, fields));
		expect(await rows()).toEqual(['1  ', '1 unseen  ', '1 unseen good 500']);
		expect(described.copyId).not.toBe(card?.copyId);
		// Its sleeve and loader: ● 1 to 20 in a top loader.
		const { moves, takes } = await readProtection(at.collection.db, unseen.pile);
		expect(moves.map(({ copyId }) => copyId)).toEqual([described.copyId]);
		expect(takes.map(({ count }) => count)).toEqual([1, 1]);
		expect(await protectPile(at.collection, unseen.pile)).toMatchObject({ ok: true });
		expect(await protectPile(at.collection, unseen.pile)).toMatchObject({ ok: false });
	});

	test('a pile is handed over to what is to sell: only its own cards, and they lie on it no more', async () => {
		await at.line('1x3');
		const first = must(await lay('r/base-1', { next: { ...GOAL, kind: 'class', name: 'Sell' } }));
		must(await lay('r/base-2'));
		const sold = { kind: 'class', name: 'Sell' } as const;
		expect(await handOver(at.collection, first.pile, sold, 'to sell')).toMatchObject({
			ok: true,
			value: { cards: 1, left: 0 }
		});
		const statuses = (await at.collection.db.select().from(copies)).map(
			({ cardKey, quantity, status }) => `${cardKey} ${quantity} ${status}`
		);
		expect(statuses).toEqual(['base-1 3 kept', 'base-2 1 kept', 'base-1 1 to sell']);
		expect(await lying(first.pile)).toEqual(['G 1', 'r/base-2']);
		expect(await handOver(at.collection, first.pile, sold, 'to sell')).toMatchObject({ ok: false });
		// No divider waits: it stays on the pile until it is put away.
		const slip = await handOver(at.collection, first.pile, GOAL, 'slip');
		expect(slip).toMatchObject({
			ok: false,
			problems: [{ message: expect.any(String) as string }]
		});
		await handOver(at.collection, first.pile, GOAL, 'put away');
		expect(await trays()).toEqual([]);
		await undo(at.collection);
		expect(await lying(first.pile)).toEqual(['G 1', 'r/base-2']);
	});

	test('lies on a shelf, as people say how much it is; a shelf or a pile that goes is missed by nothing', async () => {
		const shelf = must(
			await saveShelf(at.collection, {
				room: 'Hall',
				unit: 'A',
				level: 1,
				lengthMm: 900,
				ratingG: null
			})
		);
		const pile = {
			tray: 'never to log',
			name: 'Bulk',
			amount: '457.2 mm',
			shelfId: shelf.id
		} as const;
		const { id } = must(await savePile(at.collection, pile));
		expect(await listTrays(at.collection.db)).toMatchObject([
			{ cards: 1000, isEstimate: true, lengthUm: 457_200, shelfId: shelf.id }
		]);
		const wrong = { ...pile, name: ' ', amount: 'many', shelfId: rowId<'shelves'>(9) };
		expect(await savePile(at.collection, wrong, rowId(99))).toMatchObject({
			problems: [{}, { field: 'name' }, { field: 'amount' }, { field: 'shelfId' }]
		});
		await removeShelf(at.collection, shelf.id);
		expect(await listTrays(at.collection.db)).toMatchObject([{ shelfId: null }]);
		await savePile(at.collection, { tray: 'never to log', name: 'Bulk', amount: '20' }, id);
		expect(await listTrays(at.collection.db)).toMatchObject([{ cards: 20, lengthUm: null }]);
		// Cards of a pile that is cleared stay logged.
		const laid = must(await lay('r/base-1'));
		await removePile(at.collection, laid.pile);
		expect(await at.owned()).toEqual({ 'r/base-1': 1 });
		expect(await lying(laid.pile)).toEqual([]);
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
		expect(await readPreference(db, STORAGE_CLASSES)).toEqual(USUAL_CLASSES);
	});
});
