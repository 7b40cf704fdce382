import { postageOf } from '../offers/postage-rule.ts';
import { totalsOf } from './cost-of-selection.ts';
import { BY_HUB, type BuyingModel, type Selection } from './model.ts';

/**
 * What a card of each want costs in a plan, its share of postage and forwarding with it: where a bound begins. What
 * the plan does not get begins above its cheapest offer, and nothing below it.
 */
export function pricesOf(model: BuyingModel, selection: Selection): Float64Array {
	const { sellers, need, penalty, hub, firstArc, arcWant, offerSeller, offerCost, bundles } = model;
	const { cards, grams, amount, got } = totalsOf(model, selection);
	const shares = sellers.map(({ direct, toHub }, s) => {
		const rule = selection.mode[s] === BY_HUB ? toHub : direct;
		const shipment = {
			cards: cards[s] as number,
			grams: grams[s] as number,
			amountMinor: amount[s] as number
		};
		if (!rule || shipment.cards === 0) return 0;
		const postage = postageOf(rule, shipment);
		return postage === Infinity ? 0 : postage / shipment.cards;
	});
	const byHub = { cards: 0, grams: 0, amountMinor: 0 };
	for (let s = 0; s < sellers.length; s++) {
		if (selection.mode[s] !== BY_HUB) continue;
		byHub.cards += cards[s] as number;
		byHub.grams += grams[s] as number;
		byHub.amountMinor += amount[s] as number;
	}
	const forwarding = hub && byHub.cards > 0 ? postageOf(hub, byHub) / byHub.cards : 0;
	const hubShare = forwarding === Infinity ? 0 : forwarding;
	const price = new Float64Array(need.length);
	const dearest = Math.max(0, ...shares) + hubShare;
	const shareOf = (s: number) => (shares[s] ?? 0) + (selection.mode[s] === BY_HUB ? hubShare : 0);
	for (let o = 0; o < offerSeller.length; o++) {
		let count = 0;
		for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
			count += selection.take[a] as number;
		}
		if (count === 0) continue;
		const each = ((offerCost[o] as Float64Array)[count] as number) / count;
		for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
			const i = arcWant[a] as number;
			if ((selection.take[a] as number) === 0) continue;
			price[i] = Math.max(price[i] as number, each + shareOf(offerSeller[o] as number));
		}
	}
	for (const [b, { seller, minor, pieces, wants }] of bundles.entries()) {
		if (selection.bundle[b] === 0) continue;
		for (const { want } of wants) {
			price[want] = Math.max(price[want] as number, minor / pieces + shareOf(seller));
		}
	}
	for (let i = 0; i < need.length; i++) {
		const most = penalty[i] as number;
		// Never below its cheapest offer; what the plan does not get somewhere above it: the bound finds how far.
		let cheapest = Infinity;
		for (const a of model.arcsOf[i] as Int32Array) {
			cheapest = Math.min(cheapest, offerCost[model.arcOffer[a] as number]?.[1] ?? Infinity);
		}
		if (cheapest < Infinity) {
			const least = cheapest + ((got[i] as number) === 0 ? dearest : 0);
			price[i] = Math.max(price[i] as number, least);
		}
		price[i] = Math.min(most, price[i] as number);
	}
	return price;
}
