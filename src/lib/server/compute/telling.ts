import { tooManyTells } from '../../core/telling/features.ts';
import { nextQuestion } from '../../core/telling/next-question.ts';
import { tellApartTable } from '../../core/telling/tell-apart-table.ts';
import { bad, good } from '../../core/problem.ts';
import {
	NextQuestionInput,
	NextQuestionOutput,
	TellApartInput,
	TellApartOutput,
	type NextQuestionRequest,
	type TellApartRequest
} from '../../schemas/compute-telling.ts';
import { repeated } from './repeated.ts';
import { defineComputation } from './define-computation.ts';

export const nextQuestionComputation = defineComputation({
	name: 'next-question',
	summary:
		'What to look at next to tell candidates apart in the fewest seconds, how sure one is, and what would settle it.',
	input: NextQuestionInput,
	output: NextQuestionOutput,
	run({ candidates, answers = [], sure }: NextQuestionRequest) {
		const problems = repeated('candidates', 'key', candidates);
		return problems.length > 0 ? bad(problems) : nextQuestion(candidates, answers, sure);
	}
});

export const tellApartComputation = defineComputation({
	name: 'tell-apart-table',
	summary: 'Look-alikes beside each other: what differs first, and pairs that nothing tells apart.',
	input: TellApartInput,
	output: TellApartOutput,
	run({ candidates }: TellApartRequest) {
		const problems = repeated('candidates', 'key', candidates);
		const tooMany = tooManyTells(candidates);
		if (problems.length > 0 || tooMany) return bad(tooMany ? [...problems, tooMany] : problems);
		const { twins, ...table } = tellApartTable(candidates);
		return good({ ...table, twins: twins.map((pair) => [...pair]) });
	}
});
