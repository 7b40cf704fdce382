import type { TSchema } from 'typebox';
import type { Problem } from '../../core/problem.ts';
import { checkAgainst } from '../../schemas/validator.ts';
import type { Computation } from './define-computation.ts';
import { adviseShelvesComputation } from './advise-shelves.ts';
import { moveTiersComputation } from './move-tiers.ts';
import { respaceRowsComputation } from './respace-rows.ts';
import { takeStockComputation } from './take-stock.ts';
import { copyThicknessComputation } from './copy-thickness.ts';
import { rarityScaleComputation } from './rarity-scale.ts';
import { whatFitsComputation } from './what-fits.ts';
import {
	judgePileCardComputation,
	packFinishesComputation,
	storageClassComputation
} from './pile.ts';
import {
	budgetConditionComputation,
	lotCoverageComputation,
	matchTradesComputation
} from './buying.ts';
import {
	nextSellerComputation,
	planBuyingComputation,
	walkAwayComputation
} from './plan-buying.ts';
import { costToFinishComputation, priceSheetComputation } from './prices.ts';
import { nextQuestionComputation, tellApartComputation } from './telling.ts';
import { tuneSortingComputation } from './tune-sorting.ts';
import { boxWeightComputation } from './box-weight.ts';
import { chooseBoxComputation } from './choose-box.ts';
import { chooseHolderComputation } from './choose-holder.ts';
import { planBoxesComputation } from './plan-boxes.ts';
import { planSortingComputation } from './plan-sorting.ts';
import { putAwayComputation } from './put-away.ts';
import { stackHeightComputation } from './stack-height.ts';
import { checkChecklist } from './check-checklist.ts';
import { compareReleasesComputation } from './compare-releases.ts';
import { expandChecklist } from './expand-checklist.ts';
import { fillSlotsComputation, wholeSetsComputation } from './fill-slots.ts';
import { matchHoldingsComputation } from './match-holdings.ts';
import { pairGroupsComputation } from './pair-groups.ts';
import { checkInComputation, shipNowComputation } from './orders.ts';
import {
	compareSealedComputation,
	hiddenTilesComputation,
	lastCardsComputation,
	openedPacksComputation
} from './opened-packs.ts';
import { centringComputation, conditionWorksheetComputation } from './bench.ts';
import { buildToSellComputation, fitParcelsComputation } from './selling.ts';
import { estimatePriceComputation, gradeLadderComputation, setWorthComputation } from './worth.ts';
import { populationComputation, scarcityRatioComputation } from './population.ts';
import { gradeOrNotComputation, gradingEyeComputation } from './grading.ts';
import { lotsAndSinglesComputation } from './lots.ts';
import {
	oddsFitComputation,
	packOddsComputation,
	simulatePacksComputation,
	whenToStopComputation
} from './packs.ts';
import { planBinderComputation } from './plan-binder.ts';
import { planMovesComputation } from './plan-moves.ts';
import { production } from './production.ts';
import { readOutlineComputation } from './read-outline.ts';
import { readShorthandComputation } from './read-shorthand.ts';
import { scopeGoalComputation } from './scope-goal.ts';
import { suppliesComputation } from './supplies.ts';

export const COMPUTATIONS: readonly Computation[] = [
	expandChecklist,
	fillSlotsComputation,
	wholeSetsComputation,
	readShorthandComputation,
	planBinderComputation,
	checkChecklist,
	compareReleasesComputation,
	production,
	readOutlineComputation,
	scopeGoalComputation,
	matchHoldingsComputation,
	pairGroupsComputation,
	planMovesComputation,
	suppliesComputation,
	planBoxesComputation,
	chooseBoxComputation,
	chooseHolderComputation,
	planSortingComputation,
	putAwayComputation,
	stackHeightComputation,
	boxWeightComputation,
	respaceRowsComputation,
	moveTiersComputation,
	adviseShelvesComputation,
	takeStockComputation,
	tuneSortingComputation,
	rarityScaleComputation,
	copyThicknessComputation,
	whatFitsComputation,
	nextQuestionComputation,
	tellApartComputation,
	judgePileCardComputation,
	storageClassComputation,
	packFinishesComputation,
	priceSheetComputation,
	costToFinishComputation,
	planBuyingComputation,
	walkAwayComputation,
	nextSellerComputation,
	budgetConditionComputation,
	matchTradesComputation,
	lotCoverageComputation,
	checkInComputation,
	shipNowComputation,
	packOddsComputation,
	compareSealedComputation,
	hiddenTilesComputation,
	lastCardsComputation,
	openedPacksComputation,
	simulatePacksComputation,
	whenToStopComputation,
	oddsFitComputation,
	gradeLadderComputation,
	estimatePriceComputation,
	populationComputation,
	scarcityRatioComputation,
	gradeOrNotComputation,
	setWorthComputation,
	gradingEyeComputation,
	lotsAndSinglesComputation,
	buildToSellComputation,
	fitParcelsComputation,
	centringComputation,
	conditionWorksheetComputation
];

export type Answer =
	| { readonly kind: 'unknown' }
	| { readonly kind: 'invalid'; readonly problems: readonly Problem[] }
	| { readonly kind: 'done'; readonly value: unknown };

/** Checks the body against the input schema of the computation and runs it. */
export async function compute(name: string, body: unknown): Promise<Answer> {
	const computation = COMPUTATIONS.find((known) => known.name === name);
	if (!computation) return { kind: 'unknown' };
	const problems = checkAgainst(computation.input, body);
	if (problems.length > 0) return { kind: 'invalid', problems };
	const outcome = await computation.run(body as never);
	return outcome.ok
		? { kind: 'done', value: outcome.value }
		: { kind: 'invalid', problems: outcome.problems };
}

/** What a caller can make smaller where a computation took too long: the lists that its body holds. */
export function howToAskForLess({ input }: Computation): string {
	const { properties } = input as { readonly properties?: Readonly<Record<string, TSchema>> };
	const names = Object.keys(properties ?? {});
	return names.length > 0
		? `Send less of: ${names.join(', ')}; or send it in parts.`
		: 'Send less, or in parts.';
}
