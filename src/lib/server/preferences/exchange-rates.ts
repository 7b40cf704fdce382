import { ExchangeRatesSchema } from '../../schemas/exchange-rates.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { ExchangeRate } from '../../core/money/exchange-rates.ts';
import type { Collection } from '../database/open.ts';
import { makeChange } from '../journal/change.ts';
import { writePreference, type Preference } from './preferences.ts';

/** Rates of exchange as their owner keeps them: nothing is fetched. */
export const EXCHANGE_RATES: Preference<typeof ExchangeRatesSchema> = {
	key: 'exchange-rates',
	schema: ExchangeRatesSchema,
	usual: []
};

/** Sets the rates, all at once. */
export function setExchangeRates(
	collection: Collection,
	rates: readonly ExchangeRate[]
): Promise<Outcome<{ readonly rates: number }>> {
	return makeChange(collection, async (record, tx) => {
		await writePreference(record, tx, EXCHANGE_RATES, [...rates]);
		return { value: good({ rates: rates.length }), label: 'Rates of exchange' };
	});
}
