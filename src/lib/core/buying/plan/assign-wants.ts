import { mostOf, slopeOf } from '../offers/postage-rule.ts';
import { CARD_GRAMS } from '../offers/offer.ts';
import type { Totals } from './cost-of-selection.ts';
import {
	BY_HUB,
	CLOSED,
	DIRECT,
	type BuyingModel,
	type ModelBundle,
	type Selection
} from './model.ts';

/** Gives every want its cheapest place among the sellers that are open: fills `take` of a selection, gives its totals. */
export type Assign = (selection: Selection, hubSlope: number) => Totals;

/**
 * Makes the function that assigns wants to open sellers: want by want the cheapest card by its price and what a
 * further card adds to the postage (the hub's as `hubSlope`, in minor units a card), those with the fewest offers
 * first. Where postage is so much a card, and no two wants share an offer, that is the best there is; steps,
 * thresholds and lots are mended by `improveByMoves`. The totals are those of the last call: they are used again.
 */
export function makeAssign(model: BuyingModel): Assign {
	const { need, penalty, sellers, arcsOf, arcOffer, bundles } = model;
	const { offerSeller, offerMost, offerCost, offerPieces, offerGrams } = model;
	const order = [...need.keys()].sort(
		(a, b) => (arcsOf[a] as Int32Array).length - (arcsOf[b] as Int32Array).length || a - b
	);
	const arcSeller = Int32Array.from(arcOffer, (o) => offerSeller[o] as number);
	const unit = Float64Array.from(arcOffer, (o) => offerCost[o]?.[1] ?? Infinity);
	const unitPieces = Float64Array.from(arcOffer, (o) => offerPieces[o]?.[1] ?? 1);
	/** Whether a card of an offer costs the same however many are taken. */
	const isPlain = Uint8Array.from(offerCost, (costs) =>
		costs.every((cost, n) => cost === n * (costs[1] as number)) ? 1 : 0
	);
	const ruleOf = (s: number, way: number) =>
		way === DIRECT ? (sellers[s]?.direct ?? null) : (sellers[s]?.toHub ?? null);
	const slopes = new Float64Array(3 * sellers.length);
	const cardLimits = new Float64Array(3 * sellers.length);
	const gramLimits = new Float64Array(3 * sellers.length);
	for (let s = 0; s < sellers.length; s++) {
		for (const way of [DIRECT, BY_HUB]) {
			const rule = ruleOf(s, way);
			if (!rule) continue;
			slopes[3 * s + way] = slopeOf(rule, CARD_GRAMS);
			({ cards: cardLimits[3 * s + way], grams: gramLimits[3 * s + way] } = mostOf(rule));
		}
	}
	const used = new Int32Array(offerSeller.length);
	const further = new Float64Array(sellers.length);
	const isOpen = new Uint8Array(sellers.length);
	const totals: Totals = {
		cards: new Float64Array(sellers.length),
		grams: new Float64Array(sellers.length),
		amount: new Float64Array(sellers.length),
		got: new Int32Array(need.length)
	};
	const { cards, grams, amount, got } = totals;

	return ({ mode, take, bundle }, hubSlope) => {
		take.fill(0);
		used.fill(0);
		for (const some of [cards, grams, amount, got]) some.fill(0);
		let isLimited = false;
		for (let s = 0; s < sellers.length; s++) {
			const way = mode[s] as number;
			isOpen[s] = way === CLOSED ? 0 : 1;
			if (way === CLOSED) continue;
			further[s] = (slopes[3 * s + way] as number) + (way === BY_HUB ? hubSlope : 0);
			const limit = Math.min(cardLimits[3 * s + way] as number, gramLimits[3 * s + way] as number);
			isLimited ||= limit < Infinity;
		}
		for (let b = 0; b < bundles.length; b++) {
			if (bundle[b] === 0) continue;
			const { seller, minor, pieces, grams: weight, wants } = bundles[b] as ModelBundle;
			cards[seller] = (cards[seller] as number) + pieces;
			grams[seller] = (grams[seller] as number) + weight;
			amount[seller] = (amount[seller] as number) + minor;
			for (const { want, count } of wants) got[want] = (got[want] as number) + count;
		}
		for (let k = 0; k < order.length; k++) {
			const i = order[k] as number;
			const arcs = arcsOf[i] as Int32Array;
			let left = (need[i] as number) - (got[i] as number);
			while (left > 0) {
				let best = -1;
				let least = penalty[i] as number;
				let many = 0;
				for (let n = 0; n < arcs.length; n++) {
					const a = arcs[n] as number;
					const s = arcSeller[a] as number;
					if (isOpen[s] === 0) continue;
					const o = arcOffer[a] as number;
					if (left === 1 || isPlain[o] === 1) {
						// The first card of it tells: all of it, or there is only one to be had.
						const have = used[o] as number;
						const room = (offerMost[o] as number) - have;
						if (room <= 0) continue;
						const cost =
							isPlain[o] === 1 || have === 0
								? (unit[a] as number) + (further[s] as number) * (unitPieces[a] as number)
								: lot(o, s, have, 1);
						if (cost >= least || (isLimited && !fits(mode, o, s, 1))) continue;
						[best, least, many] = [a, cost, Math.min(left, room)];
						continue;
					}
					const have = used[o] as number;
					for (let count = Math.min(left, (offerMost[o] as number) - have); count >= 1; count--) {
						const cost = lot(o, s, have, count) / count;
						if (cost >= least || (isLimited && !fits(mode, o, s, count))) continue;
						[best, least, many] = [a, cost, count];
					}
				}
				if (best < 0) break;
				if (isLimited && isPlain[arcOffer[best] as number] === 1) many = 1;
				book(best, many);
				take[best] = (take[best] as number) + many;
				got[i] = (got[i] as number) + many;
				left -= many;
			}
		}
		return totals;
	};

	/** What so many more of an offer cost, with what they add to the postage. */
	function lot(o: number, s: number, have: number, count: number): number {
		const costs = offerCost[o] as Float64Array;
		const pieces = offerPieces[o] as Int32Array;
		const more = (pieces[have + count] as number) - (pieces[have] as number);
		return (
			(costs[have + count] as number) - (costs[have] as number) + (further[s] as number) * more
		);
	}

	function fits(mode: Uint8Array, o: number, s: number, count: number): boolean {
		const have = used[o] as number;
		const pieces = offerPieces[o] as Int32Array;
		const more = (pieces[have + count] as number) - (pieces[have] as number);
		const way = 3 * s + (mode[s] as number);
		return (
			(cards[s] as number) + more <= (cardLimits[way] as number) &&
			(grams[s] as number) + more * (offerGrams[o] as number) <= (gramLimits[way] as number)
		);
	}

	function book(arc: number, many: number): void {
		const o = arcOffer[arc] as number;
		const s = arcSeller[arc] as number;
		const have = used[o] as number;
		const costs = offerCost[o] as Float64Array;
		const pieces = offerPieces[o] as Int32Array;
		const more = (pieces[have + many] as number) - (pieces[have] as number);
		cards[s] = (cards[s] as number) + more;
		grams[s] = (grams[s] as number) + more * (offerGrams[o] as number);
		amount[s] = (amount[s] as number) + (costs[have + many] as number) - (costs[have] as number);
		used[o] = have + many;
	}
}
