import { boxWeight, shelfLoad } from '../../core/storage/room/box-weight.ts';
import { good } from '../../core/problem.ts';
import {
	BoxWeightInput,
	BoxWeightOutput,
	type BoxWeightRequest
} from '../../schemas/compute-boxes.ts';
import { defineComputation } from './define-computation.ts';

export const boxWeightComputation = defineComputation({
	name: 'box-weight',
	summary: 'What a box weighs with its cards, and whether it is to be lifted with care.',
	input: BoxWeightInput,
	output: BoxWeightOutput,
	run({ parts, tareG = 0, shelf }: BoxWeightRequest) {
		const weight = boxWeight(parts, tareG);
		if (!shelf) return good(weight);
		const { otherBoxesG, ratingG = null } = shelf;
		return good({ ...weight, shelf: shelfLoad([weight.grams, ...otherBoxesG], ratingG) });
	}
});
