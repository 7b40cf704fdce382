import { sum } from 'd3-array';
import { neighbourPrices, priceSaidOf } from '../prices/neighbour-price.ts';
import { middleOf, type Price } from '../../worth/prices/price.ts';
import { priceSheet, type PriceBasis } from '../prices/price-sheet.ts';
import type { Lump, PricedWant } from '../prices/priced-want.ts';
import { isKeyCard } from '../prices/sheet-want.ts';
import { FINISH_RULES, type FinishRule } from './finish-rule.ts';

/** A slot of a goal with what is there of it. */
export interface FinishSlot extends PricedWant {
	/** How many the slot takes; `quantity` of them are missing (0: it is filled). */
	readonly need: number;
	/** What the copies in it are worth together, in minor units, where somebody said so. */
	readonly heldMinor?: number;
}

/** A goal as it stands. */
export interface FinishGoal {
	readonly key: string;
	readonly name: string;
	readonly slots: readonly FinishSlot[];
	readonly lumps: readonly Lump[];
}

/** What finishing a goal takes, and what there is then. Money in minor units. */
export interface FinishCost {
	readonly key: string;
	readonly name: string;
	readonly have: number;
	readonly need: number;
	readonly missing: number;
	/** What the missing cards come to, where a price is known or can be estimated. */
	readonly cost: Price;
	/** Missing cards by how their price is known. */
	readonly counts: Readonly<Record<PriceBasis, number>>;
	/** The part of the missing cards whose price somebody said, 0 to 1; 1 where nothing is missing. */
	readonly sureness: number;
	/** What the whole set is worth by the same prices, and what is there of it by now. */
	readonly wholeMinor: number;
	readonly nowMinor: number;
	/** Cards that neither sum counts: nothing is known of their price. */
	readonly unpriced: number;
	/** The part of the whole that key cards make, and how many of them are missing. */
	readonly keyShare: number;
	readonly keysMissing: number;
	readonly advice: FinishAdvice;
}

/** What the rule says. `unknown`: too few prices to say anything. */
export interface FinishAdvice {
	readonly verdict: 'finish' | 'let go' | 'unknown' | 'done';
	/** Cost by worth of the whole, 0 to …; null where it cannot be told. */
	readonly share: number | null;
}

/** By what goals are ranked, and from where on one is let go. */
export interface FinishOptions {
	readonly rule: FinishRule;
	/** The most that finishing may cost, as a part of what the whole is worth, 0 to 1. */
	readonly mostShare: number;
	/** What the postage of a seller comes to, in minor units. */
	readonly postageMinor: number;
}

/** With less than this part of the cards priced, missing or in all, nothing is advised. */
const LEAST_PRICED = 0.5;

/**
 * All goals beside each other: what is missing of each, what that costs, and whether it pays by the rule that is
 * named; ranked by it, the best to finish first, then what too little is known of, what is done last.
 *
 * @throws RangeError where the limit is no share from 0 to 1
 */
export function costToFinish(
	goals: readonly FinishGoal[],
	options: FinishOptions
): readonly FinishCost[] {
	const { rule, mostShare } = options;
	if (!(mostShare >= 0 && mostShare <= 1)) {
		throw new RangeError(`costToFinish: ${mostShare} is no share`);
	}
	const costs = goals.map((goal) => costOf(goal, options));
	const { scoreOf } = FINISH_RULES[rule];
	// What too little is known of would come first with its few prices.
	const classOf = ({ advice }: FinishCost) =>
		advice.verdict === 'done' ? 2 : advice.verdict === 'unknown' ? 1 : 0;
	return costs.sort(
		(a, b) =>
			classOf(a) - classOf(b) ||
			(a.missing === 0 ? 0 : scoreOf(a) - scoreOf(b)) ||
			a.missing - b.missing
	);
}

function costOf(goal: FinishGoal, { postageMinor, mostShare }: FinishOptions): FinishCost {
	const { key, name, slots, lumps } = goal;
	const missing = slots.filter(({ quantity }) => quantity > 0);
	const sheet = priceSheet(missing, lumps, postageMinor, slots);
	const need = sum(slots, (slot) => slot.need);
	const lacking = sum(missing, ({ quantity }) => quantity);
	const worth = worthOf(slots, lumps);
	const unknown = sheet.counts.unknown + sheet.counts.neighbours;
	const cost = {
		...{ key, name, have: need - lacking, need, missing: lacking },
		cost: sheet.total,
		counts: sheet.counts,
		sureness: lacking === 0 ? 1 : 1 - unknown / lacking,
		...worth,
		keysMissing: sum(missing.filter(isKeyCard), ({ quantity }) => quantity)
	};
	return { ...cost, advice: adviseOn(cost, sheet.counts.unknown, mostShare) };
}

/** Whole, now, and the share of key cards, by prices, by lumps, and by the median of neighbours. */
function worthOf(slots: readonly FinishSlot[], lumps: readonly Lump[]) {
	const saidOf = priceSaidOf(lumps);
	const estimate = neighbourPrices(slots, lumps);
	let [whole, now, keys, unpriced] = [0, 0, 0, 0];
	for (const slot of slots) {
		const { need, quantity, heldMinor } = slot;
		const price = saidOf(slot) ?? estimate(slot);
		const each = price ? (price.lowMinor + price.highMinor) / 2 : undefined;
		const here = heldMinor ?? (each ?? 0) * (need - quantity);
		const ofSlot = here + (each ?? 0) * quantity;
		now += here;
		whole += ofSlot;
		if (isKeyCard(slot)) keys += ofSlot;
		if (each === undefined) unpriced += quantity + (heldMinor === undefined ? need - quantity : 0);
	}
	return {
		wholeMinor: Math.round(whole),
		nowMinor: Math.round(now),
		unpriced,
		keyShare: whole === 0 ? 0 : keys / whole
	};
}

function adviseOn(
	{
		missing,
		cost,
		wholeMinor,
		need,
		unpriced
	}: Pick<FinishCost, 'missing' | 'cost' | 'wholeMinor' | 'need' | 'unpriced'>,
	unknown: number,
	mostShare: number
): FinishAdvice {
	if (missing === 0) return { verdict: 'done', share: 0 };
	const isKnown = unknown <= (1 - LEAST_PRICED) * missing && unpriced <= (1 - LEAST_PRICED) * need;
	if (!isKnown || wholeMinor === 0) return { verdict: 'unknown', share: null };
	const share = middleOf(cost) / wholeMinor;
	return { verdict: share <= mostShare ? 'finish' : 'let go', share };
}
