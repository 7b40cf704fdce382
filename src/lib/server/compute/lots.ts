import { bad, good, type Problem } from '../../core/problem.ts';
import { dealLots } from '../../core/selling/lots/deal-lots.ts';
import { whatMayGo } from '../../core/selling/lots/what-may-go.ts';
import {
	LotsAndSinglesInput,
	LotsAndSinglesOutput,
	type LotsAndSinglesRequest
} from '../../schemas/compute-lots.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

const USUAL_LOT = 100;

export const lotsAndSinglesComputation = defineComputation({
	name: 'lots-and-singles',
	summary: 'Which cards are sold, and how: by themselves or in lots, where, and for how much.',
	input: LotsAndSinglesInput,
	output: LotsAndSinglesOutput,
	run(request: LotsAndSinglesRequest) {
		const { sellsInserts = true, sellsDoubles = false, unpricedMinor = null } = request;
		const { askShare = 1, floorShare = 1, lotShare = 1 } = request;
		const bands = request.bands.map(({ mostCards = USUAL_LOT, ...band }) => ({
			...band,
			mostCards
		}));
		const problems: readonly Problem[] = [
			...repeated('copies', 'key', request.copies),
			...bands.flatMap(({ fromMinor }, i): readonly Problem[] =>
				i === 0 || fromMinor > (bands[i - 1]?.fromMinor ?? 0)
					? []
					: [
							{
								pointer: `/bands/${i}/fromMinor`,
								message: 'the bands do not rise',
								remedy: 'Put the lowest first, each value once.'
							}
						]
			)
		];
		if (problems.length > 0) return bad(problems);
		const copies = request.copies.map(
			({ release = 'all', group = 'all', status = 'kept', quantity = 1, ...copy }) => ({
				...{ release, group, status, quantity, needed: 0, rank: 0, eachMinor: null },
				...copy
			})
		);
		const going = whatMayGo(copies, { sellsInserts, sellsDoubles }).map(({ copy, quantity }) => ({
			...copy,
			quantity
		}));
		return good(dealLots(going, { bands, askShare, floorShare, lotShare, unpricedMinor }));
	}
});
