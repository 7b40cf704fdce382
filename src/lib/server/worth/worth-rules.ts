import { good, type Outcome } from '../../core/problem.ts';
import { USUAL_JUMP } from '../../core/worth/ladder/ladder-steps.ts';
import { USUAL_WORTH_RULES, type WorthRules } from '../../core/worth/value/set-worth.ts';
import { WorthRulesSchema, type WorthRulesKept } from '../../schemas/worth-rules.ts';
import type { Collection } from '../database/open.ts';
import { makeChange } from '../journal/change.ts';
import { writePreference, type Preference } from '../preferences/preferences.ts';

/** By what prices and worth are reckoned. */
export const WORTH_RULES: Preference<typeof WorthRulesSchema> = {
	key: 'worth-rules',
	schema: WorthRulesSchema,
	usual: {
		mostSales: USUAL_WORTH_RULES.mostSales,
		oldMonths: USUAL_WORTH_RULES.oldMonths,
		jump: USUAL_JUMP,
		lowerPercent: 100 * USUAL_WORTH_RULES.lowerShare
	}
};

/** The same as the core takes them. */
export function worthRulesOf({ mostSales, oldMonths, lowerPercent }: WorthRulesKept): WorthRules {
	return { mostSales, oldMonths, lowerShare: lowerPercent / 100 };
}

/** Sets the rules. */
export function setWorthRules(
	collection: Collection,
	rules: WorthRulesKept
): Promise<Outcome<{ readonly oldMonths: number }>> {
	return makeChange(collection, async (record, tx) => {
		await writePreference(record, tx, WORTH_RULES, rules);
		return { value: good({ oldMonths: rules.oldMonths }), label: 'Rules for worth' };
	});
}
