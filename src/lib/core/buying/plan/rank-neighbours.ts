import { slopeOf, type PostageRule } from '../offers/postage-rule.ts';
import { CARD_GRAMS } from '../offers/offer.ts';
import { BY_HUB, CLOSED, DIRECT, type BuyingModel, type Mode, type Selection } from './model.ts';

/** One seller used otherwise, and perhaps another one closed for it. */
export interface Neighbour {
	readonly seller: number;
	readonly way: Mode;
	/** The seller that is closed for it; -1: none. */
	readonly instead: number;
	/** What it would about change, in minor units. */
	readonly change: number;
}

/**
 * Makes the function that ranks the neighbours of a selection by what they would about change, all of them in one
 * look at every arc: what each want pays now and would pay at its second choice tells what opening, closing and
 * exchanging sellers brings (Resende and Werneck 2007, from memory). Postage counts as so much an order and so much a
 * card: a guess by which the few that are worth a closer look are chosen.
 */
export function makeRanking(model: BuyingModel, ways: readonly (readonly Mode[])[]) {
	const { need, penalty, sellers, offerSeller, offerCost, offerPieces, arcOffer, arcWant, hub } =
		model;
	const arcs = arcWant.length;
	const arcSeller = new Int32Array(arcs);
	const unit = new Float64Array(arcs);
	const pieces = new Float64Array(arcs);
	for (let a = 0; a < arcs; a++) {
		const o = arcOffer[a] as number;
		arcSeller[a] = offerSeller[o] as number;
		unit[a] = (offerCost[o] as Float64Array)[1] ?? Infinity;
		pieces[a] = (offerPieces[o] as Int32Array)[1] ?? 1;
	}
	const hubSlope = hub ? slopeOf(hub, CARD_GRAMS) : 0;
	const slopes = new Float64Array(3 * sellers.length);
	const fees = new Float64Array(3 * sellers.length);
	for (const [s, { direct, toHub }] of sellers.entries()) {
		if (direct)
			[slopes[3 * s + DIRECT], fees[3 * s + DIRECT]] = [slopeOf(direct, CARD_GRAMS), feeOf(direct)];
		if (toHub) {
			slopes[3 * s + BY_HUB] = slopeOf(toHub, CARD_GRAMS) + hubSlope;
			fees[3 * s + BY_HUB] = feeOf(toHub);
		}
	}
	const hubFee = hub ? feeOf(hub) : 0;
	const first = new Float64Array(need.length);
	const second = new Float64Array(need.length);
	const from = new Int32Array(need.length);
	const saves = new Float64Array(sellers.length);
	const gains = new Float64Array(3 * sellers.length);
	const place = new Int32Array(sellers.length);

	/**
	 * @param hubIsPaid the forwarding is reckoned as paid already, so that sellers may begin to use the hub
	 * @param withExchanges one seller for another too
	 */
	return (
		{ mode, bundle }: Selection,
		hubIsPaid: boolean,
		withExchanges: boolean
	): readonly Neighbour[] => {
		first.set(penalty);
		second.set(penalty);
		from.fill(-1);
		for (let a = 0; a < arcs; a++) {
			const s = arcSeller[a] as number;
			const way = mode[s] as number;
			if (way === CLOSED) continue;
			const cost = (unit[a] as number) + (slopes[3 * s + way] as number) * (pieces[a] as number);
			const i = arcWant[a] as number;
			if (cost < (first[i] as number)) {
				second[i] = first[i] as number;
				first[i] = cost;
				from[i] = s;
			} else if (cost < (second[i] as number)) second[i] = cost;
		}
		for (const [b, { wants }] of model.bundles.entries()) {
			// What a bundle brings is paid already.
			if (bundle[b] === 1)
				for (const { want } of wants) [first[want], second[want], from[want]] = [0, 0, -1];
		}
		const open: number[] = [];
		for (let s = 0; s < sellers.length; s++) {
			if (mode[s] === CLOSED) continue;
			place[s] = open.length;
			open.push(s);
		}
		const isByHub = hubIsPaid || open.some((s) => mode[s] === BY_HUB);
		// Closing: what its wants pay more elsewhere, less its postage.
		saves.fill(0);
		for (let i = 0; i < need.length; i++) {
			const s = from[i] as number;
			if (s < 0) continue;
			saves[s] =
				(saves[s] as number) + (need[i] as number) * ((second[i] as number) - (first[i] as number));
		}
		gains.fill(0);
		const mixed = new Float64Array(withExchanges ? 3 * sellers.length * open.length : 0);
		for (let a = 0; a < arcs; a++) {
			const s = arcSeller[a] as number;
			const i = arcWant[a] as number;
			const many = need[i] as number;
			const best = first[i] as number;
			const next = second[i] as number;
			const f = from[i] as number;
			for (let way = DIRECT; way <= BY_HUB; way++) {
				if (mode[s] === way) continue;
				const cost = (unit[a] as number) + (slopes[3 * s + way] as number) * (pieces[a] as number);
				const k = 3 * s + way;
				if (cost < best) {
					gains[k] = (gains[k] as number) + many * (cost - best);
					if (f >= 0 && withExchanges) add(k, f, many * (best - next));
				} else if (withExchanges && f >= 0 && cost < next) add(k, f, many * (cost - next));
			}
		}
		const list: Neighbour[] = [];
		const closing = (s: number) =>
			(saves[s] as number) - (fees[3 * s + (mode[s] as number)] as number);
		for (const s of open) {
			if (ways[s]?.includes(CLOSED)) {
				list.push({ seller: s, way: CLOSED, instead: -1, change: closing(s) });
			}
		}
		for (let s = 0; s < sellers.length; s++) {
			for (const way of ways[s] ?? []) {
				if (way === CLOSED || way === mode[s]) continue;
				const fee = (fees[3 * s + way] as number) + (way === BY_HUB && !isByHub ? hubFee : 0);
				if (mode[s] !== CLOSED) {
					// Sent otherwise: closed and opened at once.
					const now = 3 * s + (mode[s] as number);
					list.push({ seller: s, way, instead: -1, change: fee - (fees[now] as number) });
					continue;
				}
				const opening = fee + (gains[3 * s + way] as number);
				list.push({ seller: s, way, instead: -1, change: opening });
				for (const t of withExchanges ? open : []) {
					if (!ways[t]?.includes(CLOSED)) continue;
					const both = mixed[(3 * s + way) * open.length + (place[t] as number)] as number;
					list.push({ seller: s, way, instead: t, change: opening + closing(t) + both });
				}
			}
		}
		return list;

		function add(k: number, f: number, value: number): void {
			const at = k * open.length + (place[f] as number);
			mixed[at] = (mixed[at] as number) + value;
		}
	};
}

/** What an order costs at least, beside what each card adds. */
function feeOf(rule: PostageRule): number {
	return rule.sort === 'each' ? rule.firstMinor - rule.furtherMinor : (rule.tiers[0]?.minor ?? 0);
}
