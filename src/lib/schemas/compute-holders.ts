import { Type, type Static } from 'typebox';
import { HOLDER_SORTS } from '../core/storage/kinds/holder-kind.ts';
import { THICKNESS_UNITS } from '../core/measuring/stock.ts';
import { FormatSchema } from './card-format.ts';
import { ExchangeRatesSchema } from './exchange-rates.ts';
import {
	closed,
	Count,
	Currency,
	Holder,
	list,
	Minor,
	orNull,
	record,
	said,
	Stock,
	Whole,
	Word
} from './vocabulary.ts';

const Inner = Type.Number({
	exclusiveMinimum: 0,
	maximum: 1000,
	description: 'Up to 1,000 mm.'
});

/** From which value on a card is kept in what. */
const TierSchema = Type.Object(
	{
		name: said(Word, 'What the tier is called.'),
		fromMinor: said(Minor, 'From which value on, in minor units.'),
		holder: said(Type.Enum([...HOLDER_SORTS]), 'What its cards are kept in.')
	},
	closed
);
export const TiersSchema = list(TierSchema, 50, { minItems: 1 });

/** A kind of holder of one's own: what has to be said of it. */
export const HolderKindSchema = Type.Object(
	{
		key: said(Word, 'Names the kind.'),
		name: said(Word, 'What it is called.'),
		sort: said(
			Type.Enum(['sleeve', 'top-loader', 'magnetic']),
			'sleeve: soft. top-loader: rigid, takes the card in its sleeve. magnetic: rigid, takes the bare card.'
		),
		takesPt: said(
			Stock,
			'The thickest card that it takes, in points, with its sleeve where it has one.'
		),
		innerWidthMm: said(Inner, 'Inner width, in millimetres.'),
		innerHeightMm: said(Inner, 'Inner height, in millimetres.'),
		addsUm: said(
			Type.Integer({ minimum: 0, maximum: 100_000, description: 'Up to 100 mm.' }),
			'What it adds to the thickness of a card, in micrometres.'
		),
		addsG: said(
			Type.Number({ minimum: 0, maximum: 2000, description: 'Up to 2,000 g.' }),
			'Its weight, in grams.'
		)
	},
	closed
);
const HolderKinds = Type.Optional(list(HolderKindSchema, 200));

export const ChooseHolderInput = Type.Object(
	{
		card: said(
			Type.Object(
				{
					valueMinor: said(
						Type.Optional(Minor),
						'What it is worth, in minor units; left out: nothing is known.'
					),
					format: said(Type.Optional(FormatSchema), 'What it is made like.'),
					tier: said(Type.Optional(Word), 'A tier it shall be in, whatever it is worth.')
				},
				closed
			),
			'The card.'
		),
		tiers: said(Type.Optional(TiersSchema), 'Left out: the usual ones.'),
		holders: said(HolderKinds, 'Holders besides the usual ones; left out: none.')
	},
	closed
);
export const ChooseHolderOutput = Type.Object(
	{
		tier: said(Word, 'Name of the tier.'),
		holder: said(orNull(Word), 'Key of the holder; null: none, or none takes it.'),
		isSleeved: said(Type.Boolean(), 'Whether it goes into a sleeve first.'),
		rule: said(Type.String(), 'Which rule decided, in words; amounts in minor units.'),
		oddity: said(Type.Optional(Type.String()), 'Why no holder takes it.'),
		caution: said(Type.Optional(Type.String()), 'Where it rattles in the snuggest there is.')
	},
	closed
);

export const StackHeightInput = Type.Object(
	{
		parts: said(
			Type.Optional(
				list(
					Type.Object(
						{
							count: said(Whole, 'How many such cards.'),
							stockPt: said(
								Type.Optional(Stock),
								'Their thickness in points; left out: standard stock.'
							),
							holder: said(Type.Optional(Holder), 'Key of the holder of each; left out: none.')
						},
						closed
					),
					10_000
				)
			),
			'What lies in the stack.'
		),
		gauge: said(
			Type.Optional(
				Type.Object(
					{
						value: said(
							Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
							'What was measured.'
						),
						unit: said(Type.Enum([...THICKNESS_UNITS]), 'In which unit.'),
						count: said(Type.Optional(Count), 'How many cards were measured together; left out: 1.')
					},
					closed
				)
			),
			'A measure of equal cards, to learn their stock from.'
		)
	},
	closed
);
export const StackHeightOutput = Type.Object(
	{
		heightMm: said(Type.Number({ minimum: 0 }), 'Height of the stack, in millimetres.'),
		cards: said(Type.Integer({ minimum: 0 }), 'Cards in it.'),
		stockPt: said(Type.Optional(Type.Number()), 'Stock of a measured card, in points.'),
		topLoader: said(
			Type.Optional(orNull(Word)),
			'Key of the smallest top loader that takes it with its sleeve; null: none does.'
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
						holder: said(orNull(Word), 'Key of what it is in now; null: nothing.'),
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
		rates: said(
			Type.Optional(ExchangeRatesSchema),
			'Rates of exchange, by which values in other money are converted; left out: none.'
		),
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
		holders: said(HolderKinds, 'Holders besides the usual ones; left out: none.'),
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
						oddity: said(Type.Optional(Type.String()), 'Why no holder takes it.'),
						caution: said(
							Type.Optional(Type.String()),
							'Where it rattles in the snuggest there is.'
						)
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

export type ChooseHolderRequest = Static<typeof ChooseHolderInput>;
export type StackHeightRequest = Static<typeof StackHeightInput>;
export type MoveTiersRequest = Static<typeof MoveTiersInput>;
