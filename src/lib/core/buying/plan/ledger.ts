import { postageOf, type PostageRule } from '../offers/postage-rule.ts';
import { totalsOf } from './cost-of-selection.ts';
import { BY_HUB, type BuyingModel, type Selection } from './model.ts';

/** Stands for what cannot be: finite, so that ways out of it can be compared. */
const IMPOSSIBLE = 1e12;
/** No arc: not got. */
export const NOWHERE = -1;

/** A selection with what each seller's shipment comes to, for moving cards one at a time. */
export interface Ledger {
	/** What the value changes by when so many cards of a want go from one arc to another (or from or to `NOWHERE`). */
	readonly changeOf: (want: number, from: number, to: number, many: number) => number;
	/** Moves them; the selection is changed. */
	readonly move: (want: number, from: number, to: number, many: number) => void;
	/** Whether so many more of an arc's offer can be had, with so many of them leaving it. */
	readonly hasRoom: (arc: number, many: number, leaving: number) => boolean;
	/** By want: how many are got. */
	readonly got: Int32Array;
}

/** Opens the ledger of a selection. */
export function openLedger(model: BuyingModel, selection: Selection): Ledger {
	const { need, penalty, sellers, hub, arcOffer, firstArc, offerSeller } = model;
	const { offerMost, offerCost, offerPieces, offerGrams } = model;
	const { mode, take } = selection;
	const { cards, grams, amount, got } = totalsOf(model, selection);
	const used = new Int32Array(offerSeller.length);
	for (let o = 0; o < used.length; o++) {
		for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++) {
			used[o] = (used[o] as number) + (take[a] as number);
		}
	}
	let [hubCards, hubGrams, hubAmount] = [0, 0, 0];
	for (let s = 0; s < sellers.length; s++) {
		if (mode[s] !== BY_HUB) continue;
		hubCards += cards[s] as number;
		hubGrams += grams[s] as number;
		hubAmount += amount[s] as number;
	}
	const sent = (rule: PostageRule | null, c: number, g: number, m: number) => {
		if (c <= 0) return 0;
		const postage = rule ? postageOf(rule, { cards: c, grams: g, amountMinor: m }) : Infinity;
		return postage === Infinity ? IMPOSSIBLE : postage;
	};
	const shipping = (s: number, c: number, g: number, m: number) => {
		const { direct = null, toHub = null, leastOrderMinor = 0 } = sellers[s] ?? {};
		if (c <= 0) return 0;
		if (m < leastOrderMinor) return IMPOSSIBLE + leastOrderMinor - m;
		return sent(mode[s] === BY_HUB ? toHub : direct, c, g, m);
	};
	const piecesOf = (o: number, n: number) => (offerPieces[o] as Int32Array)[n] as number;
	const costOf = (o: number, n: number) => (offerCost[o] as Float64Array)[n] as number;

	function changeOf(want: number, from: number, to: number, many: number): number {
		const had = got[want] as number;
		const gets = had - (from < 0 ? 0 : many) + (to < 0 ? 0 : many);
		const asked = need[want] as number;
		const lost = Math.max(0, asked - gets) - Math.max(0, asked - had);
		let change = lost * (penalty[want] as number);
		const o = from < 0 ? -1 : (arcOffer[from] as number);
		const p = to < 0 ? -1 : (arcOffer[to] as number);
		if (o === p) return change;
		const s = o < 0 ? -1 : (offerSeller[o] as number);
		const t = p < 0 ? -1 : (offerSeller[p] as number);
		let [outCards, outGrams, outAmount] = [0, 0, 0];
		if (o >= 0) {
			const n = used[o] as number;
			outCards = piecesOf(o, n) - piecesOf(o, n - many);
			outGrams = outCards * (offerGrams[o] as number);
			outAmount = costOf(o, n) - costOf(o, n - many);
		}
		let [inCards, inGrams, inAmount] = [0, 0, 0];
		if (p >= 0) {
			const n = used[p] as number;
			inCards = piecesOf(p, n + many) - piecesOf(p, n);
			inGrams = inCards * (offerGrams[p] as number);
			inAmount = costOf(p, n + many) - costOf(p, n);
		}
		change += inAmount - outAmount;
		if (s >= 0) {
			const [c, g, m] = [cards[s] as number, grams[s] as number, amount[s] as number];
			const isSame = s === t;
			change +=
				shipping(
					s,
					c - outCards + (isSame ? inCards : 0),
					g - outGrams + (isSame ? inGrams : 0),
					m - outAmount + (isSame ? inAmount : 0)
				) - shipping(s, c, g, m);
		}
		if (t >= 0 && t !== s) {
			const [c, g, m] = [cards[t] as number, grams[t] as number, amount[t] as number];
			change += shipping(t, c + inCards, g + inGrams, m + inAmount) - shipping(t, c, g, m);
		}
		const leaves = s >= 0 && mode[s] === BY_HUB ? 1 : 0;
		const enters = t >= 0 && mode[t] === BY_HUB ? 1 : 0;
		if (leaves + enters > 0) {
			change +=
				sent(
					hub,
					hubCards - leaves * outCards + enters * inCards,
					hubGrams - leaves * outGrams + enters * inGrams,
					hubAmount - leaves * outAmount + enters * inAmount
				) - sent(hub, hubCards, hubGrams, hubAmount);
		}
		return change;
	}

	function book(arc: number, many: number): void {
		const o = arcOffer[arc] as number;
		const s = offerSeller[o] as number;
		const n = used[o] as number;
		const c = piecesOf(o, n + many) - piecesOf(o, n);
		const g = c * (offerGrams[o] as number);
		const m = costOf(o, n + many) - costOf(o, n);
		cards[s] = (cards[s] as number) + c;
		grams[s] = (grams[s] as number) + g;
		amount[s] = (amount[s] as number) + m;
		if (mode[s] === BY_HUB) {
			hubCards += c;
			hubGrams += g;
			hubAmount += m;
		}
		used[o] = n + many;
		take[arc] = (take[arc] as number) + many;
	}

	return {
		got,
		changeOf,
		move(want, from, to, many) {
			if (from >= 0) book(from, -many);
			if (to >= 0) book(to, many);
			got[want] = (got[want] as number) - (from < 0 ? 0 : many) + (to < 0 ? 0 : many);
		},
		hasRoom: (arc, many, leaving) => {
			const o = arcOffer[arc] as number;
			return (used[o] as number) + many - leaving <= (offerMost[o] as number);
		}
	};
}
