import { describe, expect, test } from 'vitest';
import { rowId, type OrderId } from '../../../core/row-id.ts';
import { editCopy, removeCopy } from '../../copies/edit-copy.ts';
import { removeRelease } from '../../checklists/remove-release.ts';
import { copies, offerBundles, offers, orders } from '../../database/tables/index.ts';
import { withGulls } from '../../gulls.fixture.ts';
import { redo, undo } from '../../journal/undo.ts';
import { buyingOn } from '../buying.fixture.ts';
import { endBid, listBids, placeBid } from './bids.ts';
import { removeSeller, saveHub } from '../sellers/edit-sellers.ts';
import { checkInOrder, settleClaim } from './check-in-order.ts';
import { askForShipment, cancelOrder, changeOrder } from './move-order.ts';
import { ordersView } from './orders-view.ts';
import { placeOrder } from './place-order.ts';
import { recordPickUp } from './record-pick-up.ts';

const gulls = withGulls();
const { seller, goal, plan } = buyingOn(gulls);
const view = () => ordersView(gulls.collection.db, gulls.collection.now());
const must = <Value>(outcome: { ok: boolean; value?: Value; problems?: unknown }): Value => {
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value as Value;
};
/** Orders all that a seller offers, one of each. */
const orderAll = async (name: string, line: string, way: 'direct' | 'hub' = 'direct') => {
	const id = await seller(name, line, { toHub: way === 'hub' ? '1' : '', daysToHub: 4, days: 6 });
	const some = (await gulls.collection.db.select().from(offers)).filter(
		({ sellerId }) => sellerId === id
	);
	const bundles = (await gulls.collection.db.select().from(offerBundles)).filter(
		({ sellerId }) => sellerId === id
	);
	const draft = { seller: id, way, offers: some.map((row) => ({ offer: row.id, quantity: 1 })) };
	return must(
		await placeOrder(gulls.collection, { ...draft, bundles: bundles.map((row) => row.id) })
	).id;
};
/** Copies as "version ×n status condition cost", in their order. */
const held = async () =>
	(await gulls.collection.db.select().from(copies)).map(
		({ cardKey, quantity, status, condition, costMinor }) =>
			[cardKey, `×${quantity}`, status, condition, costMinor]
				.filter((part) => part !== null)
				.join(' ')
	);

test('what is ordered is on its way, offered no more and wanted no more; undo and redo go there and back', async () => {
	await goal();
	await seller('Bram', '1-4 9');
	const id = await orderAll('Ada', '1x3 0.40 nm; 2, 3 1 together (shipped)');
	const after = await held();
	expect(after).toEqual([
		'base-1 ×1 incoming near mint 40',
		'base-2 ×1 incoming 50',
		'base-3 ×1 incoming 50'
	]);
	// 0.40, 1 shipped, and 5 for what is sent: 6.40.
	const { underWay, committed } = await view();
	expect(underWay).toMatchObject([
		{ from: 'Ada', state: 'awaiting payment', cards: 3, paidMinor: 640 }
	]);
	expect(committed).toEqual({ ordersMinor: 640, bidsMinor: 0, claimsMinor: 0 });
	expect((await plan()).view.asked).toBe(1);
	await undo(gulls.collection);
	expect(await held()).toEqual([]);
	expect((await plan()).view.asked).toBe(4);
	await redo(gulls.collection);
	expect(await held()).toEqual(after);
	// Taken back, its cards are wanted again.
	expect((await cancelOrder(gulls.collection, id)).ok).toBe(true);
	expect(await held()).toEqual([]);
	expect((await view()).underWay).toEqual([]);
});

describe('an order', () => {
	test('goes by its way, is checked in, and what is short and worse is asked back and settled', async () => {
		const id = await orderAll('Ada', '1 4 nm; 2 4; 3 2 nm');
		const moved = await changeOrder(gulls.collection, id, { state: 'at the hub' });
		expect(moved.ok ? '' : moved.problems[0]?.message).toMatch(/straight is never at the hub/);
		expect((await changeOrder(gulls.collection, id, { state: 'here' })).ok).toBe(false);
		expect((await changeOrder(gulls.collection, id, { state: 'shipped' })).ok).toBe(true);
		const [order] = (await view()).underWay;
		const lines = order?.lines ?? [];
		const lineOf = (name: string) => lines.find((line) => line.name.startsWith(name))?.id ?? 0;
		const checked = await checkInOrder(gulls.collection, id, [
			{ line: String(lineOf('1')), came: [{ quantity: 1, condition: 'good' }], askedMinor: 200 },
			{ line: String(lineOf('2')), came: [] }
		]);
		// 10 for cards, 5 for postage; 2 and 4 asked back: 9 to the two that are here, by 4 to 2.
		expect(must(checked)).toEqual({ cards: 2, openMinor: 600 });
		expect(await held()).toEqual(['base-1 ×1 kept good 600', 'base-3 ×1 kept near mint 300']);
		expect((await view()).committed.claimsMinor).toBe(600);
		expect((await checkInOrder(gulls.collection, id, [])).ok).toBe(false);
		expect((await cancelOrder(gulls.collection, id)).ok).toBe(false);
		// The seller gives 1 of the 2 back: what is lost goes to the cards.
		must(await settleClaim(gulls.collection, id, rowId(lineOf('1')), 100));
		expect(await held()).toEqual(['base-1 ×1 kept good 667', 'base-3 ×1 kept near mint 333']);
		expect((await settleClaim(gulls.collection, id, rowId(lineOf('2')), 9_999)).ok).toBe(false);
		must(await settleClaim(gulls.collection, id, rowId(lineOf('2')), 400));
		expect((await view()).here).toMatchObject([
			{ openMinor: 0, hereOn: gulls.collection.now().slice(0, 10) }
		]);
		for (let i = 0; i < 3; i++) await undo(gulls.collection);
		expect(await held()).toEqual([
			'base-1 ×1 incoming near mint 400',
			'base-2 ×1 incoming 400',
			'base-3 ×1 incoming near mint 200'
		]);
	});

	test('some of a line in another condition are told apart, and what was said of a copy meanwhile stays', async () => {
		const ada = await seller('Ada', '1x3 2 nm');
		const [offer] = await gulls.collection.db.select().from(offers);
		const { id } = must(
			await placeOrder(gulls.collection, {
				...{ seller: ada, way: 'direct', bundles: [] },
				offers: [{ offer: offer?.id ?? rowId(0), quantity: 3 }]
			})
		);
		await gulls.collection.db.update(copies).set({ note: 'blue back' });
		const line = String((await view()).underWay[0]?.lines[0]?.id);
		const came = [{ quantity: 2 }, { quantity: 1, condition: 'poor' as const }];
		must(await checkInOrder(gulls.collection, id, [{ line, came, askedMinor: 0 }]));
		expect(await held()).toEqual(['base-1 ×2 kept near mint 367', 'base-1 ×1 kept poor 366']);
		expect((await gulls.collection.db.select().from(copies)).map(({ note }) => note)).toEqual([
			'blue back',
			'blue back'
		]);
	});

	test('settled, its cards still cost what was paid, to the last cent', async () => {
		const ada = await seller('Ada', '1x3 1; 2 1');
		const some = await gulls.collection.db.select().from(offers);
		const { id } = must(
			await placeOrder(gulls.collection, {
				...{ seller: ada, way: 'direct', bundles: [] },
				offers: some.map(({ id: offer, quantity }) => ({ offer, quantity }))
			})
		);
		const line = (await view()).underWay[0]?.lines[1]?.id ?? 0;
		must(await checkInOrder(gulls.collection, id, [{ line: String(line), came: [] }]));
		const total = async () =>
			(await gulls.collection.db.select().from(copies)).reduce(
				(sum, { quantity, costMinor }) => sum + quantity * (costMinor ?? 0),
				0
			);
		expect(await total()).toBe(400 + 500 - 100);
		must(await settleClaim(gulls.collection, id, rowId(line), 50));
		expect(await total()).toBe(400 + 500 - 50);
		expect((await changeOrder(gulls.collection, id, { postageMinor: 1 })).ok).toBe(false);
	});

	test('what was said to be here before it is checked in is not there twice; what was taken out comes all the same', async () => {
		const { collection } = gulls;
		const id = await orderAll('Ada', '1 2; 2 2');
		const [first, second] = await collection.db.select().from(copies);
		await editCopy(collection, first?.id ?? rowId(0), { status: 'kept' });
		await removeCopy(collection, second?.id ?? rowId(0));
		must(await checkInOrder(collection, id, []));
		expect((await held()).map((copy) => copy.split(' ').slice(0, 3).join(' '))).toEqual([
			'base-1 ×1 kept',
			'base-2 ×1 kept'
		]);
	});

	test('at the hub waits for others, and what the hub asks goes to each by its cards', async () => {
		const asked = { name: 'Hub', currency: 'EUR', forwarding: '1–4: 3; 5+: 5', days: 3 };
		must(await saveHub(gulls.collection, asked));
		const first = await orderAll('Ada', '1 1; 2 1', 'hub');
		await orderAll('Bram', '3 1; 4 1', 'hub');
		const tooSoon = await askForShipment(gulls.collection, [first]);
		expect(tooSoon.ok ? '' : tooSoon.problems[0]?.message).toMatch(/is not at the hub/);
		must(await changeOrder(gulls.collection, first, { state: 'at the hub' }));
		// Two now and two later are 6; four together in four days are 3.
		expect((await view()).hub?.advice).toMatchObject({
			nowMinor: 300,
			bestDays: 4,
			savesMinor: 300
		});
		expect(must(await askForShipment(gulls.collection, [first]))).toEqual({
			orders: 1,
			forwardingMinor: 300
		});
		expect((await view()).underWay.find(({ id }) => id === first)).toMatchObject({
			...{ state: 'shipment asked for', forwardingMinor: 300, paidMinor: 200 + 100 + 300 }
		});
	});

	test('its seller, or a release, may go: what was bought stays with its name, or goes with its cards', async () => {
		await orderAll('Ada', '1 1');
		const [stored] = await gulls.collection.db.select().from(orders);
		must(await removeSeller(gulls.collection, stored?.sellerId ?? rowId(0)));
		expect((await view()).underWay).toMatchObject([{ from: 'Ada', cards: 1 }]);
		expect(await removeRelease(gulls.collection, 'gulls-1996')).toBe(true);
		expect((await view()).underWay).toEqual([]);
		await undo(gulls.collection);
		expect((await view()).underWay).toMatchObject([{ from: 'Ada', cards: 1 }]);
	});

	test('what is gone, or is not there, is named, and nothing is ordered', async () => {
		const ada = await seller('Ada', '1 1');
		const draft = { seller: ada, way: 'direct' as const, offers: [], bundles: [] };
		const placed = [
			await placeOrder(gulls.collection, { ...draft, seller: rowId(99) }),
			await placeOrder(gulls.collection, { ...draft, offers: [{ offer: rowId(99), quantity: 1 }] }),
			await placeOrder(gulls.collection, { ...draft, bundles: [99] }),
			await placeOrder(gulls.collection, draft),
			await changeOrder(gulls.collection, rowId<'orders'>(99) satisfies OrderId, {
				state: 'shipped'
			}),
			await checkInOrder(gulls.collection, rowId(99), []),
			await askForShipment(gulls.collection, [rowId(99)])
		];
		expect(placed.map((outcome) => (outcome.ok ? '' : outcome.problems[0]?.message))).toEqual([
			'there is no such seller',
			'an offer of Ada cannot be had any more',
			'an offer of Ada cannot be had any more',
			'nothing is ordered',
			'there is no such order',
			'there is no such order',
			'there is no hub'
		]);
		expect(await held()).toEqual([]);
	});
});

test('a pick-up for one sum is here at once, each card at its share, with from whom and why', async () => {
	const { collection } = gulls;
	const pickUp = {
		cards: { release: 'gulls-1996', line: '1x2 2' },
		total: '1',
		currency: 'EUR',
		note: 'cheap'
	};
	must(await recordPickUp(collection, { ...pickUp, by: 'share', from: 'The fair' }));
	expect(await held()).toEqual(['base-1 ×1 kept 34', 'base-2 ×1 kept 33', 'base-1 ×1 kept 33']);
	expect((await view()).here).toMatchObject([
		{ from: 'The fair', note: 'cheap', paidMinor: 100, cards: 3 }
	]);
	const bad = await recordPickUp(collection, {
		...pickUp,
		cards: { release: 'gulls-1996', line: '99' },
		total: '-1',
		by: 'share',
		from: ' '
	});
	expect(bad.ok ? [] : bad.problems.map(({ field }) => field)).toEqual(['line', 'total', 'from']);
	const unvalued = await recordPickUp(collection, { ...pickUp, by: 'value', from: 'The fair' });
	expect(unvalued.ok).toBe(false);
	const single = { total: '0.50', currency: 'EUR', by: 'share', from: 'A fair', note: '' } as const;
	must(await recordPickUp(collection, { ...single, cards: { version: 'gulls-1996/base-3' } }));
	expect(await held()).toContain('base-3 ×1 kept 50');
	const gone = await recordPickUp(collection, { ...single, cards: { version: 'gulls-1996/x' } });
	expect(gone.ok).toBe(false);
});

test('a bid commits money and may bring a card; won it is an order, lost it is wanted as before', async () => {
	const { collection } = gulls;
	await goal();
	await seller('Ada', '1-4 3');
	const draft = { release: 'gulls-1996', most: '8', postage: '2', currency: 'EUR', from: 'A sale' };
	const bid = (line: string) =>
		placeBid(collection, { ...draft, line, endsOn: '1996-11-01', note: '' });
	const first = must(await bid('2 nm'));
	const second = must(await bid('3'));
	expect((await bid('2 3')).ok).toBe(false);
	expect((await view()).committed.bidsMinor).toBe(2000);
	expect((await plan()).view.asked).toBe(4);
	expect((await plan('bids=out')).view.asked).toBe(2);
	expect((await endBid(collection, first.id, 801)).ok).toBe(false);
	expect(await listBids(collection.db)).toHaveLength(2);
	must(await endBid(collection, first.id, 700));
	must(await endBid(collection, second.id, null));
	expect(await listBids(collection.db)).toEqual([]);
	expect((await view()).underWay).toMatchObject([{ from: 'A sale', paidMinor: 900, cards: 1 }]);
	expect((await plan()).view.asked).toBe(3);
});
