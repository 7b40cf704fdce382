import { Type, type Static } from 'typebox';
import { closed, Count, list, Minor, orNull, said, Word } from './vocabulary.ts';

/* Smaller computations of buying: conditions for a budget, trades, random lots. */

const Optional = Type.Optional;
const Quality = Type.Number({ minimum: 0, maximum: 10, multipleOf: 0.5 });

export const BudgetConditionInput = Type.Object(
	{
		slots: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the slot.'),
						choices: said(
							list(
								Type.Object(
									{
										name: said(Word, 'near mint, or 8.'),
										minor: said(Minor, 'What it costs so.'),
										quality: said(Quality, 'How good it is: grades 0 to 10 in halves.')
									},
									closed
								),
								30,
								{ minItems: 1 }
							),
							'The conditions in which it can be had.'
						),
						pinned: said(Optional(Word), 'Name of the choice that is settled; left out: none.')
					},
					closed
				),
				1000
			),
			'Cards of the set.'
		),
		budgetMinor: said(Optional(Minor), 'The best set for so much.'),
		average: said(
			Optional(Type.Number({ minimum: 0, maximum: 10 })),
			'The cheapest set of this average.'
		)
	},
	closed
);
export type BudgetConditionRequest = Static<typeof BudgetConditionInput>;
const ConditionPlanSchema = Type.Object(
	{
		choices: said(
			Type.Array(
				Type.Object({ key: said(Word, 'The slot.'), name: said(Word, 'The choice.') }, closed)
			),
			'One a slot.'
		),
		minor: said(Minor, 'What it costs.'),
		average: said(Type.Number({ minimum: 0 }), 'Its average quality.')
	},
	closed
);
export const BudgetConditionOutput = Type.Object(
	{
		best: said(
			orNull(ConditionPlanSchema),
			'The best set for the budget; null: none is within it, or none was named.'
		),
		cheapest: said(
			orNull(ConditionPlanSchema),
			'The cheapest of that average; null: none is so good, or none was named.'
		),
		curve: said(
			Type.Array(
				Type.Object(
					{
						average: said(Type.Number({ minimum: 0 }), 'An average,'),
						minor: said(Minor, 'and the least that a set of it costs.')
					},
					closed
				)
			),
			'Cost by average, rising.'
		)
	},
	closed
);

const TradeCardSchema = Type.Object(
	{
		key: said(Word, 'Names the card; a second one has a key of its own.'),
		minor: said(Minor, 'What it is worth to both.'),
		isFixed: said(Optional(Type.Boolean()), 'It has to be part of the trade; left out: no.')
	},
	closed
);
export const MatchTradesInput = Type.Object(
	{
		give: said(list(TradeCardSchema, 500), 'What I could give and the other wants.'),
		take: said(list(TradeCardSchema, 500), 'What the other could give and I want.'),
		toleranceMinor: said(Minor, 'How far the two sides may be apart.')
	},
	closed
);
export type MatchTradesRequest = Static<typeof MatchTradesInput>;
const TradeSchema = Type.Object(
	{
		give: said(Type.Array(Word), 'Keys of what I give.'),
		take: said(Type.Array(Word), 'Keys of what I take.'),
		giveMinor: said(Minor, 'What that is worth.'),
		takeMinor: said(Minor, 'What that is worth.')
	},
	closed
);
export const MatchTradesOutput = Type.Object(
	{
		best: said(orNull(TradeSchema), 'Most cards, of those the most even; null: no trade is fair.'),
		others: said(
			Type.Array(
				Type.Object(
					{
						why: said(
							Type.Enum(['most even of as many', 'most even of all', 'without the dearest']),
							'What is better of it.'
						),
						trade: said(TradeSchema, 'The other trade.')
					},
					closed
				)
			),
			'Other ways.'
		),
		unitMinor: said(
			Count,
			'What it was reckoned in: above 1, sides may be apart by a unit a card more.'
		)
	},
	closed
);

export const LotCoverageInput = Type.Object(
	{
		cards: said(Type.Integer({ minimum: 0, maximum: 20_000 }), 'Cards in the lot.'),
		kinds: said(
			Type.Integer({ minimum: 1, maximum: 20_000 }),
			'Different cards that may be in it.'
		),
		wanted: said(Type.Integer({ minimum: 0, maximum: 2000 }), 'How many of these are wanted.'),
		isAllDifferent: said(Optional(Type.Boolean()), 'No two are the same; left out: they may be.')
	},
	closed
);
export type LotCoverageRequest = Static<typeof LotCoverageInput>;
export const LotCoverageOutput = Type.Object(
	{
		expected: said(Type.Number({ minimum: 0 }), 'Different wanted cards on average.'),
		spread: said(Type.Number({ minimum: 0 }), 'How far it usually is off: standard deviation.'),
		chances: said(Type.Array(Type.Number()), 'Of exactly 0, 1, … wanted cards.'),
		chanceOfAll: said(Type.Number({ minimum: 0, maximum: 1 }), 'All wanted ones are in it.'),
		wantedLeft: said(Type.Number({ minimum: 0 }), 'Wanted cards still missing on average.')
	},
	closed
);
