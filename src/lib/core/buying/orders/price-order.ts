import { sum } from 'd3-array';
import { good, bad, type Outcome, type Problem } from '../../problem.ts';
import type { Quality } from '../../copies/condition.ts';
import { CARD_GRAMS, type Bundle, type Offer, type Seller } from '../offers/offer.ts';
import { postageOf } from '../offers/postage-rule.ts';
import { priceByBreaks } from '../offers/price-breaks.ts';

/** Cards of one version that an order takes. */
export interface PricedLine extends Quality {
	/** Key of the offer, or of the bundle. */
	readonly from: string;
	readonly version: string;
	/** As many as come: a lot may hold more than was asked for. */
	readonly quantity: number;
	readonly house?: string;
	/** What all of them cost, in minor units. */
	readonly minor: number;
}

/** An order at one seller, with what it costs. */
export interface PricedOrder {
	readonly lines: readonly PricedLine[];
	readonly postageMinor: number;
}

/** What is ordered at a seller. */
export interface OrderRequest {
	readonly seller: Seller;
	readonly way: 'direct' | 'hub';
	readonly taken: readonly { readonly offer: Offer; readonly quantity: number }[];
	/** Each whole; the price of a bundle goes to its cards by number. */
	readonly bundles: readonly Bundle[];
}

/**
 * What an order at a seller costs: cards in the cheapest lots, postage by the seller's rule; bundles that are shipped
 * pay none and count for none. More than is offered, a way they do not send, a parcel that their rule does not take and
 * too small an order are problems, all at once.
 */
export function priceOrder({ seller, way, taken, bundles }: OrderRequest): Outcome<PricedOrder> {
	const problems: Problem[] = [];
	const single = taken.flatMap(({ offer, quantity }): readonly PricedLine[] => {
		const { minor, pieces } = priceByBreaks(offer.breaks, offer.quantity, quantity);
		const [cost, count] = [minor[quantity], pieces[quantity]];
		if (cost === undefined || count === undefined || quantity < 1) {
			const message = `${seller.name} has ${offer.quantity} of ${offer.version}, not ${quantity}`;
			problems.push({ pointer: '/offers', message, remedy: 'Order what is offered.' });
			return [];
		}
		const { version, condition, grade, house } = offer;
		return [
			{
				...{ from: offer.key, version, quantity: count, minor: cost },
				...(condition === undefined ? {} : { condition }),
				...(grade === undefined ? {} : { grade }),
				...(house === undefined ? {} : { house })
			}
		];
	});
	const linesOf = (bundle: Bundle): readonly PricedLine[] => {
		const cards = sum(bundle.items, ({ quantity }) => quantity);
		let [count, paid] = [0, 0];
		return bundle.items.map((item): PricedLine => {
			count += item.quantity;
			const upTo = Math.round((bundle.minor * count) / cards);
			const minor = upTo - paid;
			paid = upTo;
			return { from: bundle.key, ...item, minor };
		});
	};
	const apart = bundles.filter(({ isShipped }) => isShipped);
	const packed = bundles.filter(({ isShipped }) => !isShipped);
	const sent = [...single, ...packed.flatMap(linesOf)];
	const cards = sum(sent, ({ quantity }) => quantity);
	const amountMinor = sum(sent, ({ minor }) => minor);
	const rule = way === 'hub' ? seller.toHub : seller.direct;
	const say = (field: string, message: string, remedy: string) =>
		problems.push({ field, message, remedy });
	if (taken.length + bundles.length === 0) say('offers', 'nothing is ordered', 'Choose an offer.');
	if (!rule && cards > 0) {
		say(
			'way',
			`${seller.name} does not send ${way === 'hub' ? 'to the hub' : 'straight'}`,
			'Choose the other way.'
		);
	}
	const grams = sum(taken, ({ offer, quantity }) => quantity * (offer.grams ?? CARD_GRAMS));
	const bundled = sum(packed, ({ items }) => sum(items, ({ quantity }) => quantity));
	const shipment = { cards, grams: grams + bundled * CARD_GRAMS, amountMinor };
	const postageMinor = rule ? postageOf(rule, shipment) : 0;
	if (!Number.isFinite(postageMinor)) {
		say('offers', `${seller.name} sends no parcel of ${cards} cards`, 'Make two orders of it.');
	}
	const { leastOrderMinor: least = 0 } = seller;
	if (cards > 0 && amountMinor < least) {
		say(
			'offers',
			`the cards come to less than the least order of ${seller.name}`,
			'Order more there, or elsewhere.'
		);
	}
	if (problems.length > 0) return bad(problems);
	return good({ lines: [...sent, ...apart.flatMap(linesOf)], postageMinor });
}
