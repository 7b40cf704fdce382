import { costOfSelection } from './cost-of-selection.ts';
import { CLOSED, type BuyingModel, type Selection } from './model.ts';
import { makeSellerSearch } from './search-sellers.ts';

/** A plan with so many sellers. */
export interface SellerStep {
	readonly sellers: number;
	readonly paidMinor: number;
	/** Wanted cards that are not got. */
	readonly uncovered: number;
	/** The place of the seller that this one has, and the one with a seller less does not. */
	readonly brings: number;
}

/**
 * What each further seller brings: from a plan down, the seller whose closing costs least is closed again and again.
 * The plan itself comes last; what is not got is told, not priced. A plan for fewer sellers that is found so may not be
 * the cheapest of its number.
 */
export function fewerSellers(model: BuyingModel, plan: Selection): readonly SellerStep[] {
	const search = makeSellerSearch(model);
	const steps: SellerStep[] = [];
	let now = plan;
	for (;;) {
		const open = [...now.mode.keys()].filter((s) => now.mode[s] !== CLOSED);
		const { cards, postage, forwarding, uncovered } = costOfSelection(model, now);
		const closings = open.flatMap((s) => {
			if (model.sellers[s]?.isIn) return [];
			const tried = { ...now, mode: now.mode.slice(), bundle: now.bundle.slice() };
			tried.mode[s] = CLOSED;
			for (const [b, { seller }] of model.bundles.entries()) if (seller === s) tried.bundle[b] = 0;
			const { selection, value } = search.settle(tried);
			return [{ s, selection, value }];
		});
		const next = closings.reduce<(typeof closings)[number] | null>(
			(a, b) => (a && a.value <= b.value ? a : b),
			null
		);
		const paidMinor = cards + postage + forwarding;
		steps.push({ sellers: open.length, paidMinor, uncovered, brings: next?.s ?? -1 });
		if (!next || open.length <= 1 || next.value === Infinity) break;
		now = next.selection;
	}
	return steps.reverse();
}
