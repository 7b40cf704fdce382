import { compileModel, type CompiledModel } from '../../../core/buying/plan/compile-model.ts';
import { budgetWeights } from '../../../core/buying/plan/budget-weights.ts';
import { describePlan, type BuyingPlan } from '../../../core/buying/plan/describe-plan.ts';
import type { Selection } from '../../../core/buying/plan/model.ts';
import { planWithinBudget } from '../../../core/buying/plan/plan-within-budget.ts';
import { quickBound } from '../../../core/buying/plan/quick-bound.ts';
import { paidOf, reportPlan, type PlanReport } from '../../../core/buying/plan/report-plan.ts';
import type { SearchState } from '../../../core/buying/plan/search-plan.ts';
import type { Problem } from '../../../core/problem.ts';
import type { Reader } from '../../database/open.ts';
import { searchFor } from './search-for.ts';
import { readProblem, type PlanChoice, type StoredProblem } from './read-problem.ts';

/** How far a plan is, while it is searched. */
export interface PlanTold {
	readonly phase: SearchState['phase'];
	readonly totalMinor: number;
	readonly boundMinor: number;
	readonly covered: number;
	/** The plan, each time it is a better one. */
	readonly plan?: NamedPlan;
}

/** A plan with what its parts are called. */
export interface NamedPlan extends BuyingPlan {
	readonly names: {
		readonly wants: Readonly<
			Record<string, { readonly name: string; readonly title: string; readonly of: string }>
		>;
		readonly sellers: Readonly<Record<string, string>>;
		/** By offer: whose it is. */
		readonly offers: Readonly<
			Record<string, { readonly seller: string; readonly condition: string }>
		>;
		readonly bundles: Readonly<Record<string, { readonly cards: number; readonly minor: number }>>;
	};
}

/** A plan with all that stands beside it, as its view shows it. */
export interface PlanView {
	readonly currency: string;
	readonly problems: readonly Problem[];
	readonly report: Omit<PlanReport, 'plan'>;
	readonly plan: NamedPlan;
	readonly boundMinor: number;
	readonly isProven: boolean;
	readonly asked: number;
	readonly budget: {
		readonly weight: number;
		readonly whole: number;
		readonly mostWeight: number;
	} | null;
}

/** A visit to the page is not to keep a processor busy for long; the page tells how near it came. */
const SEARCH = { gap: 0.005, longestMs: 6000 };

/** Searches for the cheapest plan of what is wanted, telling how far it is. */
export async function planView(
	db: Reader,
	choice: PlanChoice,
	tell: (told: PlanTold) => void
): Promise<PlanView> {
	const stored = await readProblem(db, choice);
	const compiled = compileModel(stored.problem);
	const { model } = compiled;
	const nameOf = planNamer(stored);
	const sellerOf = new Map(stored.problem.sellers.map(({ key, name }) => [key, name]));
	const hasNothing = (key: string): Problem => ({
		message: `${sellerOf.get(key) ?? key} offers nothing that is wanted`,
		remedy: 'It is left out; let it be in or out as it comes.'
	});
	let told = Infinity;
	const state = searchFor(model, SEARCH, (found) => {
		const { totalMinor, covered } = paidOf(model, found.best);
		const isBetter = found.value < told;
		if (isBetter) told = found.value;
		tell({
			...{ phase: found.phase, totalMinor, covered },
			boundMinor: Math.max(0, found.bound - (found.value - totalMinor)),
			...(isBetter ? { plan: nameOf(compiled, found.best) } : {})
		});
	});
	const { goal } = choice;
	const weight = budgetWeights(
		stored.view.wants,
		goal === undefined ? null : ({ goals }) => goals.includes(goal)
	);
	const budget =
		choice.budgetMinor === undefined
			? null
			: planWithinBudget(model, choice.budgetMinor, weight, state.best, quickBound(model));
	const chosen = budget?.selection ?? state.best;
	const { plan: _, ...report } = reportPlan(compiled, chosen, state.best);
	const penalties = state.value - paidOf(model, state.best).totalMinor;
	return {
		currency: stored.view.rules.currency,
		problems: [...stored.problems, ...compiled.withNothing.map(hasNothing)],
		report,
		plan: nameOf(compiled, chosen),
		boundMinor: budget ? 0 : Math.max(0, state.bound - penalties),
		isProven: budget ? budget.weight >= budget.mostWeight - 1e-9 : state.isProven,
		asked: stored.problem.wants.reduce((sum, { quantity }) => sum + quantity, 0),
		budget: budget && { weight: budget.weight, whole: budget.whole, mostWeight: budget.mostWeight }
	};
}

function planNamer({ view, problem }: StoredProblem) {
	const wantOf = new Map(view.wants.map((want) => [want.key, want]));
	const offerOf = new Map(problem.offers.map((offer) => [offer.key, offer]));
	const bundleOf = new Map(problem.bundles.map((bundle) => [bundle.key, bundle]));
	const sellers = Object.fromEntries(problem.sellers.map(({ key, name }) => [key, name]));
	return (compiled: CompiledModel, selection: Selection): NamedPlan => {
		const plan = describePlan(compiled, selection);
		const lines = plan.orders.flatMap((order) => order.lines);
		const wants = [...lines.map(({ want }) => want), ...plan.left.map(({ want }) => want)];
		const offers = lines.flatMap(({ offer, next }) => [offer, ...(next ? [next.offer] : [])]);
		return {
			...plan,
			names: {
				sellers,
				wants: Object.fromEntries(
					wants.flatMap((key) => {
						const want = wantOf.get(key);
						if (!want) return [];
						const { name, title, release, group } = want;
						return [[key, { name, title, of: `${release}, ${group}` }]];
					})
				),
				offers: Object.fromEntries(
					offers.flatMap((key) => {
						const offer = offerOf.get(key);
						if (!offer) return [];
						const condition =
							offer.grade === undefined ? (offer.condition ?? '') : `graded ${offer.grade}`;
						return [[key, { seller: sellers[offer.seller] ?? '', condition }]];
					})
				),
				bundles: Object.fromEntries(
					plan.orders
						.flatMap(({ bundles }) => bundles)
						.flatMap((key) => {
							const bundle = bundleOf.get(key);
							if (!bundle) return [];
							const cards = bundle.items.reduce((sum, { quantity }) => sum + quantity, 0);
							return [[key, { cards, minor: bundle.minor }]];
						})
				)
			}
		};
	};
}
