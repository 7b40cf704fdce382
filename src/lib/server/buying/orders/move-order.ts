import { inArray } from 'drizzle-orm';
import { CARD_GRAMS } from '../../../core/buying/offers/offer.ts';
import { postageOf } from '../../../core/buying/offers/postage-rule.ts';
import { mayBe, type OrderState } from '../../../core/buying/orders/order-state.ts';
import { spreadCost } from '../../../core/copies/spread-cost.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { OrderId } from '../../../core/row-id.ts';
import type { Collection } from '../../database/open.ts';
import { orderLines, orders } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { HUB } from '../../preferences/hub.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { removeCopyRows } from '../../removal/remove-copy-rows.ts';
import { dayAfter } from './day-after.ts';
import { copiesOfLines, noOrder, readOrder } from './order-rows.ts';

/** What of an order that is under way may be changed. */
export interface OrderChange {
	readonly state?: OrderState;
	readonly postageMinor?: number;
	/** ISO 8601 day; null: nobody has said. */
	readonly expectedOn?: string | null;
	readonly note?: string | null;
}

/** Says where an order is now, what sending it costs, when it is expected. It comes here by being checked in. */
export function changeOrder(
	collection: Collection,
	id: OrderId,
	change: OrderChange
): Promise<Outcome<{ readonly id: OrderId }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await readOrder(tx, id);
		if (!stored) return refused([noOrder]);
		const { order } = stored;
		const { state = order.state } = change;
		if (order.state === 'here' && (state !== 'here' || change.postageMinor !== undefined)) {
			const message = 'this order is here, and its cards have their costs';
			return refused([{ message, remedy: 'Undo takes the check-in back.' }]);
		}
		if (state !== order.state && !mayBe(order.way, state)) {
			const message =
				state === 'here'
					? 'an order comes here by being checked in'
					: `an order that comes ${order.way === 'direct' ? 'straight' : 'by the hub'} is never ${state}`;
			return refused([{ field: 'state', message, remedy: 'Choose another state.' }]);
		}
		const moved = state === order.state ? {} : { stateOn: collection.now().slice(0, 10) };
		await record.update(orders, id, { ...change, ...moved });
		return { value: good({ id }), label: `${order.from}: ${state}` };
	});
}

/**
 * Asks the hub to forward orders that lie there: what it asks goes to them by their cards, to the last minor unit.
 * It is reckoned in the hub's currency, and only orders in that one can share it.
 */
export function askForShipment(
	collection: Collection,
	ids: readonly OrderId[]
): Promise<Outcome<{ readonly orders: number; readonly forwardingMinor: number }>> {
	return makeChange(collection, async (record, tx) => {
		const hub = await readPreference(tx, HUB);
		if (!hub) return refused([{ message: 'there is no hub', remedy: 'Keep one under Offers.' }]);
		const some = await tx
			.select()
			.from(orders)
			.where(inArray(orders.id, [...ids]));
		if (some.length === 0 || some.length < new Set(ids).size) return refused([noOrder]);
		const problems = some.flatMap(({ from, state, currency }) => [
			...(state === 'at the hub'
				? []
				: [{ message: `the order at ${from} is not at the hub`, remedy: 'Leave it out.' }]),
			...(currency === hub.currency
				? []
				: [
						{
							message: `the order at ${from} is in ${currency}, the hub asks ${hub.currency}`,
							remedy: 'Ask for it apart, and write down what was paid.'
						}
					])
		]);
		if (problems.length > 0) return refused(problems);
		const lines = await tx
			.select()
			.from(orderLines)
			.where(inArray(orderLines.orderId, [...ids]));
		const cardsOf = new Map(some.map(({ id }) => [id, 0]));
		for (const { orderId, quantity } of lines) {
			cardsOf.set(orderId, (cardsOf.get(orderId) ?? 0) + quantity);
		}
		const cards = [...cardsOf.values()].reduce((sum, count) => sum + count, 0);
		const amountMinor = lines.reduce((sum, { minor }) => sum + minor, 0);
		const forwardingMinor = postageOf(hub.forwarding, {
			...{ cards, grams: cards * CARD_GRAMS, amountMinor }
		});
		if (!Number.isFinite(forwardingMinor)) {
			const message = `the hub forwards no parcel of ${cards} cards`;
			return refused([{ message, remedy: 'Ask for two shipments.' }]);
		}
		const share = spreadCost(
			forwardingMinor,
			[...cardsOf].map(([id, quantity]) => ({ key: String(id), quantity, valueMinor: null })),
			'share'
		);
		if (!share.ok) return refused(share.problems);
		const today = collection.now().slice(0, 10);
		for (const { id } of some) {
			const mine = share.value.filter(({ key }) => key === String(id));
			await record.update(orders, id, {
				...{ state: 'shipment asked for', stateOn: today },
				expectedOn: hub.days === null ? null : dayAfter(today, hub.days),
				forwardingMinor: mine.reduce((sum, part) => sum + part.quantity * part.costMinor, 0)
			});
		}
		const what = some.length === 1 ? 'an order' : `${some.length} orders`;
		return {
			value: good({ orders: some.length, forwardingMinor }),
			label: `${hub.name}: ask for ${what}`
		};
	});
}

/** Takes an order back that is not here: its cards are wanted again. */
export function cancelOrder(
	collection: Collection,
	id: OrderId
): Promise<Outcome<{ readonly removed: OrderId }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await readOrder(tx, id);
		if (!stored) return refused([noOrder]);
		const { order, lines } = stored;
		if (order.state === 'here') {
			const message = 'this order is here';
			return refused([{ message, remedy: 'Take its cards out one by one, or undo.' }]);
		}
		const came = await copiesOfLines(tx, lines);
		await removeCopyRows(
			record,
			tx,
			came.map((copy) => copy.id)
		);
		await record.remove(
			orderLines,
			lines.map((line) => line.id)
		);
		await record.remove(orders, [id]);
		return { value: good({ removed: id }), label: `Take the order at ${order.from} back` };
	});
}
