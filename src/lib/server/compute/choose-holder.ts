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
import { defineComputation } from './define-computation.ts';

export const chooseHolderComputation = defineComputation({
	name: 'choose-holder',
	summary: 'What to keep a card in, by its value and its thickness.',
	input: ChooseHolderInput,
	output: ChooseHolderOutput,
	run({ card, tiers: given }: ChooseHolderRequest) {
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
		return good(chooseHolder(card, tiers));
	}
});
