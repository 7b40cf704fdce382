import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import type { OpeningId, SealedLotId } from '../../core/row-id.ts';
import { rowId } from '../../core/row-id.ts';
import { importRelease } from '../checklists/import-release.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { withCollection } from '../collection.fixture.ts';
import { copies, openedPiles, openings, sealedLots } from '../database/tables/index.ts';
import { must } from '../demo/must.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { undo } from '../journal/undo.ts';
import {
	agreeShares,
	beginOpening,
	changeOpening,
	openSealed,
	removeOpening,
	takeShare
} from './openings/change-opening.ts';
import { forgetOpened, logOpened } from './openings/log-opened.ts';
import { openingsView, openingView } from './openings/openings-view.ts';
import { keepSealed, removeSealed, type SealedDraft } from './sealed/change-sealed.ts';
import { sealedView } from './sealed/sealed-view.ts';
import { lastCardsView } from './last-cards-view.ts';
import { simulateGoal } from './simulate-goal.ts';
import { openTile } from './tiles/open-tile.ts';
import { tilesView } from './tiles/tiles-view.ts';

const at = withCollection();
const ASK = { goal: null, extraPercent: 0, extraFromMinor: 0 };

/** Ten dogs, five cats, an insert of four at 1:3; packs of three, boxes of twelve, cases of two. */
async function begin() {
	const numbers = (from: number, to: number, group: string) =>
		Array.from({ length: to - from + 1 }, (_, i) => ({ number: String(from + i), group }));
	const release = must(
		resolveRelease({
			release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
			packTypes: [
				{
					key: 'hobby',
					name: 'Hobby',
					cardsPerPack: 3,
					packsPerBox: 12,
					boxesPerCase: 2,
					priceMinor: 100,
					currency: 'EUR'
				},
				{ key: 'loose', name: 'Loose' }
			],
			sections: [
				{ name: 'Base', cards: [...numbers(1, 10, 'Dogs'), ...numbers(11, 15, 'Cats')] },
				{
					name: 'Fresnel',
					kind: 'insert',
					odds: { hobby: '1:3' },
					cards: [1, 2, 3, 4].map((n) => ({ number: `F${n}` }))
				}
			],
			variants: ['Tile 1', 'Tile 2'].map((name) => ({
				kind: 'piece',
				name,
				cards: ['1'],
				earns: '15'
			}))
		})
	);
	must(await importRelease(at.collection, release));
}
const opened = async (more: { readonly price?: string } = {}): Promise<OpeningId> =>
	must(
		await beginOpening(at.collection, {
			...{ pack: 'r hobby', name: '', price: '1.20', currency: 'EUR' },
			...more
		})
	).id;
const view = async (id: OpeningId) => {
	const found = await openingView(at.collection.db, id);
	if (!found) throw new RangeError('no opening');
	return found;
};

describe('openings', () => {
	test('pack by pack: what is new, what a new card costs, whether the odds hold', async () => {
		await begin();
		await at.line('1 2');
		const id = await opened();
		expect(must(await logOpened(at.collection, id, { packs: 1, line: '1 3 4' }))).toMatchObject({
			...{ cards: 3, fresh: 2 }
		});
		const second = await logOpened(at.collection, id, { packs: 2, line: '3 5 5 6 F1' });
		expect(second.ok && second.value).toMatchObject({ cards: 5, fresh: 3 });
		// Two packs of three would be six.
		expect(second.notes.map(({ message }) => message)).toEqual([
			'2 × 3 cards would be 6; 5 are named'
		]);
		expect(await at.owned()).toEqual({
			...{ 'r/base-1': 2, 'r/base-2': 1, 'r/base-3': 2, 'r/base-4': 1, 'r/base-5': 2 },
			...{ 'r/base-6': 1, 'r/fresnel-f1': 1 }
		});
		const told = await view(id);
		expect(told).toMatchObject({ packs: 3, cards: 8, fresh: 5, nextPacks: 2, name: 'R, Hobby' });
		expect(told.points).toEqual([
			{ packs: 1, cards: 3, fresh: 2, freshAPack: 2, costPerNewMinor: 60 },
			{ packs: 3, cards: 8, fresh: 5, freshAPack: 5 / 3, costPerNewMinor: 72 }
		]);
		expect(told.realised?.lines.map(({ name, found }) => [name, found])).toEqual([
			['Base', 7],
			['Fresnel', 1]
		]);
		expect(told.piles.map(({ number, pulls }) => [number, pulls.map(({ name }) => name)])).toEqual([
			[2, ['3', '5', '6', 'F1']],
			[1, ['1', '3', '4']]
		]);
		await undo(at.collection);
		expect(await view(id)).toMatchObject({ packs: 1, cards: 3 });
		expect((await at.owned())['r/fresnel-f1']).toBeUndefined();
	});

	test('for all lines, the record and the collection say the same', async () => {
		await begin();
		const id = await opened();
		const pack = fc.array(fc.integer({ min: 1, max: 15 }), { minLength: 1, maxLength: 5 });
		const counts = new Map<number, number>();
		for (const cards of fc.sample(pack, { numRuns: 12, seed: 7 })) {
			const fresh = new Set(cards.filter((card) => !counts.has(card))).size;
			for (const card of cards) counts.set(card, (counts.get(card) ?? 0) + 1);
			const done = await logOpened(at.collection, id, { packs: 1, line: cards.join(' ') });
			expect(done.ok && done.value).toMatchObject({ cards: cards.length, fresh });
		}
		expect(await at.owned()).toEqual(
			Object.fromEntries([...counts].map(([card, count]) => [`r/base-${card}`, count]))
		);
		expect(await view(id)).toMatchObject({ fresh: counts.size });
	});

	test('cards that are logged already are only recorded', async () => {
		await begin();
		await at.line('1 2 2 3');
		const id = await opened();
		const before = await at.owned();
		const done = await logOpened(at.collection, id, { packs: 1, line: '1 2', isLogged: true });
		// Of 2 another one is here.
		expect(done.ok && done.value).toMatchObject({ cards: 2, fresh: 1 });
		expect(await at.owned()).toEqual(before);
	});

	test('a group opening is shared out by the group on each card, and one takes their share', async () => {
		await begin();
		const id = await opened();
		const agree = (rules: string, keeper = 'Me') =>
			agreeShares(at.collection, id, { rules, keeper });
		expect((await agree('Me: Dogs\nBo: Birds')).ok).toBe(false);
		expect((await agree('Me: Dogs\nBo: Cats', 'Cy')).ok).toBe(false);
		must(await agree('Me: dogs\nBo: cats\nrest: in turn'));
		must(await logOpened(at.collection, id, { packs: 2, line: '1 1 2 11 12 F1' }));
		must(await logOpened(at.collection, id, { packs: 1, line: '2 13 F2' }));
		expect(await at.owned()).toEqual({});
		const told = await view(id);
		expect(told).toMatchObject({ cards: 9, fresh: 7 });
		expect(
			told.shares.map(({ name, cards }) => [
				name,
				cards.map((card) => `${card.name} ${card.quantity}`)
			])
		).toEqual([
			['Me', ['1 2', '2 2', 'F1 1']],
			['Bo', ['11 1', '12 1', '13 1', 'F2 1']]
		]);
		// It was agreed: nothing of it is changed now.
		expect((await agree('')).ok).toBe(false);
		expect(must(await takeShare(at.collection, id)).cards).toBe(5);
		expect(await at.owned()).toEqual({ 'r/base-1': 2, 'r/base-2': 2, 'r/fresnel-f1': 1 });
		expect((await takeShare(at.collection, id)).ok).toBe(false);
		expect((await logOpened(at.collection, id, { packs: 1, line: '1' })).ok).toBe(false);
		await undo(at.collection);
		expect(await at.owned()).toEqual({});
	});

	test('what cannot be is named, and nothing is recorded', async () => {
		await begin();
		const draft = { pack: 'r hobby', name: 'x', price: '', currency: 'EUR' };
		const begun = await beginOpening(at.collection, { ...draft, pack: 'r tin', price: 'much' });
		expect(begun.ok ? [] : begun.problems.map(({ field }) => field)).toEqual(['pack', 'price']);
		const id = await opened({ price: '' });
		const bad = await logOpened(at.collection, id, { packs: 1, line: '1 99' });
		expect(bad.ok ? [] : bad.problems.map(({ field, start }) => [field, start])).toEqual([
			['line', 2]
		]);
		expect(await at.collection.db.select().from(openedPiles)).toEqual([]);
		const nobody = rowId<'openings'>(999);
		expect((await logOpened(at.collection, nobody, { packs: 1, line: '1' })).ok).toBe(false);
		expect((await takeShare(at.collection, id)).ok).toBe(false);
		expect((await changeOpening(at.collection, id, { ...draft, price: '-' })).ok).toBe(false);
		must(await logOpened(at.collection, id, { packs: 1, line: '1' }));
		expect((await agreeShares(at.collection, id, { rules: 'A: Dogs\nB:', keeper: 'A' })).ok).toBe(
			false
		);
		expect((await view(id)).points[0]?.costPerNewMinor).toBeNull();
	});

	test('they are listed, changed, forgotten, and go with their release; undo brings them back', async () => {
		await begin();
		const id = await opened();
		must(await logOpened(at.collection, id, { packs: 12, line: '1 2 3' }));
		must(await changeOpening(at.collection, id, { name: 'A box', price: '2', currency: 'EUR' }));
		const listed = (await openingsView(at.collection.db)).openings;
		expect(listed).toMatchObject([
			{ name: 'A box', packs: 12, cards: 3, fresh: 3, costMinor: 2400 }
		]);
		const [pile] = await at.collection.db.select().from(openedPiles);
		if (!pile) throw new RangeError('no pile');
		must(await forgetOpened(at.collection, pile.id));
		expect((await forgetOpened(at.collection, pile.id)).ok).toBe(false);
		expect(Object.keys(await at.owned())).toHaveLength(3);
		await undo(at.collection);
		must(await removeOpening(at.collection, id));
		expect(await at.collection.db.select().from(openedPiles)).toEqual([]);
		await undo(at.collection);
		expect(await view(id)).toMatchObject({ packs: 12 });
		expect(await removeRelease(at.collection, 'r')).toBe(true);
		expect(await at.collection.db.select().from(openings)).toEqual([]);
		await undo(at.collection);
		expect(await view(id)).toMatchObject({ packs: 12, name: 'A box' });
	});
});

describe('sealed stock', () => {
	const lot: SealedDraft = {
		...{ lot: null, pack: 'r hobby', unit: 'box', quantity: 2, cost: '10', value: '30 EUR' },
		...{ currency: 'EUR', trust: 'certain', source: ' shop ', place: '', acquiredOn: null }
	};
	const seen = async () => (await sealedView(at.collection.db, ASK)).lots;

	test('is kept, compared, opened one by one, and gone; each a step to undo', async () => {
		await begin();
		must(
			await makeGoal(at.collection, {
				name: 'All',
				release: 'r',
				rules: { preset: 'with-inserts' }
			})
		);
		const { id } = must(await keepSealed(at.collection, lot));
		const [box] = await seen();
		expect(box).toMatchObject({ packs: 12, isWanted: true, source: 'shop', place: null });
		// 30.00 less 12 % and 5.00 for sending.
		expect(box?.compared).toMatchObject({ sellMinor: 2140, gainMinor: 2000 });
		expect(box?.compared.openMinor).not.toBeNull();
		const first = must(await openSealed(at.collection, id)).id;
		// A box of twelve packs for 10.00.
		expect(await view(first)).toMatchObject({ packMinor: 83, name: 'R, Hobby box' });
		expect((await seen())[0]?.quantity).toBe(1);
		must(await openSealed(at.collection, id));
		expect(await seen()).toEqual([]);
		expect((await openSealed(at.collection, id)).ok).toBe(false);
		await undo(at.collection);
		expect((await seen())[0]?.quantity).toBe(1);
		must(await keepSealed(at.collection, { ...lot, lot: id, unit: 'case', value: '' }));
		expect((await seen())[0]).toMatchObject({
			packs: 24,
			quantity: 2,
			compared: { sellMinor: null }
		});
		must(await removeSealed(at.collection, id));
		expect((await removeSealed(at.collection, id)).ok).toBe(false);
		await undo(at.collection);
		expect(await removeRelease(at.collection, 'r')).toBe(true);
		expect(await at.collection.db.select().from(sealedLots)).toEqual([]);
	});

	test('what cannot be is named all at once; unknown packs and rates are told', async () => {
		await begin();
		const tell = async (more: Partial<SealedDraft>) => {
			const done = await keepSealed(at.collection, { ...lot, ...more });
			return done.ok ? [] : done.problems.map(({ field }) => field);
		};
		expect(await tell({ pack: 'r tin', cost: 'x', value: 'y' })).toEqual(['pack', 'cost', 'value']);
		expect(await tell({ cost: '3 USD' })).toEqual(['value']);
		expect(await tell({ lot: rowId<'sealed_lots'>(99) as SealedLotId })).toEqual([undefined]);
		expect(await tell({ cost: '3 USD', value: '4 USD', pack: 'r loose' })).toEqual([]);
		const { lots, problems } = await sealedView(at.collection.db, ASK);
		expect(lots[0]).toMatchObject({ packs: null, inCurrency: { valueMinor: null } });
		expect(problems.map(({ message }) => message)).toEqual(['R: no rate leads from USD to EUR']);
	});
});

describe('hidden tiles', () => {
	test('a copy is opened: it is the card with its tile from then on, or marked as opened', async () => {
		await begin();
		await at.line('1x3');
		const [copy] = await at.collection.db.select().from(copies).where(eq(copies.cardKey, 'base-1'));
		if (!copy) throw new RangeError('no copy');
		const tiles = async () => (await tilesView(at.collection.db, null)).rows?.[0];
		expect(await tiles()).toMatchObject({ unopened: 3, fullSets: 0, prize: '15' });
		const [first, second] = (await tiles())?.tiles ?? [];
		must(await openTile(at.collection, copy.id, first?.key ?? ''));
		must(await openTile(at.collection, copy.id, null));
		expect(await tiles()).toMatchObject({
			unopened: 1,
			tiles: [
				{ owned: 1, isMissing: false },
				{ owned: 0, isMissing: true }
			]
		});
		expect((await tilesView(at.collection.db, null)).tiles).toMatchObject({
			...{ chanceOfPrize: 0.5, nearest: { card: 0, copies: 2 } }
		});
		expect((await openTile(at.collection, copy.id, 'other')).ok).toBe(false);
		const last = (await tiles())?.copyId;
		must(await openTile(at.collection, last ?? copy.id, second?.key ?? ''));
		expect(await tiles()).toMatchObject({ unopened: 0, fullSets: 1 });
		expect((await openTile(at.collection, last ?? copy.id, null)).ok).toBe(false);
		await undo(at.collection);
		expect(await tiles()).toMatchObject({ unopened: 1 });
	});

	test('without any', async () => {
		expect(await tilesView(at.collection.db, null)).toEqual({ releases: [], release: null });
	});
});

test('the last cards, and a simulation, of what is here', async () => {
	await begin();
	must(
		await makeGoal(at.collection, { name: 'All', release: 'r', rules: { preset: 'with-inserts' } })
	);
	await at.line('1-10');
	const last = await lastCardsView(at.collection.db, { pack: null, group: null });
	expect(last.group).toMatchObject({ name: 'Base', isComplete: false });
	expect(last.set?.asked).toMatchObject({ cards: 15, owned: 10 });
	const told: number[] = [];
	const ask = {
		goal: null,
		pack: 'r hobby',
		runs: 2000,
		seed: 3,
		isWithinGroup: false,
		forHarder: null
	};
	const found = must(await simulateGoal(at.collection.db, ask, ({ done }) => told.push(done)));
	expect(told).toEqual([499, 999, 1499, 1999]);
	expect(found.result).toMatchObject({ runs: 2000, complete: 2000 });
	expect(found.formula?.agrees).toBe(true);
	expect((await simulateGoal(at.collection.db, { ...ask, pack: 'r loose' }, () => 0)).ok).toBe(
		false
	);
	expect((await simulateGoal(at.collection.db, { ...ask, pack: 'r none' }, () => 0)).ok).toBe(
		false
	);
	expect(found.doubles.map(({ name }) => name)).toEqual(['Base', 'Fresnel']);
});
