import { USUAL_TIERS } from '../../core/storage/holders/choose-holder.ts';
import { checkTiers } from '../../core/storage/holders/check-tiers.ts';
import { holdersToBuy, tierMoves } from '../../core/storage/holders/tier-moves.ts';
import { bad, good } from '../../core/problem.ts';
import {
	MoveTiersInput,
	MoveTiersOutput,
	type MoveTiersRequest
} from '../../schemas/compute-holders.ts';
import { defineComputation } from './define-computation.ts';

export const moveTiersComputation = defineComputation({
	name: 'move-tiers',
	summary: 'Which cards should move up or down a tier, and the holders that takes.',
	input: MoveTiersInput,
	output: MoveTiersOutput,
	run({
		cards,
		tiers = [...USUAL_TIERS],
		currency,
		rates,
		names = [],
		onHand = {}
	}: MoveTiersRequest) {
		const problems = checkTiers(tiers, names);
		if (problems.length > 0) return bad(problems);
		const moves = tierMoves(cards, tiers, names, currency, rates);
		return good({ moves, holders: holdersToBuy(moves, onHand) });
	}
});
