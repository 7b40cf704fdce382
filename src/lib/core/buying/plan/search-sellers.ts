import { slopeOf } from '../offers/postage-rule.ts';
import { CARD_GRAMS } from '../offers/offer.ts';
import { makeAssign } from './assign-wants.ts';
import { costOfSelection, costOfTotals, totalsOf } from './cost-of-selection.ts';
import { NOWHERE, openLedger } from './ledger.ts';
import { makeRanking, type Neighbour } from './rank-neighbours.ts';
import { improveByMoves } from './improve-by-moves.ts';
import {
	arcsOfOffer,
	BY_HUB,
	CLOSED,
	copySelection,
	DIRECT,
	emptySelection,
	type BuyingModel,
	type Mode,
	type Selection
} from './model.ts';

/** A selection with what it costs. */
export interface Found {
	readonly selection: Selection;
	readonly value: number;
}

/** Searches by opening and closing sellers. */
export interface SellerSearch {
	/** The best that is found from these sellers on, by opening, closing and exchanging one at a time. */
	readonly descend: (start: Selection) => Found;
	/** The best assignment to exactly these sellers that is found, those not needed closed. */
	readonly settle: (start: Selection) => Found;
	/** A first plan, quickly; with the hub's forwarding reckoned as paid, or not. */
	readonly build: (hubIsPaid: boolean) => Found;
	readonly start: () => Selection;
}

/** Neighbours that are costed exactly, of all that are ranked. */
const LOOKED_AT = 24;

const ENOUGH = 1e-6;

/**
 * Makes a search over sellers. Of all neighbours (a seller opened, closed, sent otherwise, one exchanged for another)
 * those that look best are assigned anew and costed exactly, and the best of them is taken, until none is better; then
 * bundles are taken or left. After each step cards are moved singly and pushed to thresholds.
 *
 * @param ways the ways each seller may be used; what is fixed has one
 */
export function makeSellerSearch(
	model: BuyingModel,
	ways: readonly (readonly Mode[])[] = waysOf(model)
): SellerSearch {
	const assign = makeAssign(model);
	const hubSlope = model.hub ? slopeOf(model.hub, CARD_GRAMS) : 0;
	const work = emptySelection(model);
	const rank = makeRanking(model, ways);
	const mustHave = [...model.sellers.keys()].filter((s) => model.sellers[s]?.isIn);
	const isLimited = model.mostSellers < model.sellers.length;

	/** Assigns and costs; sellers that get nothing are closed in the cost, not in the selection. */
	function valueOf(selection: Selection): number {
		let totals = assign(selection, hubSlope);
		let { value } = costOfTotals(model, selection.mode, totals);
		if (value < Infinity) return value;
		if (mustHave.length > 0 && forceSellers(model, selection, mustHave)) {
			value = costOfSelection(model, selection).value;
			if (value < Infinity) return value;
			totals = assign(selection, hubSlope);
		}
		// An order below its least is not made.
		work.mode.set(selection.mode);
		work.bundle.set(selection.bundle);
		while (value === Infinity) {
			const short = [...model.sellers.keys()].find((s) => {
				const paid = totals.amount[s] as number;
				const least = model.sellers[s]?.leastOrderMinor ?? 0;
				return work.mode[s] !== CLOSED && paid > 0 && paid < least;
			});
			if (short === undefined) break;
			work.mode[short] = CLOSED;
			dropBundles(model, work);
			totals = assign(work, hubSlope);
			({ value } = costOfTotals(model, work.mode, totals));
		}
		if (value < Infinity) {
			selection.mode.set(work.mode);
			selection.take.set(work.take);
			selection.bundle.set(work.bundle);
		}
		return value;
	}

	function settle(start: Selection): Found {
		const selection = copySelection(start);
		const value = valueOf(selection);
		closeEmpty(model, selection);
		return { selection, value };
	}

	/** Opens sellers as long as that about helps: a quick beginning. */
	function build(hubIsPaid: boolean): Found {
		const selection = emptySelection(model);
		for (const [s, some] of ways.entries()) selection.mode[s] = some[0] ?? CLOSED;
		for (let n = 0; n < model.sellers.length; n++) {
			let best: Neighbour | null = null;
			for (const found of rank(selection, hubIsPaid, false)) {
				if (found.way === CLOSED) continue;
				if (found.change < -ENOUGH && (!best || found.change < best.change)) best = found;
			}
			if (!best || (isLimited && openCount(selection) >= model.mostSellers)) break;
			selection.mode[best.seller] = best.way;
		}
		return polish(settle(selection));
	}

	/** Cards are moved singly, and pushed to thresholds. */
	function polish(found: Found): Found {
		const selection = copySelection(found.selection);
		const value = improveByMoves(model, selection);
		closeEmpty(model, selection);
		return keepBetter(found, { selection, value });
	}

	function descend(start: Selection): Found {
		let best = polish(settle(start));
		for (;;) {
			const stepped = bestNeighbour(best) ?? bestBundle(best);
			if (!stepped) return best;
			best = polish(stepped);
		}
	}

	/** The best of those neighbours that look best; null: none is better. */
	function bestNeighbour({ selection, value }: Found): Found | null {
		const ranked = rank(selection, false, true);
		const looked = nsmallest(ranked, LOOKED_AT);
		let best: Found | null = null;
		let least = value - ENOUGH;
		const tried = copySelection(selection);
		for (const { seller, way, instead } of looked) {
			tried.mode.set(selection.mode);
			tried.bundle.set(selection.bundle);
			tried.mode[seller] = way;
			if (instead >= 0) tried.mode[instead] = CLOSED;
			dropBundles(model, tried);
			const found = valueOf(tried);
			if (found >= least) continue;
			least = found;
			best = { selection: copySelection(tried), value: found };
		}
		return best;
	}

	/** The best neighbour in which one bundle is taken or left. */
	function bestBundle({ selection, value }: Found): Found | null {
		let best: Found | null = null;
		let least = value - ENOUGH;
		const tried = copySelection(selection);
		for (const [b, { seller }] of model.bundles.entries()) {
			const isTaken = selection.bundle[b] === 1;
			const now = selection.mode[seller] as Mode;
			const some = isTaken || now !== CLOSED ? [now] : (ways[seller] ?? []);
			for (const way of some) {
				if (way === CLOSED) continue;
				tried.mode.set(selection.mode);
				tried.bundle.set(selection.bundle);
				tried.bundle[b] = isTaken ? 0 : 1;
				tried.mode[seller] = way;
				const found = valueOf(tried);
				if (found >= least) continue;
				least = found;
				best = { selection: copySelection(tried), value: found };
			}
		}
		return best;
	}

	return { build, descend, settle, start: () => emptySelection(model) };
}

/** The ways in which each seller may be used. */
export function waysOf({ sellers, hub }: BuyingModel): readonly (readonly Mode[])[] {
	return sellers.map(({ direct, toHub, isIn }) => [
		...(isIn ? [] : [CLOSED as Mode]),
		...(direct ? [DIRECT as Mode] : []),
		...(toHub && hub ? [BY_HUB as Mode] : [])
	]);
}

/** Moves the card that costs least to each seller that has to be bought from and gets nothing; false: none can be. */
function forceSellers(
	model: BuyingModel,
	selection: Selection,
	mustHave: readonly number[]
): boolean {
	let isChanged = false;
	for (const s of mustHave) {
		const ledger = openLedger(model, selection);
		const offers = [...(model.offersOf[s] as Int32Array)];
		const arcs = offers.flatMap((o) => arcsOfOffer(model, o));
		if (arcs.some((a) => (selection.take[a] as number) > 0)) continue;
		const moves = arcs.flatMap((to) => {
			const want = model.arcWant[to] as number;
			const places = [NOWHERE, ...(model.arcsOf[want] as Int32Array)];
			const isOpen = (ledger.got[want] as number) < (model.need[want] as number);
			return places.flatMap((from) => {
				if (from < 0 ? !isOpen : (selection.take[from] as number) === 0) return [];
				return [{ want, from, to, change: ledger.changeOf(want, from, to, 1) }];
			});
		});
		const best = moves.reduce<(typeof moves)[number] | null>(
			(least, move) => (least && least.change <= move.change ? least : move),
			null
		);
		if (!best) return false;
		ledger.move(best.want, best.from, best.to, 1);
		isChanged = true;
	}
	return isChanged;
}

/** Bundles of closed sellers are not taken. */
function dropBundles({ bundles }: BuyingModel, { mode, bundle }: Selection): void {
	for (const [b, { seller }] of bundles.entries()) if (mode[seller] === CLOSED) bundle[b] = 0;
}

/** Sellers that nothing is bought from are closed. */
export function closeEmpty(model: BuyingModel, selection: Selection): void {
	const { cards } = totalsOf(model, selection);
	for (let s = 0; s < cards.length; s++) if (cards[s] === 0) selection.mode[s] = CLOSED;
}

function openCount({ mode }: Selection): number {
	return mode.reduce((count, way) => count + (way === CLOSED ? 0 : 1), 0);
}

/** The so many that change most for the better. */
function nsmallest(list: readonly Neighbour[], most: number): readonly Neighbour[] {
	return [...list].sort((a, b) => a.change - b.change).slice(0, most);
}

function keepBetter(a: Found, b: Found): Found {
	return b.value < a.value - ENOUGH ? b : a;
}
