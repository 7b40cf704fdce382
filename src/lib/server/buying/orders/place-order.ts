import { eq, inArray } from 'drizzle-orm';
import type { Bundle, Offer, Seller } from '../../../core/buying/offers/offer.ts';
import { priceOrder } from '../../../core/buying/orders/price-order.ts';
import { bad, good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { OfferId, OrderId, SellerId } from '../../../core/row-id.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { offerBundles, offers, releases, sellers } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { practiceMarket, PRACTICE_MARKET } from '../market/practice.ts';
import { asBundle, asOffer, asSeller } from '../sellers/offer-rows.ts';
import { dayAfter } from './day-after.ts';
import { insertOrder } from './order-rows.ts';

/** What is ordered at a seller. */
export interface OrderDraft {
	readonly seller: SellerId;
	readonly way: 'direct' | 'hub';
	readonly offers: readonly { readonly offer: OfferId; readonly quantity: number }[];
	/** Bundles, by their ids. */
	readonly bundles: readonly number[];
}

/**
 * Orders cards of a seller's offers: they are on their way from now on, and offered no more. Postage goes by the
 * seller's rule. With any problem nothing is ordered.
 */
export function placeOrder(
	collection: Collection,
	draft: OrderDraft
): Promise<Outcome<{ readonly id: OrderId; readonly cards: number }>> {
	return makeChange(collection, async (record, tx) => {
		const chosen = await readDraft(tx, draft);
		if (!chosen.ok) return refused(chosen.problems);
		const { row, seller, taken, bundles } = chosen.value;
		const priced = priceOrder({ seller, way: draft.way, taken, bundles });
		if (!priced.ok) return refused(priced.problems);
		const { lines, postageMinor } = priced.value;
		// What is sold at a market is ordered there: it may be gone.
		const placed =
			row.market === PRACTICE_MARKET && row.marketKey !== null
				? await practiceMarket(record, tx).order({
						...{ seller: row.marketKey, way: draft.way },
						lines: lines.map(({ version, condition = null, quantity, minor }) => ({
							...{ version, condition, quantity, minor }
						}))
					})
				: good({ reference: null });
		if (!placed.ok) return refused(placed.problems);
		const known = await tx.select({ id: releases.id, key: releases.key }).from(releases);
		const releaseOf = new Map(known.map(({ id, key }) => [key, id]));
		const bought = lines.flatMap(({ from: _, ...line }) => {
			const releaseId = releaseOf.get(line.version.split('/')[0] ?? '');
			return releaseId === undefined ? [] : [{ ...line, releaseId }];
		});
		const today = collection.now().slice(0, 10);
		const days = draft.way === 'hub' ? row.daysToHub : row.days;
		const id = await insertOrder(
			record,
			{
				...{ sellerId: row.id, from: row.name, way: draft.way, currency: row.currency },
				...{ state: 'awaiting payment', stateOn: today, orderedOn: today, postageMinor },
				expectedOn: days === null ? null : dayAfter(today, days),
				reference: placed.value.reference
			},
			bought,
			collection.now()
		);
		// What is ordered is offered no more.
		const came = new Map(lines.map(({ from, quantity }) => [from, quantity]));
		for (const { offer } of taken) {
			const left = offer.quantity - (came.get(offer.key) ?? 0);
			const offerId = Number(offer.key);
			if (left > 0) await record.update(offers, offerId, { quantity: left });
			else await record.remove(offers, [offerId]);
		}
		await record.remove(offerBundles, draft.bundles);
		const cards = lines.reduce((sum, { quantity }) => sum + quantity, 0);
		return { value: good({ id, cards }), label: `Order at ${row.name}` };
	});
}

/** The rows that a draft names, as the core knows them; what is not there any more is a problem. */
async function readDraft(
	tx: Transaction,
	draft: OrderDraft
): Promise<
	Outcome<{
		readonly row: typeof sellers.$inferSelect;
		readonly seller: Seller;
		readonly taken: readonly { readonly offer: Offer; readonly quantity: number }[];
		readonly bundles: readonly Bundle[];
	}>
> {
	const [row] = await tx.select().from(sellers).where(eq(sellers.id, draft.seller));
	if (!row) return bad([{ message: 'there is no such seller', remedy: 'Reload the page.' }]);
	const counts = new Map<OfferId, number>();
	for (const { offer, quantity } of draft.offers) {
		counts.set(offer, (counts.get(offer) ?? 0) + quantity);
	}
	const ofSeller = ({ sellerId }: { readonly sellerId: SellerId }) => sellerId === row.id;
	const known = (
		await tx
			.select()
			.from(offers)
			.where(inArray(offers.id, [...counts.keys()]))
	).filter(ofSeller);
	const whole = (
		await tx
			.select()
			.from(offerBundles)
			.where(inArray(offerBundles.id, [...draft.bundles]))
	).filter(ofSeller);
	const missing = counts.size - known.length + new Set(draft.bundles).size - whole.length;
	if (missing > 0) {
		const what = missing === 1 ? 'an offer' : `${missing} offers`;
		const problem: Problem = {
			...{ pointer: '/offers', message: `${what} of ${row.name} cannot be had any more` },
			remedy: 'It was ordered or changed meanwhile: search the plan anew.'
		};
		return bad([problem]);
	}
	return good({
		row,
		seller: asSeller(row),
		taken: known.map((offer) => ({ offer: asOffer(offer), quantity: counts.get(offer.id) ?? 0 })),
		bundles: whole.map((bundle) => asBundle(bundle))
	});
}
