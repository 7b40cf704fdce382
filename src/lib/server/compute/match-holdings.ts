import { matchHoldings } from '../../core/holdings/match-holdings.ts';
import { good } from '../../core/problem.ts';
import {
	MatchHoldingsInput,
	MatchHoldingsOutput,
	type MatchHoldingsRequest
} from '../../schemas/compute-holdings.ts';
import { resolveChecklists } from './resolve-checklist.ts';
import { defineComputation } from './define-computation.ts';

export const matchHoldingsComputation = defineComputation({
	name: 'match-holdings',
	summary:
		"Gives the rows of a person's own list to the cards of checklists; what fits none is told.",
	input: MatchHoldingsInput,
	output: MatchHoldingsOutput,
	run({ checklists, rows, choices }: MatchHoldingsRequest) {
		const releases = resolveChecklists(checklists);
		if (!releases.ok) return releases;
		return good(
			matchHoldings(
				rows.map((row, i) => ({
					line: i + 1,
					year: '',
					maker: '',
					section: '',
					number: '',
					subject: '',
					parallel: '',
					attributes: [],
					...row,
					fields: { quantity: 1, ...row.fields }
				})),
				releases.value,
				choices
			)
		);
	}
});
