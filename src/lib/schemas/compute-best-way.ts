import { Type, type Static } from 'typebox';
import { PostageRuleSchema } from './buying-problem.ts';
import { PlanBuyingInput } from './compute-plan-buying.ts';
import { closed, Count, list, Minor, orNull, said, Whole, Word } from './vocabulary.ts';

/* Beside a plan: what a card is worth at most, and whose list to open next. */

const Optional = Type.Optional;

export const WalkAwayInput = Type.Object(
	{
		...Type.Omit(PlanBuyingInput, ['budgetMinor', 'progressOf']).properties,
		limitMinor: said(
			Optional(Minor),
			'The most to tell where nobody else has a card; left out: 1e9.'
		),
		together: said(
			Optional(list(said(Word, 'Key of a want.'), 1000)),
			'Wants that are offered together, one of each: a lot at a fair.'
		)
	},
	closed
);
export type WalkAwayRequest = Static<typeof WalkAwayInput>;
export const WalkAwayOutput = Type.Object(
	{
		totalMinor: said(Minor, 'What the plan costs.'),
		wants: said(
			Type.Array(
				Type.Object(
					{
						want: said(Word, 'Key of the want.'),
						worthMinor: said(Minor, 'The most to pay for one elsewhere, its postage with it.'),
						seller: said(orNull(Word), 'Where it would else come from; null: nobody has it.')
					},
					closed
				)
			),
			'The most each card is worth, given the best other way.'
		),
		togetherMinor: said(
			orNull(Minor),
			'The most that the cards offered together are worth; null: none are named.'
		)
	},
	closed
);

export const NextSellerInput = Type.Object(
	{
		wants: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the want.'),
						quantity: said(Optional(Count), 'Left out: 1.'),
						usualMinor: said(Minor, 'What it usually costs.'),
						knownMinor: said(
							Optional(orNull(Minor)),
							'What it costs by the best way known, postage with it; null or left out: nobody is known to have it.'
						)
					},
					closed
				),
				5000
			),
			'What is wanted.'
		),
		sellers: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the seller.'),
						postage: said(PostageRuleSchema, 'What they ask for sending.'),
						found: said(
							list(
								Type.Object(
									{ want: said(Word, 'Key of the want.'), minor: said(Minor, 'What they ask.') },
									closed
								),
								5000
							),
							'Wants that were found there.'
						),
						notFound: said(Optional(list(Word, 5000)), 'Wants that were looked for and not found.'),
						isPicked: said(
							Optional(Type.Boolean()),
							'What was found was picked out, not looked for want by want: it says nothing of the rest. Left out: false.'
						),
						deepest: said(Optional(Whole), 'How many of one card they hold at most.')
					},
					closed
				),
				500
			),
			'Sellers as far as their lists were looked at.'
		)
	},
	closed
);
export type NextSellerRequest = Static<typeof NextSellerInput>;
export const NextSellerOutput = Type.Object(
	{
		sellers: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'The seller.'),
						open: said(Whole, 'Wants not looked for there yet.'),
						chance: said(Type.Number({ minimum: 0, maximum: 1 }), 'That it has one of them.'),
						expected: said(Type.Number({ minimum: 0 }), 'Wants it has or probably has.'),
						level: said(Type.Number({ minimum: 0 }), 'How dear it is; 1 is usual.'),
						savingMinor: said(Minor, 'What an order there is expected to save, postage paid.')
					},
					closed
				)
			),
			'The one to open next first.'
		)
	},
	closed
);
