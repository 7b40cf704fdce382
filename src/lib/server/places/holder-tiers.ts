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
		/** Holders on hand, by key. */
		onHand: Type.Record(Type.String(), Type.Integer({ minimum: 0, maximum: 1_000_000 }))
	},
	closed
);

export type HolderRules = Static<typeof HolderRulesSchema>;

/** Value tiers, rules by name, and what is on hand. */
export const HOLDER_RULES: Preference<typeof HolderRulesSchema> = {
	key: 'holders',
	schema: HolderRulesSchema,
	usual: { tiers: [...USUAL_TIERS], names: [], onHand: {} }
};

/** What the tiers are stated in where nobody has said it. */
export const USUAL_CURRENCY = 'EUR';
