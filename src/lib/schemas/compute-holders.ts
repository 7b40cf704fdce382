import { Type, type Static } from 'typebox';
import { HOLDER_SORTS } from '../core/storage/kinds/holder-kind.ts';
import { THICKNESS_UNITS } from '../core/measuring/stock.ts';
import { FormatSchema } from './card-format.ts';
import {
	closed,
	Count,
	Holder,
	list,
	Minor,
	orNull,
	Stock,
	Whole,
	Word,
	said
} from './vocabulary.ts';

/** From which value on a card is kept in what. */
export const TiersSchema = Type.Array(
	Type.Object(
		{
			name: said(Word, 'What the tier is called.'),
			fromMinor: said(Minor, 'From which value on, in minor units.'),
			holder: said(Type.Enum([...HOLDER_SORTS]), 'What its cards are kept in.')
		},
		closed
	),
	{ minItems: 1, maxItems: 50 }
);

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
		tiers: said(Type.Optional(TiersSchema), 'Left out: the usual ones.')
	},
	closed
);
export const ChooseHolderOutput = Type.Object(
	{
		tier: said(Word, 'Name of the tier.'),
		holder: said(orNull(Word), 'Key of the holder; null: none, or none takes it.'),
		isSleeved: said(Type.Boolean(), 'Whether it goes into a sleeve first.'),
		rule: said(Type.String(), 'Which rule decided, in words; amounts in minor units.'),
		oddity: said(Type.Optional(Type.String()), 'Why no holder takes it.')
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

export type ChooseHolderRequest = Static<typeof ChooseHolderInput>;
export type StackHeightRequest = Static<typeof StackHeightInput>;
