import { postageOf } from '../offers/postage-rule.ts';
import { BY_HUB, type BuyingModel, type Selection } from './model.ts';

/** What is ordered of each seller, and what it comes to. */
export interface SelectionCost {
	/** All together with what is not got: what a plan is judged by. Infinity where it cannot be. */
	readonly value: number;
	/** What is paid: cards, postage of each seller, forwarding of the hub. */
	readonly cards: number;
	readonly postage: number;
	readonly forwarding: number;
	/** Cards wanted that are not got. */
	readonly uncovered: number;
	/** Sellers bought from. */
	readonly sellers: number;
}

/** Cards, grams and money of each seller. */
export interface Totals {
	readonly cards: Float64Array;
	readonly grams: Float64Array;
	readonly amount: Float64Array;
	/** By want: how many are got. */
	readonly got: Int32Array;
}

export function totalsOf(model: BuyingModel, { take, bundle }: Selection): Totals {
	const { sellers, need, firstArc, arcWant, offerSeller, offerCost, offerPieces, offerGrams } =
		model;
	const totals: Totals = {
		cards: new Float64Array(sellers.length),
		grams: new Float64Array(sellers.length),
		amount: new Float64Array(sellers.length),
		got: new Int32Array(need.length)
	};
	const { cards, grams, amount, got } = totals;
	for (let o = 0; o < offerSeller.length; o++) {
		let count = 0;
		for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
			const taken = take[a] as number;
			if (taken === 0) continue;
			count += taken;
			(got[arcWant[a] as number] as number) += taken;
		}
		if (count === 0) continue;
		const s = offerSeller[o] as number;
		const pieces = (offerPieces[o] as Int32Array)[count] as number;
		(cards[s] as number) += pieces;
		(grams[s] as number) += pieces * (offerGrams[o] as number);
		(amount[s] as number) += (offerCost[o] as Float64Array)[count] as number;
	}
	for (const [b, { seller, minor, pieces, grams: weight, wants }] of model.bundles.entries()) {
		if (bundle[b] === 0) continue;
		(cards[seller] as number) += pieces;
		(grams[seller] as number) += weight;
		(amount[seller] as number) += minor;
		for (const { want, count } of wants) (got[want] as number) += count;
	}
	return totals;
}

/**
 * What a selection costs, exactly. Infinity where a rule takes no more cards, an order is below its least, nothing
 * is bought where something has to be, or too many sellers are bought from.
 */
export function costOfSelection(model: BuyingModel, selection: Selection): SelectionCost {
	return costOfTotals(model, selection.mode, totalsOf(model, selection));
}

export function costOfTotals(
	{ sellers, need, penalty, hub, mostSellers }: BuyingModel,
	mode: Uint8Array,
	{ cards, grams, amount, got }: Totals
): SelectionCost {
	let [paid, postage, forwarding, missing, uncovered, count] = [0, 0, 0, 0, 0, 0];
	let [hubCards, hubGrams, hubAmount] = [0, 0, 0];
	for (const [s, { direct, toHub, leastOrderMinor, isIn }] of sellers.entries()) {
		const shipment = {
			cards: cards[s] as number,
			grams: grams[s] as number,
			amountMinor: amount[s] as number
		};
		if (shipment.cards === 0) {
			if (isIn) postage = Infinity;
			continue;
		}
		const isByHub = mode[s] === BY_HUB;
		const rule = isByHub ? toHub : direct;
		count++;
		paid += shipment.amountMinor;
		postage +=
			rule && shipment.amountMinor >= leastOrderMinor ? postageOf(rule, shipment) : Infinity;
		if (isByHub) {
			hubCards += shipment.cards;
			hubGrams += shipment.grams;
			hubAmount += shipment.amountMinor;
		}
	}
	if (hubCards > 0) {
		const shipment = { cards: hubCards, grams: hubGrams, amountMinor: hubAmount };
		forwarding = hub ? postageOf(hub, shipment) : Infinity;
	}
	for (let i = 0; i < need.length; i++) {
		const left = Math.max(0, (need[i] as number) - (got[i] as number));
		uncovered += left;
		missing += left * (penalty[i] as number);
	}
	const isTooMany = count > mostSellers;
	return {
		value: isTooMany ? Infinity : paid + postage + forwarding + missing,
		...{ cards: paid, postage, forwarding, uncovered, sellers: count }
	};
}
