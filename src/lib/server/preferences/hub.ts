import { Type, type Static } from 'typebox';
import { PostageRuleSchema } from '../../schemas/buying-problem.ts';
import { closed, Currency } from '../../schemas/vocabulary.ts';
import type { Preference } from './preferences.ts';

/** The hub that one's sellers may send to; null: none. */
const HubSchema = Type.Union([
	Type.Null(),
	Type.Object(
		{
			name: Type.String({ minLength: 1, maxLength: 200 }),
			currency: Currency,
			forwarding: PostageRuleSchema,
			days: Type.Union([Type.Null(), Type.Integer({ minimum: 0, maximum: 3650 })])
		},
		closed
	)
]);
export type KeptHub = Static<typeof HubSchema>;
export const HUB: Preference<typeof HubSchema> = { key: 'hub', schema: HubSchema, usual: null };
