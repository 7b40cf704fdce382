import type { CompiledModel } from './compile-model.ts';
import { completenessCurve } from './completeness-curve.ts';
import { costOfSelection } from './cost-of-selection.ts';
import { describePlan, type BuyingPlan } from './describe-plan.ts';
import { fewerSellers } from './fewer-sellers.ts';
import { CLOSED, type BuyingModel, type Selection } from './model.ts';
import { cheapestCopies, fullestFirst, type RivalKey } from './rival-plans.ts';
import { makeSellerSearch, waysOf } from './search-sellers.ts';

/** What a plan costs and gets, in short. Money in minor units. */
export interface PlanSum {
	readonly totalMinor: number;
	readonly covered: number;
	readonly sellers: number;
}

/** A plan with what stands beside it. */
export interface PlanReport {
	readonly plan: BuyingPlan;
	readonly rivals: readonly (PlanSum & {
		readonly rival: RivalKey;
		/** What the plan saves against it; below 0 where that gets less, or more. */
		readonly savedMinor: number;
	})[];
	/** The best plan found that does without one of its sellers; null: there is none. */
	readonly second: (Omit<PlanSum, 'sellers'> & { readonly without: string }) | null;
	/** With a seller after the other: what each brings. */
	readonly sellers: readonly {
		readonly sellers: number;
		readonly totalMinor: number;
		readonly left: number;
		readonly brings: string | null;
	}[];
	readonly curve: readonly {
		readonly covered: number;
		readonly totalMinor: number;
		readonly eachMinor: number;
	}[];
}

/** What a selection costs and gets. */
export function paidOf(model: BuyingModel, selection: Selection): PlanSum {
	const { cards, postage, forwarding, uncovered, sellers } = costOfSelection(model, selection);
	const asked = model.need.reduce((sum, count) => sum + count, 0);
	return { totalMinor: cards + postage + forwarding, covered: asked - uncovered, sellers };
}

/**
 * Writes a plan out, with what stands beside it: plans made by hand, the best without one of its sellers, what each
 * further seller brings, and the curve of cost against completeness.
 *
 * @param full the plan that gets the most, where `chosen` keeps to a budget
 */
export function reportPlan(
	compiled: CompiledModel,
	chosen: Selection,
	full: Selection
): PlanReport {
	const { model, sellerKeys } = compiled;
	const plan = describePlan(compiled, chosen);
	const asked = model.need.reduce((sum, count) => sum + count, 0);
	const rivals = (
		[
			['cheapest', cheapestCopies(model)],
			['fullest', fullestFirst(model)]
		] as const
	).map(([rival, selection]) => {
		const sum = paidOf(model, selection);
		return { rival, ...sum, savedMinor: sum.totalMinor - plan.totalMinor };
	});
	return {
		plan,
		rivals,
		second: secondBest(model, chosen, sellerKeys),
		sellers: fewerSellers(model, chosen).map(({ sellers, paidMinor, uncovered, brings }) => ({
			...{ sellers, totalMinor: paidMinor, left: uncovered },
			brings: sellerKeys[brings] ?? null
		})),
		curve:
			asked === 0
				? []
				: completenessCurve(model, full).map(({ covered, paidMinor, eachMinor }) => ({
						...{ covered, totalMinor: paidMinor, eachMinor }
					}))
	};
}

function secondBest(
	model: BuyingModel,
	best: Selection,
	sellerKeys: readonly string[]
): PlanReport['second'] {
	const ways = waysOf(model);
	let least: { readonly s: number; readonly value: number; readonly selection: Selection } | null =
		null;
	for (const [s, { isIn }] of model.sellers.entries()) {
		if (best.mode[s] === CLOSED || isIn) continue;
		const start = { mode: best.mode.slice(), take: best.take, bundle: best.bundle.slice() };
		start.mode[s] = CLOSED;
		for (const [b, { seller }] of model.bundles.entries()) if (seller === s) start.bundle[b] = 0;
		const without = ways.map((some, t) => (t === s ? ([CLOSED] as const) : some));
		const found = makeSellerSearch(model, without).descend(start);
		if (found.value < Infinity && (!least || found.value < least.value)) least = { s, ...found };
	}
	if (!least) return null;
	const { totalMinor, covered } = paidOf(model, least.selection);
	return { without: sellerKeys[least.s] ?? '', totalMinor, covered };
}
