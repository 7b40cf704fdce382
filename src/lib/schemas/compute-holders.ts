import { Type, type Static } from 'typebox';
import { HOLDER_SORTS } from '../core/storage/kinds/holder-kind.ts';
import { THICKNESS_UNITS } from '../core/measuring/stock.ts';
import { FormatSchema } from './card-format.ts';
import { closed, Count, Holder, list, Minor, orNull, Stock, Whole, Word } from './vocabulary.ts';

/** From which value on a card is kept in what. */
export const TiersSchema = Type.Array(
	Type.Object({ name: Word, fromMinor: Minor, holder: Type.Enum([...HOLDER_SORTS]) }, closed),
	{ minItems: 1, maxItems: 50 }
);

export const ChooseHolderInput = Type.Object(
	{
		card: Type.Object(
			{
				valueMinor: Type.Optional(Minor),
				format: Type.Optional(FormatSchema),
				tier: Type.Optional(Word)
			},
			closed
		),
		tiers: Type.Optional(TiersSchema)
	},
	closed
);
export const ChooseHolderOutput = Type.Object(
	{
		tier: Word,
		holder: orNull(Word),
		isSleeved: Type.Boolean(),
		rule: Type.String(),
		oddity: Type.Optional(Type.String())
	},
	closed
);

export const StackHeightInput = Type.Object(
	{
		parts: Type.Optional(
			list(
				Type.Object(
					{ count: Whole, stockPt: Type.Optional(Stock), holder: Type.Optional(Holder) },
					closed
				),
				10_000
			)
		),
		/** A measure of equal cards, to learn their stock from. */
		gauge: Type.Optional(
			Type.Object(
				{
					value: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
					unit: Type.Enum([...THICKNESS_UNITS]),
					count: Type.Optional(Count)
				},
				closed
			)
		)
	},
	closed
);
export const StackHeightOutput = Type.Object(
	{
		heightMm: Type.Number({ minimum: 0 }),
		cards: Type.Integer({ minimum: 0 }),
		stockPt: Type.Optional(Type.Number()),
		/** The smallest top loader that takes such a card with its sleeve. */
		topLoader: Type.Optional(orNull(Word))
	},
	closed
);

export type ChooseHolderRequest = Static<typeof ChooseHolderInput>;
export type StackHeightRequest = Static<typeof StackHeightInput>;
