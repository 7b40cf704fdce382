import { planAtPrice } from './completeness-curve.ts';
import { costOfSelection } from './cost-of-selection.ts';
import { NOWHERE, openLedger } from './ledger.ts';
import {
	arcsOfOffer,
	CLOSED,
	copySelection,
	emptySelection,
	type BuyingModel,
	type Mode,
	type Selection
} from './model.ts';
import { waysOf } from './search-sellers.ts';

/** The most that is got for a budget. */
export interface BudgetPlan {
	readonly selection: Selection;
	/** What its cards count for, and what all of them would. */
	readonly weight: number;
	readonly whole: number;
	/** No plan within the budget counts for more. */
	readonly mostWeight: number;
	readonly paidMinor: number;
}

const HALVINGS = 14;

/**
 * Gets the most for a budget, each card counting by its weight (its priority, or whether it is of one goal). The price
 * that a card of weight 1 may cost is halved until the plan keeps to the budget; what is left of it buys further cards,
 * the most weight for its money first. How much more any plan could get is bounded by the same prices (weak duality):
 * a plan within the budget gets no more than `mostWeight`.
 *
 * @param lowerBound a lower bound of cost + price × weight left out, at a price of a card of weight 1
 */
export function planWithinBudget(
	model: BuyingModel,
	budgetMinor: number,
	weight: Float64Array,
	full: Selection,
	lowerBound: (penalty: Float64Array, best: number) => number
): BudgetPlan {
	const whole = model.need.reduce((sum, count, i) => sum + count * (weight[i] as number), 0);
	const paidOf = (selection: Selection) => {
		const { cards, postage, forwarding } = costOfSelection(model, selection);
		return cards + postage + forwarding;
	};
	if (paidOf(full) <= budgetMinor) {
		const got = weightOf(model, full, weight);
		return { selection: full, weight: got, whole, mostWeight: got, paidMinor: paidOf(full) };
	}
	let best = emptySelection(model);
	let bestWeight = 0;
	let most = whole;
	let [low, high] = [0, Math.max(1, paidOf(full))];
	let start = copySelection(full);
	for (let k = 0; k < HALVINGS; k++) {
		const price = (low + high) / 2;
		const found = planAtPrice(model, price, weight, start);
		start = found.selection;
		// Cost + price × what is left out is at least the bound, so what is left out is at least (bound − budget) / price.
		const penalty = weight.map((share) => share * price);
		const left = (lowerBound(penalty, found.value) - budgetMinor) / price;
		most = Math.min(most, whole - Math.max(0, left));
		const isWithin = paidOf(found.selection) <= budgetMinor;
		if (isWithin) low = price;
		else high = price;
		const filled = fillUp(isWithin ? found.selection : shrink(found.selection));
		const got = weightOf(model, filled, weight);
		if (got > bestWeight || (got === bestWeight && paidOf(filled) < paidOf(best))) {
			[best, bestWeight] = [filled, got];
		}
	}
	// A seller more than the prices led to, or one alone.
	for (const from of [emptySelection(model), best]) {
		for (const [s, some] of waysOf(model).entries()) {
			for (const way of some) {
				if (way === CLOSED || from.mode[s] !== CLOSED) continue;
				const tried = fillUp(withSeller(from, s, way));
				const got = weightOf(model, tried, weight);
				if (got > bestWeight) [best, bestWeight] = [tried, got];
			}
		}
	}
	return {
		selection: best,
		weight: bestWeight,
		whole,
		mostWeight: Math.max(most, bestWeight),
		paidMinor: paidOf(best)
	};

	/** The same with a seller opened, who gives what is still wanted, the most weight for its money first. */
	function withSeller(from: Selection, s: number, way: Mode): Selection {
		const selection = copySelection(from);
		selection.mode[s] = way;
		const ledger = openLedger(model, selection);
		const arcs = [...(model.offersOf[s] as Int32Array)].flatMap((o) => arcsOfOffer(model, o));
		const priceOf = (a: number) =>
			((model.offerCost[model.arcOffer[a] as number] as Float64Array)[1] as number) /
			(weight[model.arcWant[a] as number] as number);
		for (const a of arcs.sort((x, y) => priceOf(x) - priceOf(y))) {
			const i = model.arcWant[a] as number;
			if ((ledger.got[i] as number) >= (model.need[i] as number) || !ledger.hasRoom(a, 1, 0))
				continue;
			ledger.move(i, NOWHERE, a, 1);
			if (paidOf(selection) > budgetMinor) ledger.move(i, a, NOWHERE, 1);
		}
		if (!(paidOf(selection) <= budgetMinor)) return copySelection(from);
		return selection;
	}

	/** Leaves out what saves most for its weight until the rest is within the budget. */
	function shrink(selection: Selection): Selection {
		return change(copySelection(selection), (paid) => paid > budgetMinor, true);
	}
	/** Buys of open sellers what is within the budget, the most weight for its money first. */
	function fillUp(selection: Selection): Selection {
		return change(copySelection(selection), () => true, false);
	}
	function change(
		selection: Selection,
		goesOn: (paid: number) => boolean,
		isLeaving: boolean
	): Selection {
		for (let n = 0; n < 10_000; n++) {
			const paid = paidOf(selection);
			if (!goesOn(paid)) break;
			const ledger = openLedger(
				{ ...model, penalty: new Float64Array(model.need.length) },
				selection
			);
			let [chosen, want, ratio] = [-1, -1, isLeaving ? -Infinity : Infinity];
			for (let a = 0; a < model.arcWant.length; a++) {
				const i = model.arcWant[a] as number;
				const o = model.arcOffer[a] as number;
				const share = weight[i] as number;
				if (isLeaving) {
					if ((selection.take[a] as number) === 0) continue;
					const saved = -ledger.changeOf(i, a, NOWHERE, 1);
					if (saved / share > ratio) [chosen, want, ratio] = [a, i, saved / share];
					continue;
				}
				const isWanted = (ledger.got[i] as number) < (model.need[i] as number);
				const isOpen = selection.mode[model.offerSeller[o] as number] !== CLOSED;
				if (share <= 0 || !isWanted || !isOpen || !ledger.hasRoom(a, 1, 0)) continue;
				const cost = ledger.changeOf(i, NOWHERE, a, 1);
				if (paid + cost <= budgetMinor && cost / share < ratio) {
					[chosen, want, ratio] = [a, i, cost / share];
				}
			}
			if (chosen < 0) break;
			ledger.move(want, isLeaving ? chosen : NOWHERE, isLeaving ? NOWHERE : chosen, 1);
		}
		return selection;
	}
}

function weightOf(
	{ need, arcWant, bundles }: BuyingModel,
	{ take, bundle }: Selection,
	weight: Float64Array
) {
	const got = new Float64Array(need.length);
	for (let a = 0; a < take.length; a++) {
		const i = arcWant[a] as number;
		got[i] = (got[i] as number) + (take[a] as number);
	}
	for (const [b, { wants }] of bundles.entries()) {
		if (bundle[b] === 1)
			for (const { want, count } of wants) got[want] = (got[want] as number) + count;
	}
	return got.reduce(
		(sum, count, i) => sum + Math.min(count, need[i] as number) * (weight[i] as number),
		0
	);
}
