import { Type, type Static } from 'typebox';
import { FormatSchema } from './card-format.ts';
import { TiersSchema } from './compute-holders.ts';
import {
	closed,
	Count,
	Currency,
	Holder,
	list,
	Minor,
	orNull,
	record,
	Whole,
	Word,
	said
} from './vocabulary.ts';

const Um = Type.Integer({ minimum: 1, maximum: 10_000_000, description: 'micrometres' });
const Seconds = Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 });

export const RespaceRowsInput = Type.Object(
	{
		rowUm: said(Um, 'Length of a row.'),
		rows: said(
			list(
				list(
					Type.Object(
						{
							key: said(Word, 'Names the run.'),
							dividerUm: said(Whole, 'What its divider takes, in micrometres.'),
							cards: said(
								list(
									Type.Object(
										{ key: said(Word, 'Names the card.'), um: said(Um, 'What it takes.') },
										closed
									),
									20_000
								),
								'Its cards, in order.'
							)
						},
						closed
					),
					1000
				),
				50
			),
			'Row by row what stands there; parts of one run in neighbouring rows have the same key.'
		)
	},
	closed
);
export const RespaceRowsOutput = Type.Object(
	{
		fits: said(Type.Boolean(), 'False where even all rows together are too short.'),
		slip: said(
			orNull(
				Type.Object(
					{
						row: said(Type.Integer(), 'The row that is too full.'),
						overUm: said(Type.Integer(), 'By how much, in micrometres.'),
						steps: said(
							Type.Array(
								Type.Object(
									{
										run: said(Word, 'Key of the run.'),
										from: said(Type.Integer(), 'Row it comes from.'),
										to: said(Type.Integer(), 'Row it goes to.'),
										cards: said(Type.Array(Word), 'Keys of the cards.')
									},
									closed
								)
							),
							'What to move, in order; one may stop after any step.'
						)
					},
					closed
				)
			),
			'What to move; null where no row is too full, or where nothing helps. Rows count from 0.'
		)
	},
	closed
);

export const MoveTiersInput = Type.Object(
	{
		cards: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the card in the answer.'),
						quantity: said(Count, 'How many equal ones.'),
						valueMinor: said(
							Type.Optional(Minor),
							'What one is worth, in minor units; left out: nothing is known.'
						),
						currency: said(
							Type.Optional(Currency),
							'What it is valued in (ISO 4217); left out: what the tiers are stated in.'
						),
						format: said(Type.Optional(FormatSchema), 'What it is made like.'),
						holder: said(orNull(Holder), 'Key of what it is in now; null: nothing.'),
						words: said(
							list(Type.String({ maxLength: 400 }), 50),
							'Title, subjects, section, marks: what rules by name are held against.'
						)
					},
					closed
				),
				50_000
			),
			'The cards.'
		),
		tiers: said(Type.Optional(TiersSchema), 'Left out: the usual ones.'),
		currency: said(
			Type.Optional(Currency),
			'What the tiers are stated in (ISO 4217); left out: what each card is valued in.'
		),
		names: said(
			Type.Optional(
				list(
					Type.Object(
						{
							word: said(Word, 'Part of a title, subject, section or mark.'),
							tier: said(Word, 'Name of the tier.')
						},
						closed
					),
					500
				)
			),
			'Words whose cards are in a tier, whatever they are worth.'
		),
		onHand: said(
			Type.Optional(record(Whole, 200, 'Holder kind → how many there are')),
			'Holder kind → how many there are.'
		)
	},
	closed
);
export const MoveTiersOutput = Type.Object(
	{
		moves: said(
			Type.Array(
				Type.Object(
					{
						card: said(Word, 'Key of the card.'),
						quantity: said(Count, 'How many equal ones.'),
						tier: said(Word, 'Name of its tier.'),
						from: said(orNull(Word), 'Key of the holder it is in; null: none.'),
						to: said(orNull(Word), 'Key of the holder it should be in; null: none.'),
						direction: said(
							Type.Enum(['up', 'down', 'refit']),
							'up or down a tier; refit: another size of the same sort.'
						),
						rule: said(Type.String(), 'Which rule decided, in words.'),
						oddity: said(Type.Optional(Type.String()), 'Why no holder takes it.')
					},
					closed
				)
			),
			'Cards that should be in another holder, the dearest first.'
		),
		holders: said(
			Type.Array(
				Type.Object(
					{
						holder: said(Word, 'Key of the holder.'),
						needed: said(Count, 'How many.'),
						buy: said(Whole, 'How many of those are to be bought.')
					},
					closed
				)
			),
			'Holders that takes.'
		)
	},
	closed
);

export const AdviseShelvesInput = Type.Object(
	{
		boxes: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the box.'),
						grams: said(Whole, 'Its weight.'),
						lengthMm: said(Count, 'Its length, in millimetres.'),
						shelf: said(orNull(Word), 'Key of the shelf it stands on; null: none.')
					},
					closed
				),
				5000
			),
			'The boxes.'
		),
		shelves: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the shelf.'),
						room: said(Word, 'The room it is in.'),
						unit: said(Word, 'The rack it is of.'),
						level: said(Type.Integer({ minimum: 1, maximum: 100 }), 'From 1 at the bottom.'),
						lengthMm: said(Count, 'Its length, in millimetres.'),
						ratingG: said(orNull(Count), 'What its maker says it bears, in grams; null: not known.')
					},
					closed
				),
				1000
			),
			'The shelves.'
		)
	},
	closed
);
export const AdviseShelvesOutput = Type.Object(
	{
		advice: said(
			Type.Array(
				Type.Object(
					{
						box: said(Word, 'Key of the box.'),
						from: said(orNull(Word), 'Key of the shelf it is on; null: none.'),
						to: said(Word, 'Key of the shelf it goes to.'),
						rule: said(Type.String(), 'Why, in words.')
					},
					closed
				)
			),
			'Boxes to move.'
		),
		overloaded: said(
			Type.Array(
				Type.Object(
					{ shelf: said(Word, 'Key of the shelf.'), overG: said(Count, 'Grams over its rating.') },
					closed
				)
			),
			'Shelves that no other here relieves.'
		)
	},
	closed
);

const StockLine = Type.Object(
	{ version: said(Word, 'Key of the version.'), quantity: said(Count, 'How many.') },
	closed
);
export const TakeStockInput = Type.Object(
	{
		recorded: said(list(StockLine, 50_000), 'What is recorded to stand there.'),
		found: said(list(StockLine, 50_000), 'What was found.')
	},
	closed
);
export const TakeStockOutput = Type.Object(
	{
		differences: said(
			Type.Array(
				Type.Object(
					{
						version: said(Word, 'Key of the version.'),
						quantity: said(Count, 'By how many.'),
						sort: said(
							Type.Enum(['not there', 'not recorded']),
							'not there: recorded and not found. not recorded: found and not recorded.'
						)
					},
					closed
				)
			),
			'What is not as recorded.'
		)
	},
	closed
);

export const TuneSortingInput = Type.Object(
	{
		passes: said(
			list(
				Type.Object(
					{
						cards: said(Count, 'Cards of the pass.'),
						piles: said(Count, 'Piles of the pass.'),
						seconds: said(Seconds, 'How long it took.')
					},
					closed
				),
				10_000
			),
			'Passes that were timed.'
		),
		usual: said(
			Type.Optional(
				Type.Object(
					{
						cardS: said(Seconds, 'Laying a card on a pile, in seconds.'),
						pileS: said(Seconds, 'Taking up a pile, in seconds.'),
						lookS: said(Seconds, 'Finding the place among sorted cards, in seconds.')
					},
					closed
				)
			),
			'Times to begin from; left out: usual ones.'
		)
	},
	closed
);
export const TuneSortingOutput = Type.Object(
	{
		cardS: said(Type.Number(), 'Laying a card on a pile, in seconds.'),
		pileS: said(Type.Number(), 'Taking up a pile, in seconds.'),
		lookS: said(Type.Number(), 'Finding the place among sorted cards, in seconds.')
	},
	closed
);

export type RespaceRowsRequest = Static<typeof RespaceRowsInput>;
export type MoveTiersRequest = Static<typeof MoveTiersInput>;
export type AdviseShelvesRequest = Static<typeof AdviseShelvesInput>;
export type TakeStockRequest = Static<typeof TakeStockInput>;
export type TuneSortingRequest = Static<typeof TuneSortingInput>;
