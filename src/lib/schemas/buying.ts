import { Type, type Static } from 'typebox';
import { FINISH_RULE_KEYS } from '../core/buying/finish/finish-rule.ts';
import { closed, Currency, Minor, said } from './vocabulary.ts';

/** How somebody buys: what is reckoned in, what a seller's postage comes to, by what goals are ranked. */
export const BuyingRulesSchema = Type.Object(
	{
		currency: said(Currency, 'What is reckoned in, ISO 4217.'),
		postageMinor: said(Minor, 'What the postage of a seller comes to.'),
		rule: said(Type.Enum(FINISH_RULE_KEYS), 'By what unfinished goals are ranked.'),
		mostShare: said(
			Type.Number({ minimum: 0, maximum: 1 }),
			'The most that finishing may cost, as a part of what the whole is worth, 0 to 1.'
		),
		template: said(
			Type.String({ minLength: 1, maxLength: 200 }),
			'What the text to search for a card is made of.'
		)
	},
	closed
);
export type BuyingRules = Static<typeof BuyingRulesSchema>;
