import { chooseBox } from '../../core/boxes/choose-box.ts';
import { good } from '../../core/problem.ts';
import {
	ChooseBoxInput,
	ChooseBoxOutput,
	type ChooseBoxRequest
} from '../../schemas/compute-boxes.ts';

export const chooseBoxComputation = {
	name: 'choose-box',
	summary: 'Whether a set gets a box of its own, shares one, or stands with strays, and why.',
	input: ChooseBoxInput,
	output: ChooseBoxOutput,
	run({ set, rules, kinds }: ChooseBoxRequest) {
		return good(chooseBox(set, rules, kinds));
	}
} as const;
