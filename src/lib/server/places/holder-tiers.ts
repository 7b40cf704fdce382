import { Type, type Static } from 'typebox';
import { USUAL_TIERS } from '../../core/storage/holders/choose-holder.ts';
import { HOLDER_SORTS } from '../../core/storage/kinds/holder-kind.ts';
import { Currency } from '../../schemas/vocabulary.ts';
import type { Preference } from '../preferences/preferences.ts';

const closed = { additionalProperties: false } as const;
const Word = Type.String({ minLength: 1, maxLength: 60 });
export const HolderRulesSchema = Type.Object(
	{
		tiers: Type.Array(
			Type.Object(
				{
					name: Word,
					fromMinor: Type.Integer({ minimum: 0, maximum: 2_000_000_000 }),
					holder: Type.Enum([...HOLDER_SORTS])
				},
				closed
			),
			{ minItems: 1, maxItems: 20 }
		),
		/** What the tiers are stated in; left out by programs before it was asked: euros. */
		currency: Type.Optional(Currency),
		names: Type.Array(Type.Object({ word: Word, tier: Word }, closed), { maxItems: 200 }),
		/** What was on hand, as programs before supplies had a place of their own kept it. */
		onHand: Type.Optional(Type.Record(Type.String(), Type.Integer({ minimum: 0 })))
	},
	closed
);

export type HolderRules = Static<typeof HolderRulesSchema>;

/** Value tiers and rules by name. */
export const HOLDER_RULES: Preference<typeof HolderRulesSchema> = {
	key: 'holders',
	schema: HolderRulesSchema,
	usual: { tiers: [...USUAL_TIERS], names: [] }
};

/** What the tiers are stated in where nobody has said it. */
export const USUAL_CURRENCY = 'EUR';
