import {
	chooseHolder,
	USUAL_TIERS,
	type HolderTier
} from '../../core/storage/holders/choose-holder.ts';
import { bad, good } from '../../core/problem.ts';
import {
	ChooseHolderInput,
	ChooseHolderOutput,
	type ChooseHolderRequest
} from '../../schemas/compute-holders.ts';
import { ownHolder } from '../../core/storage/kinds/holder-kind.ts';
import { repeated } from './repeated.ts';
import { defineComputation } from './define-computation.ts';

export const chooseHolderComputation = defineComputation({
	name: 'choose-holder',
	summary: 'What to keep a card in, by its value, its size and its thickness.',
	input: ChooseHolderInput,
	output: ChooseHolderOutput,
	run({ card, tiers: given, holders = [] }: ChooseHolderRequest) {
		const tiers: readonly HolderTier[] = given ?? USUAL_TIERS;
		const { tier } = card;
		if (tier !== undefined && !tiers.some(({ name }) => name === tier)) {
			return bad([
				{
					pointer: '/card/tier',
					field: 'tier',
					message: `there is no tier "${tier}"`,
					remedy: `Tiers are ${tiers.map(({ name }) => name).join(', ')}.`
				}
			]);
		}
		const twice = repeated('holders', 'key', holders);
		if (twice.length > 0) return bad(twice);
		return good(chooseHolder(card, tiers, holders.map(ownHolder)));
	}
});
