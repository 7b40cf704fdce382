import { costOfSelection } from './cost-of-selection.ts';
import { copySelection, type BuyingModel, type Selection } from './model.ts';
import { makeSellerSearch, type Found } from './search-sellers.ts';

/** A plan that gets so many cards for so much. */
export interface CurvePoint {
	readonly covered: number;
	readonly paidMinor: number;
	/** What a card may cost in it, in minor units: dearer ones are left out. */
	readonly eachMinor: number;
	readonly selection: Selection;
}

/** Prices of a card at which plans are made. */
const POINTS = 14;

/**
 * Cost against completeness: plans for a rising price that a card may cost, postage with it. Each is the cheapest of its
 * number that such a price leads to; numbers between two points may be had by leaving cards of the larger out. More
 * cards always cost more along it: what does not is left out.
 *
 * @param weight what a card of each want counts for; all alike where left out
 */
export function completenessCurve(
	model: BuyingModel,
	full: Selection,
	weight: Float64Array = new Float64Array(model.need.length).fill(1)
): readonly CurvePoint[] {
	const all = costOfSelection(model, full);
	const dearest = priceOfDearest(model) / Math.min(1, ...weight);
	const points: CurvePoint[] = [pointOf(model, full, dearest)];
	let start = copySelection(full);
	for (let k = 1; k < POINTS && all.sellers > 0; k++) {
		// From dear to cheap, each a step of the same ratio: the last is a hundredth of the dearest.
		const eachMinor = dearest * Math.exp((-Math.log(200) * k) / (POINTS - 1));
		const found = planAtPrice(model, eachMinor, weight, start);
		points.push(pointOf(model, found.selection, eachMinor));
		start = found.selection;
	}
	const rising: CurvePoint[] = [];
	for (const point of points.sort((a, b) => a.covered - b.covered || a.paidMinor - b.paidMinor)) {
		if (rising.at(-1)?.covered === point.covered) continue;
		while ((rising.at(-1)?.paidMinor ?? -1) >= point.paidMinor) rising.pop();
		rising.push(point);
	}
	return rising;
}

/** The plan that is best where a card of weight 1 may cost so much, postage with it. */
export function planAtPrice(
	model: BuyingModel,
	eachMinor: number,
	weight: Float64Array,
	start: Selection
): Found {
	const penalty = weight.map((share) => share * eachMinor);
	const search = makeSellerSearch({ ...model, penalty });
	const fromStart = search.descend(start);
	const afresh = search.build(false);
	return afresh.value < fromStart.value ? search.descend(afresh.selection) : fromStart;
}

function pointOf(model: BuyingModel, selection: Selection, eachMinor: number): CurvePoint {
	const { cards, postage, forwarding, uncovered } = costOfSelection(model, selection);
	const asked = model.need.reduce((sum, count) => sum + count, 0);
	return {
		covered: asked - uncovered,
		paidMinor: cards + postage + forwarding,
		eachMinor,
		selection
	};
}

/** More than any card costs at its cheapest, with a postage of its own. */
function priceOfDearest({ need, arcsOf, arcOffer, offerCost, sellers }: BuyingModel): number {
	let dearest = 0;
	for (let i = 0; i < need.length; i++) {
		let cheapest = Infinity;
		for (const a of arcsOf[i] as Int32Array) {
			cheapest = Math.min(cheapest, offerCost[arcOffer[a] as number]?.[1] ?? Infinity);
		}
		if (cheapest < Infinity) dearest = Math.max(dearest, cheapest);
	}
	const fees = sellers.map(({ direct }) =>
		direct?.sort === 'each' ? direct.firstMinor : (direct?.tiers[0]?.minor ?? 0)
	);
	return dearest + Math.max(0, ...fees) + 1;
}
