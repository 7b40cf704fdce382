import { group } from 'd3-array';
import { bad, good, type Problem } from '../../core/problem.ts';
import { buildToSell } from '../../core/selling/building/build-to-sell.ts';
import {
	cheapestParcels,
	MOST_SELECTIONS,
	selectionsOf
} from '../../core/selling/parcels/cheapest-parcels.ts';
import {
	BuildToSellInput,
	BuildToSellOutput,
	FitParcelsInput,
	FitParcelsOutput,
	type BuildToSellRequest,
	type FitParcelsRequest
} from '../../schemas/compute-selling.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

const MOST_SETS = 200;

export const buildToSellComputation = defineComputation({
	name: 'build-to-sell',
	summary:
		'Sets built to be sold: what they cost, bring and take in hours, by how many; break-even, and whether key cards are priced.',
	input: BuildToSellInput,
	output: BuildToSellOutput,
	run({ parts, mostSets = 50, ...request }: BuildToSellRequest) {
		const problems = [
			...repeated('parts', 'key', parts),
			...parts.flatMap(({ offers }, i) => repeated(`parts/${i}/offers`, 'key', offers))
		];
		if (problems.length > 0) return bad(problems);
		const nothing = {
			...{ feeShare: 0, suppliesMinor: 0, packingMinor: 0, postageMinor: 0 },
			...{ fixedMinor: 0, hoursFixed: 0, hoursPerSet: 0 }
		};
		return good(
			buildToSell({
				...nothing,
				...request,
				mostSets,
				parts: parts.map(({ key, isKey = false, valueMinor = null, offers }) => ({
					...{ key, isKey, valueMinor },
					offers: offers.map(({ available = MOST_SETS, hours = 0, ...offer }) => ({
						...offer,
						...{ available, hours }
					}))
				}))
			})
		);
	}
});

export const fitParcelsComputation = defineComputation({
	name: 'fit-parcels',
	summary:
		'Boxes into parcels, turned as they may be: the cheapest combination, by size and weight, and where each lies.',
	input: FitParcelsInput,
	output: FitParcelsOutput,
	run({ boxes, parcels }: FitParcelsRequest) {
		const all = boxes.map(({ quantity = 1, turning = 'any', buyer, ...box }) => ({
			...box,
			...{ quantity, turning, buyer: buyer ?? null }
		}));
		const byBuyer = [...group(all, ({ buyer }) => buyer)];
		const problems: readonly Problem[] = [
			...repeated('boxes', 'key', boxes),
			...repeated('parcels', 'key', parcels),
			...parcels.flatMap(({ rates }, i): readonly Problem[] =>
				rates.every(({ upToGrams }, j) => j === 0 || upToGrams > (rates[j - 1]?.upToGrams ?? 0))
					? []
					: [
							{
								pointer: `/parcels/${i}/rates`,
								message: 'the rates do not rise by weight',
								remedy: 'Put the lightest first, each weight once.'
							}
						]
			),
			...byBuyer.flatMap(([buyer, some]): readonly Problem[] =>
				selectionsOf(some) <= MOST_SELECTIONS
					? []
					: [
							{
								pointer: '/boxes',
								message: `${buyer === null ? 'these are' : `for ${buyer} there are`} too many different boxes to try all ways to part them`,
								remedy: 'Send up to ten different ones, or more of fewer kinds.'
							}
						]
			)
		];
		if (problems.length > 0) return bad(problems);
		const kinds = parcels.map(({ tareGrams = 0, ...parcel }) => ({ ...parcel, tareGrams }));
		const buyers = byBuyer.map(([buyer, some]) => ({ buyer, ...cheapestParcels(some, kinds) }));
		return good({
			totalMinor: buyers.reduce((sum, { totalMinor }) => sum + totalMinor, 0),
			isProven: buyers.every(({ isProven }) => isProven),
			buyers
		});
	}
});
