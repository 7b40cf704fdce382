import { problemsOfSet } from './problems-of-set.ts';
import { chooseBox } from '../../core/storage/plan/choose-box.ts';
import { bad, good } from '../../core/problem.ts';
import {
	ChooseBoxInput,
	ChooseBoxOutput,
	type ChooseBoxRequest
} from '../../schemas/compute-boxes.ts';
import { defineComputation } from './define-computation.ts';

export const chooseBoxComputation = defineComputation({
	name: 'choose-box',
	summary: 'Whether a set gets a box of its own, shares one, or stands with strays, and why.',
	input: ChooseBoxInput,
	output: ChooseBoxOutput,
	run({ set, rules, kinds }: ChooseBoxRequest) {
		const problems = problemsOfSet(set, '/set');
		return problems.length > 0 ? bad(problems) : good(chooseBox(set, rules, kinds));
	}
});
