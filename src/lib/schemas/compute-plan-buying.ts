import { Type, type Static } from 'typebox';
import { RIVALS, type RivalKey } from '../core/buying/plan/rival-plans.ts';
import {
	BundleSchema,
	Days,
	OfferSchema,
	PlannedWantSchema,
	PostageRuleSchema,
	SellerSchema
} from './buying-problem.ts';
import { ExchangeRatesSchema } from './exchange-rates.ts';
import {
	closed,
	Count,
	Currency,
	list,
	Minor,
	modes,
	orNull,
	said,
	Whole,
	Word
} from './vocabulary.ts';

/* A buying problem, and the plan for it. */

const Optional = Type.Optional;

export const PlanBuyingInput = Type.Object(
	{
		wants: said(list(PlannedWantSchema, 2000), 'What is to be bought.'),
		sellers: said(list(SellerSchema, 500), 'Who sells.'),
		offers: said(list(OfferSchema, 50_000), 'What they offer.'),
		bundles: said(Optional(list(BundleSchema, 500)), 'Several cards for one price.'),
		hub: said(
			Optional(
				orNull(
					Type.Object(
						{
							forwarding: said(PostageRuleSchema, 'What it asks for one parcel of everything.'),
							days: said(Optional(Days), 'Days from the hub to here.')
						},
						closed
					)
				)
			),
			'A place that gathers orders and forwards them in one parcel; null or left out: none.'
		),
		limits: said(
			Optional(
				Type.Object(
					{
						mostSellers: said(Optional(Count), 'At most so many sellers.'),
						without: said(Optional(list(Word, 500)), 'Keys of sellers that are not bought from.'),
						with: said(
							Optional(list(Word, 500)),
							'Keys of sellers that are bought from in any case.'
						),
						mostDays: said(Optional(Days), 'Everything is here after so many days.')
					},
					closed
				)
			),
			'What the plan has to keep to.'
		),
		budgetMinor: said(
			Optional(Minor),
			'Most wants (by priority) for so much; left out: all of them for the least.'
		),
		progressOf: said(
			Optional(list(Word, 2000)),
			'Within a budget: keys of the wants of the goal that is to get on; others count next to nothing.'
		),
		currency: said(Optional(Currency), 'What is reckoned in; left out: EUR.'),
		rates: said(Optional(ExchangeRatesSchema), 'By which offers in other money are converted.'),
		gap: said(
			Optional(Type.Number({ minimum: 0, maximum: 1 })),
			'The search ends within this part of the least that can be; left out: 0.01.'
		),
		seconds: said(
			Optional(Type.Number({ minimum: 0.1, maximum: 8 })),
			'The search ends after so long; left out: 5.'
		),
		seed: said(Optional(Whole), 'Of the changes at random; left out: 1.')
	},
	closed
);
export type PlanBuyingRequest = Static<typeof PlanBuyingInput>;

const LineSchema = Type.Object(
	{
		offer: said(Word, 'Key of the offer.'),
		want: said(Word, 'Key of the want.'),
		quantity: said(Count, 'How many.'),
		minor: said(Minor, 'What they cost.'),
		savesMinor: said(Type.Integer(), 'What leaving one out saves, its postage with it.'),
		next: said(
			orNull(
				Type.Object(
					{
						offer: said(Word, 'The next best offer.'),
						dearerMinor: said(Type.Integer(), 'By how much the plan would be dearer.')
					},
					closed
				)
			),
			'Why from there: what the next best would cost; null: nobody else has it.'
		)
	},
	closed
);
const PlanSchema = Type.Object(
	{
		orders: said(
			Type.Array(
				Type.Object(
					{
						seller: said(Word, 'Key of the seller.'),
						way: said(Type.Enum(['direct', 'hub']), 'How it is sent.'),
						lines: said(Type.Array(LineSchema), 'What is ordered singly.'),
						bundles: said(Type.Array(Word), 'Keys of the bundles.'),
						cards: said(Count, 'Cards that come.'),
						cardsMinor: said(Minor, 'What they cost.'),
						postageMinor: said(Minor, 'What the seller asks for sending.')
					},
					closed
				)
			),
			'One order a seller, the largest first.'
		),
		cardsMinor: said(Minor, 'All cards.'),
		postageMinor: said(Minor, 'All sellers’ postage.'),
		forwardingMinor: said(Minor, 'What the hub asks.'),
		totalMinor: said(Minor, 'All of it.'),
		covered: said(Whole, 'Wanted cards that are got.'),
		left: said(
			Type.Array(
				Type.Object(
					{
						want: said(Word, 'Key of the want.'),
						count: said(Count, 'How many are not got.'),
						why: said(
							Type.Enum([
								'nobody offers it',
								'too few are offered',
								'not good enough',
								'above its limit',
								'not open',
								'not worth it'
							]),
							'not open: only sellers that the limits leave out have it. not worth it: it costs too much, or limits are in the way.'
						)
					},
					closed
				)
			),
			'What is not got.'
		)
	},
	closed
);
const RIVAL_KEYS = Object.keys(RIVALS) as RivalKey[];
export const PlanBuyingOutput = Type.Object(
	{
		plan: said(PlanSchema, 'The best plan that was found.'),
		boundMinor: said(
			Type.Number({ minimum: 0 }),
			'No plan that gets as much costs less; within a budget: 0.'
		),
		gap: said(
			Type.Number({ minimum: 0 }),
			'How far the plan may be above the least, as a part of it.'
		),
		isProven: said(Type.Boolean(), 'No plan is better.'),
		withinBudget: said(
			Optional(
				Type.Object(
					{
						weight: said(Type.Number({ minimum: 0 }), 'What its cards count for.'),
						whole: said(Type.Number({ minimum: 0 }), 'What all of them would.'),
						mostWeight: said(
							Type.Number({ minimum: 0 }),
							'No plan within the budget counts for more.'
						)
					},
					closed
				)
			),
			'Where a budget was named.'
		),
		rivals: said(
			Type.Array(
				Type.Object(
					{
						rival: said(Type.Enum(RIVAL_KEYS), modes(RIVALS)),
						totalMinor: said(Minor, 'What it costs.'),
						covered: said(Whole, 'Wanted cards that it gets.'),
						sellers: said(Whole, 'Sellers it buys from.'),
						savedMinor: said(Type.Integer(), 'What the plan saves against it.')
					},
					closed
				)
			),
			'Plans that people make by hand.'
		),
		second: said(
			orNull(
				Type.Object(
					{
						without: said(Word, 'The seller that it does without.'),
						totalMinor: said(Minor, 'What it costs.'),
						covered: said(Whole, 'Wanted cards that it gets.')
					},
					closed
				)
			),
			'The best plan that leaves a seller of this one out; null: there is none.'
		),
		sellers: said(
			Type.Array(
				Type.Object(
					{
						sellers: said(Whole, 'With so many sellers.'),
						totalMinor: said(Minor, 'What it costs.'),
						left: said(Whole, 'Wanted cards that it does not get.'),
						brings: said(orNull(Word), 'The seller that it has and one with a seller less has not.')
					},
					closed
				)
			),
			'What each further seller brings.'
		),
		curve: said(
			Type.Array(
				Type.Object(
					{
						covered: said(Whole, 'So many cards.'),
						totalMinor: said(Minor, 'For so much.'),
						eachMinor: said(
							Type.Number({ minimum: 0 }),
							'Where no card costs more than this, postage with it.'
						)
					},
					closed
				)
			),
			'Cost against completeness.'
		),
		nothingAt: said(
			Type.Array(Word),
			'Keys of sellers asked for in any case, who have nothing wanted.'
		)
	},
	closed
);
