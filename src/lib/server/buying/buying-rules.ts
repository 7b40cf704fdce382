import { USUAL_SEARCH } from '../../core/buying/wants/search-text.ts';
import { BuyingRulesSchema } from '../../schemas/buying.ts';
import { USUAL_CURRENCY } from '../places/holder-tiers.ts';
import type { Preference } from '../preferences/preferences.ts';

/** ● About 5.00 a seller on open markets; the rest are rules of thumb of ours, in plain sight where they are used. */
export const BUYING_RULES: Preference<typeof BuyingRulesSchema> = {
	key: 'buying',
	schema: BuyingRulesSchema,
	usual: {
		currency: USUAL_CURRENCY,
		postageMinor: 500,
		rule: 'least to pay',
		mostShare: 0.5,
		template: USUAL_SEARCH
	}
};
