import { Type } from 'typebox';
import { closed, Currency, list, said } from './vocabulary.ts';

/** Rates of exchange, as they are kept. */
export const ExchangeRatesSchema = list(
	Type.Object(
		{
			from: said(Currency, 'ISO 4217: USD.'),
			to: said(Currency, 'ISO 4217: EUR.'),
			rate: said(
				Type.Number({ exclusiveMinimum: 0, maximum: 1e9 }),
				'What one unit of the first is worth in the second.'
			)
		},
		closed
	),
	200
);
