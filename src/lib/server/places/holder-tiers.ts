import { Type } from 'typebox';
import { USUAL_TIERS } from '../../core/storage/holders/choose-holder.ts';
import { HOLDER_SORTS } from '../../core/storage/kinds/holder-kind.ts';
import type { Reader } from '../database/open.ts';
import { readPreference, type Preference } from '../preferences/preferences.ts';

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
		names: Type.Array(Type.Object({ word: Word, tier: Word }, closed), { maxItems: 200 }),
		/** Holders on hand, by key. */
		onHand: Type.Record(Type.String(), Type.Integer({ minimum: 0, maximum: 1_000_000 }))
	},
	closed
);

/** Value tiers, rules by name, and what is on hand. */
export const HOLDER_RULES: Preference<typeof HolderRulesSchema> = {
	key: 'holders',
	schema: HolderRulesSchema,
	usual: { tiers: [...USUAL_TIERS], names: [], onHand: {} }
};

/** From which value on a card is kept in a rigid holder, and so apart from its set; in minor units. */
export async function valuableFrom(db: Reader): Promise<number> {
	const { tiers } = await readPreference(db, HOLDER_RULES);
	const rigid = tiers.filter(({ holder }) => holder === 'top-loader' || holder === 'magnetic');
	return Math.min(...rigid.map(({ fromMinor }) => fromMinor), Number.MAX_SAFE_INTEGER);
}
