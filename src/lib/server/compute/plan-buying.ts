import type { BuyingProblem } from '../../core/buying/plan/compile-model.ts';
import { compileModel } from '../../core/buying/plan/compile-model.ts';
import { costOfSelection } from '../../core/buying/plan/cost-of-selection.ts';
import { paidOf, reportPlan } from '../../core/buying/plan/report-plan.ts';
import { nextSeller } from '../../core/buying/plan/next-seller.ts';
import { quickBound } from '../../core/buying/plan/quick-bound.ts';
import { planWithinBudget } from '../../core/buying/plan/plan-within-budget.ts';
import type { SearchState } from '../../core/buying/plan/search-plan.ts';
import { budgetWeights } from '../../core/buying/plan/budget-weights.ts';
import type { BuyingModel } from '../../core/buying/plan/model.ts';
import { searchFor } from '../buying/plan/search-for.ts';
import { walkAwayPrices, worthTogether } from '../../core/buying/plan/walk-away.ts';
import { checkPostageRule } from '../../core/buying/offers/postage-rule.ts';
import type { Priority } from '../../core/buying/wants/wants-list.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { convertMinor } from '../../core/money/exchange-rates.ts';
import {
	NextSellerInput,
	NextSellerOutput,
	WalkAwayInput,
	WalkAwayOutput,
	type NextSellerRequest,
	type WalkAwayRequest
} from '../../schemas/compute-best-way.ts';
import {
	PlanBuyingInput,
	PlanBuyingOutput,
	type PlanBuyingRequest
} from '../../schemas/compute-plan-buying.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

const USUAL = { currency: 'EUR', gap: 0.01, seconds: 5, seed: 1 };

export const planBuyingComputation = defineComputation({
	name: 'plan-buying',
	summary:
		'Which want from whom, straight or by a hub, so that cards, postage and forwarding cost least and most is covered; with a bound that proves how far off it is.',
	input: PlanBuyingInput,
	output: PlanBuyingOutput,
	run(request: PlanBuyingRequest) {
		const read = readProblem(request);
		if (!read.ok) return read;
		const compiled = compileModel(read.value);
		const { model } = compiled;
		const state = solve(request, model);
		const { progressOf } = request;
		const weight = budgetWeights(
			read.value.wants,
			progressOf ? ({ key }) => progressOf.includes(key) : null
		);
		const within =
			request.budgetMinor === undefined
				? null
				: planWithinBudget(model, request.budgetMinor, weight, state.best, quickBound(model));
		const chosen = within?.selection ?? state.best;
		const missing = state.value - paidOf(model, state.best).totalMinor;
		const report = reportPlan(compiled, chosen, state.best);
		const { totalMinor } = report.plan;
		const boundMinor = within ? 0 : Math.max(0, state.bound - missing);
		return good({
			...report,
			boundMinor,
			gap: within || totalMinor === 0 ? 0 : Math.max(0, (totalMinor - boundMinor) / totalMinor),
			isProven: within ? within.weight >= within.mostWeight - 1e-9 : state.isProven,
			...(within
				? {
						withinBudget: {
							weight: within.weight,
							whole: within.whole,
							mostWeight: within.mostWeight
						}
					}
				: {}),
			nothingAt: compiled.withNothing
		});
	}
});

export const walkAwayComputation = defineComputation({
	name: 'walk-away-price',
	summary:
		'The most each card is worth elsewhere, or some together, given the best other way to get it, postage with it.',
	input: WalkAwayInput,
	output: WalkAwayOutput,
	run(request: WalkAwayRequest) {
		const read = readProblem(request);
		if (!read.ok) return read;
		const { model, sellerKeys, wantKeys } = compileModel(read.value);
		const { together = [], limitMinor = 1e9 } = request;
		const problems = together.flatMap((key, i): readonly Problem[] =>
			wantKeys.includes(key) && together.indexOf(key) === i
				? []
				: [
						{
							pointer: `/together/${i}`,
							message: wantKeys.includes(key)
								? `"${key}" stands twice`
								: `there is no want "${key}"`,
							remedy: 'Name each want once.'
						}
					]
		);
		if (problems.length > 0) return bad(problems);
		const state = solve(request, model);
		const { cards, postage, forwarding } = costOfSelection(model, state.best);
		return good({
			totalMinor: cards + postage + forwarding,
			wants: walkAwayPrices(model, state.best, limitMinor).map(({ want, worthMinor, seller }) => ({
				...{ want: wantKeys[want] ?? '', worthMinor },
				seller: sellerKeys[seller] ?? null
			})),
			togetherMinor:
				together.length === 0
					? null
					: worthTogether(
							model,
							state.best,
							together.map((key) => wantKeys.indexOf(key)),
							limitMinor
						)
		});
	}
});

export const nextSellerComputation = defineComputation({
	name: 'next-seller',
	summary:
		'Which seller’s list to open next from what has been seen so far, and what that may save.',
	input: NextSellerInput,
	output: NextSellerOutput,
	run({ wants, sellers }: NextSellerRequest) {
		const problems = [
			...repeated('wants', 'key', wants),
			...repeated('sellers', 'key', sellers),
			...sellers.flatMap(({ postage }, s) =>
				atPointer(checkPostageRule(postage), `/sellers/${s}/postage`)
			)
		];
		if (problems.length > 0) return bad(problems);
		return good({
			sellers: nextSeller(
				wants.map(({ quantity = 1, knownMinor = null, ...want }) => ({
					...want,
					quantity,
					knownMinor
				})),
				sellers.map(({ notFound = [], ...seller }) => ({ ...seller, notFound }))
			)
		});
	}
});

type ProblemRequest = Omit<PlanBuyingRequest, 'budgetMinor' | 'progressOf'>;

/** The problem with its defaults and in one currency, or all that is wrong with it. */
function readProblem(request: ProblemRequest): Outcome<BuyingProblem> {
	const { wants, sellers, offers, bundles = [], hub = null, limits = {} } = request;
	const { currency = USUAL.currency, rates = [] } = request;
	const problems: Problem[] = [
		...repeated('wants', 'key', wants),
		...repeated('sellers', 'key', sellers),
		...repeated('offers', 'key', offers),
		...repeated('bundles', 'key', bundles)
	];
	const known = new Set(sellers.map(({ key }) => key));
	const named = (key: string, pointer: string) => {
		if (known.has(key)) return;
		problems.push({
			pointer,
			message: `there is no seller "${key}"`,
			remedy: 'List the seller too.'
		});
	};
	for (const [s, { direct, toHub }] of sellers.entries()) {
		if (direct) problems.push(...atPointer(checkPostageRule(direct), `/sellers/${s}/direct`));
		if (toHub) problems.push(...atPointer(checkPostageRule(toHub), `/sellers/${s}/toHub`));
	}
	if (hub) problems.push(...atPointer(checkPostageRule(hub.forwarding), '/hub/forwarding'));
	for (const [b, { seller }] of bundles.entries()) named(seller, `/bundles/${b}/seller`);
	for (const which of ['with', 'without'] as const) {
		for (const [i, key] of (limits[which] ?? []).entries()) named(key, `/limits/${which}/${i}`);
	}
	const priced = offers.flatMap((offer, o) => {
		const { minor, breaks, quantity = 1, currency: code = currency, ...rest } = offer;
		named(offer.seller, `/offers/${o}/seller`);
		const lots = breaks ?? (minor === undefined ? [] : [{ count: 1, minor }]);
		if (lots.length === 0 || (breaks && minor !== undefined)) {
			problems.push({
				pointer: `/offers/${o}/minor`,
				message: lots.length === 0 ? 'the offer has no price' : 'the price is said twice',
				remedy: 'Give minor, or breaks.'
			});
		}
		const converted = lots.map(({ count, minor: each }) => ({
			count,
			minor: convertMinor(each, code, currency, rates)
		}));
		if (converted.some((lot) => lot.minor === null)) {
			const message = `no rate leads from ${code} to ${currency}`;
			problems.push({ pointer: `/offers/${o}/currency`, message, remedy: 'Give a rate.' });
		}
		const whole = converted.map(({ count, minor: each }) => ({ count, minor: each ?? 0 }));
		return [{ ...rest, quantity, breaks: whole }];
	});
	if (problems.length > 0) return bad(problems);
	return good({
		wants: wants.map(({ quantity = 1, priority = 2, mostMinor = null, ...want }) => ({
			...want,
			...{ quantity, mostMinor, priority: priority as Priority }
		})),
		offers: priced,
		bundles: bundles.map(({ isShipped = false, items, ...bundle }) => ({
			...bundle,
			isShipped,
			items: items.map(({ quantity = 1, ...item }) => ({ ...item, quantity }))
		})),
		sellers: sellers.map(({ name, toHub = null, ...seller }) => ({
			...seller,
			...{ name: name ?? seller.key, toHub }
		})),
		hub,
		limits
	});
}

/** Searches as long and as near as is asked for. */
function solve(
	{ gap = USUAL.gap, seconds = USUAL.seconds, seed = USUAL.seed }: ProblemRequest,
	model: BuyingModel
): SearchState {
	return searchFor(model, { gap, longestMs: 1000 * seconds, seed });
}

function atPointer(problems: readonly Problem[], pointer: string): readonly Problem[] {
	return problems.map((problem) => ({ ...problem, pointer: `${pointer}${problem.pointer ?? ''}` }));
}
