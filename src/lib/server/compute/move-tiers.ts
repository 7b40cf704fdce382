import { USUAL_TIERS } from '../../core/storage/holders/choose-holder.ts';
import { checkTiers } from '../../core/storage/holders/check-tiers.ts';
import { holdersToBuy, tierMoves } from '../../core/storage/holders/tier-moves.ts';
import { bad, good } from '../../core/problem.ts';
import {
	MoveTiersInput,
	MoveTiersOutput,
	type MoveTiersRequest
} from '../../schemas/compute-holders.ts';
import { HOLDER_KEYS, ownHolder } from '../../core/storage/kinds/holder-kind.ts';
import { repeated } from './repeated.ts';
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
		holders: kinds = [],
		onHand = {}
	}: MoveTiersRequest) {
		const holders = kinds.map(ownHolder);
		const known = new Set([...HOLDER_KEYS, ...holders.map(({ key }) => key)]);
		const problems = [
			...checkTiers(tiers, names),
			...repeated('holders', 'key', kinds),
			...cards.flatMap(({ holder }, i) =>
				holder === null || known.has(holder)
					? []
					: [
							{
								pointer: `/cards/${i}/holder`,
								field: 'holder',
								message: `there is no holder "${holder}"`,
								remedy: `Known are ${[...known].join(', ')}.`
							}
						]
			)
		];
		if (problems.length > 0) return bad(problems);
		const options = {
			names,
			holders,
			...(currency === undefined ? {} : { currency }),
			...(rates ? { rates } : {})
		};
		const moves = tierMoves(cards, tiers, options);
		return good({ moves, holders: holdersToBuy(moves, onHand, holders) });
	}
});
