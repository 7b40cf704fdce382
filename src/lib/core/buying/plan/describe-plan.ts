import { postageOf } from '../offers/postage-rule.ts';
import type { CompiledModel, UnservedReason } from './compile-model.ts';
import { costOfTotals, totalsOf } from './cost-of-selection.ts';
import { NOWHERE, openLedger } from './ledger.ts';
import { arcsOfOffer, BY_HUB, CLOSED, type BuyingModel, type Selection } from './model.ts';

/** What is ordered of one offer for one want. */
export interface PlanLine {
	readonly offer: string;
	readonly want: string;
	readonly quantity: number;
	/** What these cards cost, in minor units; a share where one offer serves several wants. */
	readonly minor: number;
	/** What leaving them out would save, each: the card and what it adds to the postage. */
	readonly savesMinor: number;
	/** The next best offer for it, and by how much the plan would be dearer; null: there is none. */
	readonly next: { readonly offer: string; readonly dearerMinor: number } | null;
}

/** One order at one seller. */
export interface PlanOrder {
	readonly seller: string;
	readonly way: 'direct' | 'hub';
	readonly lines: readonly PlanLine[];
	readonly bundles: readonly string[];
	/** Cards that come, lots and bundles with more than was asked for in full. */
	readonly cards: number;
	readonly cardsMinor: number;
	readonly postageMinor: number;
}

/** A plan: what is ordered where, what that costs, and what is not got. Money in minor units. */
export interface BuyingPlan {
	readonly orders: readonly PlanOrder[];
	readonly cardsMinor: number;
	readonly postageMinor: number;
	readonly forwardingMinor: number;
	readonly totalMinor: number;
	/** Wanted cards that are got. */
	readonly covered: number;
	readonly left: readonly {
		readonly want: string;
		readonly count: number;
		readonly why: UnservedReason | 'not worth it';
	}[];
}

/** Writes a selection out as orders, the largest first. */
export function describePlan(compiled: CompiledModel, selection: Selection): BuyingPlan {
	const { model, sellerKeys, wantKeys, offerKeys, bundleKeys, unserved } = compiled;
	const totals = totalsOf(model, selection);
	const cost = costOfTotals(model, selection.mode, totals);
	const ledger = openLedger(model, selection);
	const orders = model.sellers.flatMap((seller, s): readonly PlanOrder[] => {
		const cards = totals.cards[s] as number;
		if (cards === 0) return [];
		const isByHub = selection.mode[s] === BY_HUB;
		const rule = isByHub ? seller.toHub : seller.direct;
		const cardsMinor = totals.amount[s] as number;
		const shipment = { cards, grams: totals.grams[s] as number, amountMinor: cardsMinor };
		const lines = [...(model.offersOf[s] as Int32Array)].flatMap((o): readonly PlanLine[] => {
			const arcs = arcsOfOffer(model, o).filter((a) => (selection.take[a] as number) > 0);
			const count = arcs.reduce((sum, a) => sum + (selection.take[a] as number), 0);
			const minor = (model.offerCost[o] as Float64Array)[count] as number;
			return arcs.map((a) => {
				const quantity = selection.take[a] as number;
				const want = model.arcWant[a] as number;
				const fee = (model.penalty[want] as number) * quantity;
				const saved = fee - ledger.changeOf(want, a, NOWHERE, quantity);
				return {
					...{ offer: offerKeys[o] ?? '', want: wantKeys[want] ?? '', quantity },
					minor: Math.round((minor * quantity) / count),
					savesMinor: Math.round(Math.min(saved, cost.value) / quantity),
					next: nextBest(a, want, quantity)
				};
			});
		});
		const bundles = model.bundles.flatMap((bundle, b) =>
			bundle.seller === s && selection.bundle[b] === 1 ? (bundleKeys[b] ?? []) : []
		);
		const postageMinor = rule ? postageOf(rule, shipment) : 0;
		const way = isByHub ? 'hub' : 'direct';
		return [{ seller: sellerKeys[s] ?? '', way, lines, bundles, cards, cardsMinor, postageMinor }];
	});
	const asked = model.need.reduce((sum, count) => sum + count, 0);
	return {
		orders: orders.sort((a, b) => b.cards - a.cards),
		cardsMinor: cost.cards,
		postageMinor: cost.postage,
		forwardingMinor: cost.forwarding,
		totalMinor: cost.cards + cost.postage + cost.forwarding,
		covered: asked - cost.uncovered,
		left: [
			...unserved,
			...wantKeys.flatMap((want, i) => {
				const count = (model.need[i] as number) - (totals.got[i] as number);
				return count > 0 ? [{ want, count, why: 'not worth it' as const }] : [];
			})
		]
	};

	function nextBest(from: number, want: number, many: number): PlanLine['next'] {
		let [best, least] = [-1, Infinity];
		for (const to of model.arcsOf[want] as Int32Array) {
			const o = model.arcOffer[to] as number;
			if (to === from || !ledger.hasRoom(to, many, 0)) continue;
			const s = model.offerSeller[o] as number;
			const change =
				selection.mode[s] === CLOSED
					? ledger.changeOf(want, from, NOWHERE, many) -
						(model.penalty[want] as number) * many +
						aloneCost(model, o, many)
					: ledger.changeOf(want, from, to, many);
			if (change < least) [best, least] = [o, change];
		}
		return best < 0 || least > 1e9
			? null
			: { offer: offerKeys[best] ?? '', dearerMinor: Math.round(least) };
	}
}

/** What cards of an offer cost when nothing else is bought there, straight or into the hub that is paid already. */
function aloneCost(model: BuyingModel, o: number, many: number): number {
	const { direct, toHub } = model.sellers[model.offerSeller[o] as number] ?? {};
	const amountMinor = (model.offerCost[o] as Float64Array)[many] ?? Infinity;
	const cards = (model.offerPieces[o] as Int32Array)[many] ?? many;
	const shipment = { cards, grams: cards * (model.offerGrams[o] as number), amountMinor };
	const least = model.sellers[model.offerSeller[o] as number]?.leastOrderMinor ?? 0;
	if (amountMinor < least) return Infinity;
	const ways = [direct, model.hub ? toHub : null].flatMap((rule) =>
		rule ? [postageOf(rule, shipment)] : []
	);
	return amountMinor + Math.min(Infinity, ...ways);
}
