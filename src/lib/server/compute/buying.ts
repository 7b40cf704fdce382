import { budgetCondition } from '../../core/buying/condition/budget-condition.ts';
import { lotCoverage } from '../../core/buying/lots/lot-coverage.ts';
import { matchTrades } from '../../core/buying/trades/match-trades.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import {
	BudgetConditionInput,
	BudgetConditionOutput,
	LotCoverageInput,
	LotCoverageOutput,
	MatchTradesInput,
	MatchTradesOutput,
	type BudgetConditionRequest,
	type LotCoverageRequest,
	type MatchTradesRequest
} from '../../schemas/compute-buying.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

export const budgetConditionComputation = defineComputation({
	name: 'budget-condition',
	summary:
		'A condition for every card: the best set for a budget, the cheapest of an average, exactly.',
	input: BudgetConditionInput,
	output: BudgetConditionOutput,
	run({ slots, ...asked }: BudgetConditionRequest) {
		const problems = [
			...repeated('slots', 'key', slots),
			...slots.flatMap(({ choices, pinned }, i): readonly Problem[] => {
				if (pinned === undefined || choices.some(({ name }) => name === pinned)) return [];
				const message = `none of its choices is called "${pinned}"`;
				return [{ pointer: `/slots/${i}/pinned`, message, remedy: 'Name one of them.' }];
			})
		];
		return problems.length > 0 ? bad(problems) : good(budgetCondition(slots, asked));
	}
});

export const matchTradesComputation = defineComputation({
	name: 'match-trades',
	summary: 'The fair trade in which most cards change hands, exactly, with alternatives.',
	input: MatchTradesInput,
	output: MatchTradesOutput,
	run({ give, take, toleranceMinor }: MatchTradesRequest) {
		const problems = [...repeated('give', 'key', give), ...repeated('take', 'key', take)];
		return problems.length > 0 ? bad(problems) : good(matchTrades(give, take, toleranceMinor));
	}
});

export const lotCoverageComputation = defineComputation({
	name: 'lot-coverage',
	summary:
		'How many wanted cards a random lot is expected to bring, with the chance of each number.',
	input: LotCoverageInput,
	output: LotCoverageOutput,
	run({ isAllDifferent = false, ...lot }: LotCoverageRequest) {
		const problems: Problem[] = [];
		if (lot.wanted > lot.kinds) {
			const message = `${lot.wanted} are wanted of ${lot.kinds} kinds`;
			problems.push({ pointer: '/wanted', message, remedy: 'Want no more than there are.' });
		}
		if (isAllDifferent && lot.cards > lot.kinds) {
			const message = `${lot.cards} different cards of ${lot.kinds} kinds`;
			problems.push({ pointer: '/cards', message, remedy: 'Put no more in than there are.' });
		}
		if (lot.cards * lot.wanted > 20_000_000) {
			const message = 'cards × wanted is more than can be worked out';
			problems.push({ pointer: '/cards', message, remedy: 'Ask for a part of it.' });
		}
		if (problems.length > 0) return bad(problems);
		const coverage = lotCoverage({ ...lot, isAllDifferent });
		return good({ ...coverage, wantedLeft: Math.max(0, lot.wanted - coverage.expected) });
	}
});
