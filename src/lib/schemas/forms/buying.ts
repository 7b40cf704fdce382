import { Type } from 'typebox';
import { FINISH_RULE_KEYS } from '../../core/buying/finish/finish-rule.ts';
import { LONGEST_PRICE_LINE } from '../../core/buying/prices/price-phrase.ts';
import { CONDITIONS } from '../../core/copies/condition.ts';
import { closed, Currency, idOf, Minor, orNull, Word } from '../vocabulary.ts';
import { Key, Name } from './fields.ts';

/* Forms and bodies of buying: what is to be finished, prices, wants. */

const Priority = Type.Union([Type.Literal(1), Type.Literal(2), Type.Literal(3)], {
	description: 'Choose 1, 2 or 3.'
});
export const GoalChoiceFormSchema = Type.Object({
	goal: idOf('goals', 'Reload the page.'),
	choice: Type.Enum(['finish', 'let go', 'nothing yet'], { description: 'Choose one.' }),
	priority: Type.Optional(Type.Integer({ minimum: 1, maximum: 3, description: 'From 1 to 3.' })),
	/** The most for a card, as it is typed; empty: no limit. */
	most: Type.Optional(Name)
});
export const BuyingRulesFormSchema = Type.Object({
	currency: Type.String({ maxLength: 10 }),
	postage: Name,
	rule: Type.Enum(FINISH_RULE_KEYS, { description: 'Choose one of the rules.' }),
	mostPercent: Type.Number({ minimum: 0, maximum: 100, description: 'From 0 to 100.' })
});
export const TemplateFormSchema = Type.Object({ template: Name });
/** A line of prices for the sheet of a goal. */
export const PriceLineSchema = Type.Object(
	{
		release: Key,
		line: Type.String({ minLength: 1, maxLength: LONGEST_PRICE_LINE }),
		source: Type.Optional(Name)
	},
	closed
);
/** Which price is forgotten: that of a card, or a sum. */
export const ForgetPriceSchema = Type.Union([
	Type.Object({ version: Word }, closed),
	Type.Object({ lump: Type.Integer({ minimum: 1, maximum: Number.MAX_SAFE_INTEGER }) }, closed)
]);
export const WantMarkSchema = Type.Object(
	{
		version: Word,
		isFavourite: Type.Boolean(),
		priority: orNull(Priority),
		mostMinor: orNull(Minor),
		currency: Currency,
		leastCondition: orNull(Type.Enum([...CONDITIONS]))
	},
	closed
);

const Days = orNull(Type.Integer({ minimum: 0, maximum: 3650, description: 'Up to 3,650 days.' }));
export const SellerFormSchema = Type.Object({
	seller: Type.Optional(orNull(idOf('sellers', 'Reload the page.'))),
	name: Name,
	currency: Type.String({ maxLength: 10 }),
	direct: Type.String({ maxLength: 2000 }),
	toHub: Type.String({ maxLength: 2000 }),
	leastOrder: Name,
	days: Days,
	daysToHub: Days,
	trust: orNull(Type.Integer({ minimum: 0, maximum: 5, description: 'From 0 to 5.' })),
	note: Type.String({ maxLength: 2000 })
});
export const SellerIdFormSchema = Type.Object({ seller: idOf('sellers', 'Reload the page.') });
export const HubFormSchema = Type.Object({
	name: Name,
	currency: Type.String({ maxLength: 10 }),
	forwarding: Type.String({ maxLength: 2000 }),
	days: Days
});
/** A line of offers, typed while looking at a seller's list. */
export const OfferLineSchema = Type.Object(
	{ release: Key, line: Type.String({ minLength: 1, maxLength: LONGEST_PRICE_LINE }) },
	closed
);
export const RemoveOfferSchema = Type.Union([
	Type.Object({ offer: idOf('offers', 'Reload the page.') }, closed),
	Type.Object({ bundle: Type.Integer({ minimum: 1, maximum: Number.MAX_SAFE_INTEGER }) }, closed)
]);
