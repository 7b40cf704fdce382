import type { Static } from 'typebox';
import { USUAL_SEALED_RULES, type SealedRules } from '../../../core/packs/sealed/compare-sealed.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { ExchangeRate } from '../../../core/money/exchange-rates.ts';
import { convertMinor } from '../../../core/money/exchange-rates.ts';
import { SealedRulesSchema } from '../../../schemas/forms/packs.ts';
import type { Collection } from '../../database/open.ts';
import { makeChange } from '../../journal/change.ts';
import { USUAL_CURRENCY } from '../../places/holder-tiers.ts';
import { writePreference, type Preference } from '../../preferences/preferences.ts';

export type KeptSealedRules = Static<typeof SealedRulesSchema>;

const { feePercent, sendMinor, yearlyPercent, years, elsewherePercent, trustPercent } =
	USUAL_SEALED_RULES;

/** By what keep, open and sell are compared. */
export const SEALED_RULES: Preference<typeof SealedRulesSchema> = {
	key: 'sealed-rules',
	schema: SealedRulesSchema,
	usual: {
		...{ feePercent, sendMinor, yearlyPercent, years, elsewherePercent },
		currency: USUAL_CURRENCY,
		likelyPercent: trustPercent.likely,
		doubtfulPercent: trustPercent.doubtful
	}
};

/** The rules in the currency that is reckoned in; sending costs nothing where no rate leads there. */
export function rulesIn(
	kept: KeptSealedRules,
	currency: string,
	rates: readonly ExchangeRate[]
): SealedRules {
	return {
		...kept,
		sendMinor: convertMinor(kept.sendMinor, kept.currency, currency, rates) ?? 0,
		trustPercent: {
			...{ certain: 100, likely: kept.likelyPercent, doubtful: kept.doubtfulPercent, resealed: 0 }
		}
	};
}

/** Sets the rules. */
export function setSealedRules(
	collection: Collection,
	rules: KeptSealedRules
): Promise<Outcome<{ readonly years: number }>> {
	return makeChange(collection, async (record, tx) => {
		await writePreference(record, tx, SEALED_RULES, rules);
		return { value: good({ years: rules.years }), label: 'Rules for sealed stock' };
	});
}
