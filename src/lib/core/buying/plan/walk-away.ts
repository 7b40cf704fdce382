import { NOWHERE, openLedger } from './ledger.ts';
import { CLOSED, copySelection, type BuyingModel, type Selection } from './model.ts';
import { costOfSelection } from './cost-of-selection.ts';
import { makeSellerSearch } from './search-sellers.ts';

/** What one card more of a want is worth elsewhere, in minor units. */
export interface WalkAway {
	readonly want: number;
	/** What the rest of the plan saves when this card is got elsewhere: the most to pay, its postage with it. */
	readonly worthMinor: number;
	/** The seller it would else come from; -1: it is not in the plan. */
	readonly seller: number;
}

/**
 * The most a card is worth, given the best other way to get it: what the plan costs less when it is not wanted any
 * more. Sellers that are needed only for it are closed then, and the rest is changed where that helps. For what is not
 * in the plan it is what leaving it out was judged at.
 *
 * @param told is told after each want how many are done
 * @param limit the most to tell where nothing says what a card is worth (its penalty stands for "whatever it costs")
 */
export function walkAwayPrices(
	model: BuyingModel,
	plan: Selection,
	limit: number,
	told: (done: number, total: number) => void = () => undefined
): readonly WalkAway[] {
	const whole = costOfSelection(model, plan).value;
	const ledger = openLedger(model, plan);
	const places = new Map<number, number>();
	for (let a = 0; a < plan.take.length; a++) {
		if ((plan.take[a] as number) > 0) places.set(model.arcWant[a] as number, a);
	}
	const total = model.need.length;
	return [...model.need.keys()].map((want): WalkAway => {
		told(want, total);
		const arc = places.get(want);
		if (arc === undefined) {
			const inBundle = (ledger.got[want] as number) > 0;
			const worthMinor = inBundle ? 0 : Math.min(limit, model.penalty[want] as number);
			return { want, worthMinor, seller: -1 };
		}
		const fee = model.penalty[want] as number;
		const need = model.need.slice();
		need[want] = (need[want] as number) - 1;
		const without = { ...model, need };
		const start = copySelection(plan);
		start.take[arc] = (start.take[arc] as number) - 1;
		const seller = model.offerSeller[model.arcOffer[arc] as number] as number;
		const kept = whole + ledger.changeOf(want, arc, NOWHERE, 1) - fee;
		const search = makeSellerSearch(without);
		const shut = copySelection(plan);
		shut.mode[seller] = CLOSED;
		const settled = [search.descend(plan).value, search.descend(shut).value];
		const least = Math.min(kept, ...settled);
		return { want, worthMinor: Math.max(0, Math.round(Math.min(limit, whole - least))), seller };
	});
}

/**
 * The most that some cards are worth together, one of each want: what the plan costs less without them all. Cards that
 * alone pay for a postage are worth more together than one by one. What is not in the plan counts what leaving it
 * out was judged at.
 *
 * @param wants places of wants, no two the same
 * @param limit the most that a card which nobody has may count
 * @returns minor units, their postage with them
 */
export function worthTogether(
	model: BuyingModel,
	plan: Selection,
	wants: readonly number[],
	limit: number
): number {
	const { got } = openLedger(model, plan);
	const need = model.need.slice();
	const start = copySelection(plan);
	const [lessened, shut] = [new Set<number>(), copySelection(plan)];
	let [unknown, penalties] = [0, 0];
	for (const want of wants) {
		if ((need[want] as number) === 0) continue;
		const isOpen = (got[want] as number) < (need[want] as number);
		need[want] = (need[want] as number) - 1;
		if (isOpen) {
			penalties += model.penalty[want] as number;
			unknown += Math.min(limit, model.penalty[want] as number);
			continue;
		}
		const arc = (model.arcsOf[want] as Int32Array).find((a) => (start.take[a] as number) > 0);
		if (arc === undefined) continue;
		start.take[arc] = (start.take[arc] as number) - 1;
		lessened.add(model.offerSeller[model.arcOffer[arc] as number] as number);
	}
	for (const s of lessened) shut.mode[s] = CLOSED;
	const search = makeSellerSearch({ ...model, need });
	const least = Math.min(
		...[start, shut, plan].map((from) => search.descend(copySelection(from)).value)
	);
	const whole = costOfSelection(model, plan).value - penalties;
	return Math.max(0, Math.round(whole - least + unknown));
}

/** Why a price is the most: the plan costs so much less without the card; the price sheet says so, where nobody offers it; one's own limit is lower. */
export type WorthReason = 'plan' | 'sheet' | 'limit';

/**
 * The most to pay for a want, and why: what it is worth against the best other way; where there is none, what the price
 * sheet says; never more than its limit. Null: nothing is known.
 *
 * @param known minor units: by the plan, by the price sheet, and one's own limit; null: none
 * @example [mostToPay({ planMinor: 900, sheetMinor: 700, limitMinor: null }), mostToPay({ planMinor: null, sheetMinor: 700, limitMinor: 500 })] // [{ minor: 900, by: 'plan' }, { minor: 500, by: 'limit' }]
 */
export function mostToPay({
	planMinor,
	sheetMinor,
	limitMinor
}: {
	readonly planMinor: number | null;
	readonly sheetMinor: number | null;
	readonly limitMinor: number | null;
}): { readonly minor: number; readonly by: WorthReason } | null {
	const worth = planMinor ?? sheetMinor;
	if (limitMinor !== null && (worth === null || worth > limitMinor)) {
		return { minor: limitMinor, by: 'limit' };
	}
	return worth === null ? null : { minor: worth, by: planMinor === null ? 'sheet' : 'plan' };
}
