import { middleOf, type Price } from '../../worth/prices/price.ts';

/** What rules look at. */
interface Ranked {
	readonly cost: Price;
	readonly missing: number;
	readonly need: number;
	readonly wholeMinor: number;
}

/** Rules by which unfinished goals are ranked: the lowest score first; that of which no price is known comes last. */
export const FINISH_RULES = {
	'least to pay': {
		name: 'Least to pay',
		meaning: 'What is finished for the smallest sum comes first.',
		scoreOf: ({ cost }: Ranked) => (middleOf(cost) === 0 ? Number.MAX_VALUE : middleOf(cost))
	},
	'least a card': {
		name: 'Least a card',
		meaning: 'Where a missing card costs least, dear key cards or not.',
		scoreOf: ({ cost, missing }: Ranked) =>
			middleOf(cost) === 0 ? Number.MAX_VALUE : middleOf(cost) / missing
	},
	'least of its worth': {
		name: 'Least of its worth',
		meaning: 'What finishing costs, as a part of what the whole set is worth.',
		scoreOf: ({ cost, wholeMinor }: Ranked) =>
			wholeMinor === 0 || middleOf(cost) === 0 ? Number.MAX_VALUE : middleOf(cost) / wholeMinor
	},
	'nearest to done': {
		name: 'Nearest to done',
		meaning: 'The largest part of its cards is there already.',
		scoreOf: ({ missing, need }: Ranked) => missing / need
	}
} as const satisfies Record<
	string,
	{ readonly name: string; readonly meaning: string; readonly scoreOf: (goal: Ranked) => number }
>;
export type FinishRule = keyof typeof FINISH_RULES;
export const FINISH_RULE_KEYS = Object.keys(FINISH_RULES) as FinishRule[];
