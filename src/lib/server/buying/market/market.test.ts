import { expect, test } from 'vitest';
import { copies, offers, orders, sellers } from '../../database/tables/index.ts';
import { withGulls } from '../../gulls.fixture.ts';
import { undo } from '../../journal/undo.ts';
import { buyingOn } from '../buying.fixture.ts';
import { saveHub } from '../sellers/edit-sellers.ts';
import { changeOrder } from '../orders/move-order.ts';
import { placeOrder } from '../orders/place-order.ts';
import { askMarket, leaveMarket, waitAtMarket } from './ask-market.ts';

const gulls = withGulls();
const { goal, plan } = buyingOn(gulls);

test('the practice market offers what is wanted, takes orders, and moves them by its own clock', async () => {
	const { collection } = gulls;
	expect((await askMarket(collection)).ok).toBe(false);
	await goal(3);
	const asked = await askMarket(collection);
	expect(asked).toMatchObject({ ok: true, value: { sellers: 4 } });
	const first = await collection.db.select().from(offers);
	// Asked again, nothing is doubled.
	await askMarket(collection);
	const strip = (some: typeof first) => some.map(({ id: _, ...offer }) => offer);
	expect(strip(await collection.db.select().from(offers))).toEqual(strip(first));
	expect((await plan()).view.plan.covered).toBeGreaterThan(0);

	const [offer] = await collection.db.select().from(offers);
	if (!offer) throw new RangeError('the market has nothing');
	const draft = { seller: offer.sellerId, way: 'direct' as const, bundles: [] };
	const placed = await placeOrder(collection, {
		...draft,
		offers: [{ offer: offer.id, quantity: offer.quantity }]
	});
	expect(placed.ok).toBe(true);
	const state = async () => (await collection.db.select().from(orders))[0]?.state;
	const seen = [await state()];
	for (let day = 0; day < 14; day++) {
		await waitAtMarket(collection, 1);
		const now = await state();
		if (now !== seen.at(-1)) seen.push(now);
	}
	expect(seen.filter((each) => each !== 'trouble')).toEqual([
		'awaiting payment',
		'being filled',
		'shipped'
	]);
	expect((await collection.db.select().from(copies)).map(({ status }) => status)).toEqual([
		'incoming'
	]);
	// What was ordered is not offered again in that week.
	for (let i = 0; i < 14; i++) await undo(collection);
	await askMarket(collection);
	const again = await collection.db.select().from(offers);
	expect(
		again.some(({ sellerId, version }) => sellerId === offer.sellerId && version === offer.version)
	).toBe(false);
	expect((await leaveMarket(collection)).ok).toBe(true);
	expect(await collection.db.select().from(sellers)).toEqual([]);
	expect((await collection.db.select().from(orders))[0]?.from).toBeTruthy();
});

test('what the market has sold meanwhile is named, and nothing is ordered; what one says of an order stays', async () => {
	const { collection } = gulls;
	await goal(3);
	await askMarket(collection);
	await saveHub(collection, { name: 'Hub', currency: 'EUR', forwarding: '5', days: 3 });
	const [offer] = await collection.db.select().from(offers);
	if (!offer) throw new RangeError('the market has nothing');
	await collection.db.update(offers).set({ breaks: [{ count: 1, minor: 1 }] });
	const draft = { seller: offer.sellerId, way: 'direct' as const, bundles: [] };
	const placed = await placeOrder(collection, {
		...draft,
		offers: [{ offer: offer.id, quantity: 1 }]
	});
	expect(placed.ok ? '' : placed.problems[0]?.message).toMatch(/another price or number by now/);
	expect(await collection.db.select().from(orders)).toEqual([]);
	await askMarket(collection);
	const fresh = (await collection.db.select().from(offers)).find(
		({ sellerId }) => sellerId === offer.sellerId
	);
	const done = await placeOrder(collection, {
		...draft,
		offers: [{ offer: fresh?.id ?? offer.id, quantity: 1 }]
	});
	if (!done.ok) throw new RangeError(JSON.stringify(done.problems));
	await changeOrder(collection, done.value.id, { state: 'shipped' });
	await waitAtMarket(collection, 2);
	expect((await collection.db.select().from(orders))[0]?.state).toMatch(/shipped|trouble/);
});
