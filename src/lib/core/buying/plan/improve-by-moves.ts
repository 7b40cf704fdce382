import { ROUNDING, type PostageRule } from '../offers/postage-rule.ts';
import { costOfSelection, totalsOf } from './cost-of-selection.ts';
import { NOWHERE, openLedger } from './ledger.ts';
import {
	BY_HUB,
	CLOSED,
	copySelection,
	DIRECT,
	type BuyingModel,
	type Selection
} from './model.ts';

const MOST_ROUNDS = 20;

/**
 * Improves a selection without opening a seller: cards are moved from seller to seller one want at a time, and
 * many at once to reach what goes free, a least order, or a smaller step of postage or forwarding. Gives the value
 * that `costOfSelection` has then. `selection` is changed.
 */
export function improveByMoves(model: BuyingModel, selection: Selection): number {
	let value = moveSingly(model, selection);
	for (let round = 0; round < MOST_ROUNDS; round++) {
		const pushed = pushToThresholds(model, selection, value);
		if (!(pushed < value - 1e-6)) break;
		value = moveSingly(model, selection);
	}
	return value;
}

/** Moves of one want from an offer to another, dropped, or newly bought, until none helps. */
function moveSingly(model: BuyingModel, selection: Selection): number {
	const { need, arcsOf, arcOffer, offerSeller } = model;
	const { mode, take } = selection;
	const ledger = openLedger(model, selection);
	for (let isBetter = true; isBetter;) {
		isBetter = false;
		for (let i = 0; i < need.length; i++) {
			const arcs = arcsOf[i] as Int32Array;
			for (const from of [NOWHERE, ...arcs]) {
				const count =
					from < 0 ? (need[i] as number) - (ledger.got[i] as number) : (take[from] as number);
				for (const many of count > 1 ? [count, 1] : [count]) {
					if (many <= 0 || (from >= 0 && (take[from] as number) < many)) continue;
					let [best, least] = [-2, -1e-6];
					if (from >= 0) {
						const change = ledger.changeOf(i, from, NOWHERE, many);
						if (change < least) [best, least] = [NOWHERE, change];
					}
					for (let k = 0; k < arcs.length; k++) {
						const to = arcs[k] as number;
						const o = arcOffer[to] as number;
						if (to === from || mode[offerSeller[o] as number] === CLOSED) continue;
						const isSame = from >= 0 && arcOffer[from] === o;
						if (!ledger.hasRoom(to, many, isSame ? many : 0)) continue;
						const change = ledger.changeOf(i, from, to, many);
						if (change < least) [best, least] = [to, change];
					}
					if (best === -2) continue;
					ledger.move(i, from, best, many);
					isBetter = true;
				}
			}
		}
	}
	return costOfSelection(model, selection).value;
}

/** Moves many cards at once: into a seller up to what goes free or is the least order, out of one to a smaller step. */
function pushToThresholds(model: BuyingModel, selection: Selection, value: number): number {
	let best = value;
	for (let s = 0; s < model.sellers.length; s++) {
		const mode = selection.mode[s];
		if (mode === CLOSED) continue;
		const seller = model.sellers[s];
		const rule = mode === DIRECT ? seller?.direct : seller?.toHub;
		if (!rule) continue;
		for (const amount of [rule.freeFromMinor ?? 0, seller?.leastOrderMinor ?? 0]) {
			if (amount > 0) best = tryPush(model, selection, best, s, amount);
		}
		if (rule.sort === 'tiers') best = tryShrink(model, selection, best, rule, (t) => t === s);
	}
	if (model.hub?.sort === 'tiers') {
		best = tryShrink(model, selection, best, model.hub, (s) => selection.mode[s] === BY_HUB);
	}
	return best;
}

/** A card that could be moved: from an arc to another, at so much more. */
interface Move {
	readonly from: number;
	readonly to: number;
	readonly extra: number;
	/** What it brings of what is asked for. */
	readonly gain: number;
}

/** Draws cards into a seller until they cost so much, the cheapest to move first. */
function tryPush(
	model: BuyingModel,
	selection: Selection,
	value: number,
	s: number,
	amount: number
): number {
	const now = totalsOf(model, selection).amount[s] as number;
	if (now === 0 || now >= amount) return value;
	const { arcWant, arcsOf, arcOffer, offerSeller, offerCost, offersOf, firstArc } = model;
	const each = (a: number) => (offerCost[arcOffer[a] as number] as Float64Array)[1] as number;
	const moves: Move[] = [];
	for (const o of offersOf[s] as Int32Array) {
		for (let to = firstArc[o] as number; to < (firstArc[o + 1] as number); to++) {
			if ((selection.take[to] as number) > 0) continue;
			for (const from of arcsOf[arcWant[to] as number] as Int32Array) {
				if (selection.take[from] !== 1 || offerSeller[arcOffer[from] as number] === s) continue;
				moves.push({ from, to, extra: each(to) - each(from), gain: Math.max(1, each(to)) });
			}
		}
	}
	return tryMoves(model, selection, value, moves, amount - now);
}

/** Takes cards out of some sellers until what they send fits a smaller step, the cheapest to move first. */
function tryShrink(
	model: BuyingModel,
	selection: Selection,
	value: number,
	rule: PostageRule & { readonly sort: 'tiers' },
	isOf: (seller: number) => boolean
): number {
	const totals = totalsOf(model, selection);
	const loads = rule.by === 'cards' ? totals.cards : totals.grams;
	const load = loads.reduce((sum, each, s) => sum + (isOf(s) ? each : 0), 0);
	const smaller = rule.tiers.filter(({ to }) => to !== null && to + ROUNDING < load).at(-1);
	if (!smaller || smaller.to === null) return value;
	const { arcsOf, arcOffer, offerSeller, offerCost, offerGrams, need } = model;
	const each = (a: number) => (offerCost[arcOffer[a] as number] as Float64Array)[1] as number;
	const moves: Move[] = [];
	for (let i = 0; i < need.length; i++) {
		const arcs = arcsOf[i] as Int32Array;
		for (const from of arcs) {
			if (selection.take[from] !== 1 || !isOf(offerSeller[arcOffer[from] as number] as number))
				continue;
			const gain = rule.by === 'cards' ? 1 : (offerGrams[arcOffer[from] as number] as number);
			let to = -1;
			for (const b of arcs) {
				const t = offerSeller[arcOffer[b] as number] as number;
				if (selection.mode[t] === CLOSED || isOf(t) || (selection.take[b] as number) > 0) continue;
				if (to < 0 || each(b) < each(to)) to = b;
			}
			const extra = (to < 0 ? (model.penalty[i] as number) : each(to)) - each(from);
			moves.push({ from, to, extra, gain });
		}
	}
	return tryMoves(model, selection, value, moves, load - smaller.to);
}

/** Applies the cheapest moves by what they bring until enough is brought; keeps them if that is cheaper. */
function tryMoves(
	model: BuyingModel,
	selection: Selection,
	value: number,
	moves: readonly Move[],
	asked: number
): number {
	const sorted = [...moves].sort((a, b) => a.extra / a.gain - b.extra / b.gain);
	const tried = copySelection(selection);
	const isMoved = new Set<number>();
	let left = asked;
	for (const { from, to, gain } of sorted) {
		if (left <= 0) break;
		if (isMoved.has(from) || (to >= 0 && isMoved.has(to))) continue;
		if (to >= 0 && isFull(model, tried, to)) continue;
		isMoved.add(from).add(to);
		tried.take[from] = (tried.take[from] as number) - 1;
		if (to >= 0) tried.take[to] = (tried.take[to] as number) + 1;
		left -= gain;
	}
	if (left > 0) return value;
	const { value: found } = costOfSelection(model, tried);
	if (!(found < value - 1e-6)) return value;
	selection.take.set(tried.take);
	return found;
}

/** Whether no more of an arc's offer can be taken. */
function isFull(
	{ firstArc, arcOffer, offerMost }: BuyingModel,
	{ take }: Selection,
	arc: number
): boolean {
	const o = arcOffer[arc] as number;
	let used = 0;
	for (let a = firstArc[o] as number; a < (firstArc[o + 1] as number); a++)
		used += take[a] as number;
	return used >= (offerMost[o] as number);
}
