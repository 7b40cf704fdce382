import { Type } from 'typebox';
import { FINISH_RULE_KEYS } from '../../core/buying/finish/finish-rule.ts';
import { LONGEST_PRICE_LINE } from '../../core/buying/prices/price-phrase.ts';
import { ORDER_STATES } from '../../core/buying/orders/order-state.ts';
import { SPREADS } from '../../core/copies/spread-cost.ts';
import { CONDITIONS } from '../../core/copies/condition.ts';
import { ArrivalSchema } from '../compute-orders.ts';
import { closed, Count, Currency, idOf, list, Minor, orNull, Word } from '../vocabulary.ts';
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
	/** All of their list was looked through. */
	isListWhole: Type.Optional(Type.Boolean()),
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

const Day = Type.String({
	pattern: '^\\d{4}-\\d{2}-\\d{2}$',
	format: 'date',
	description: 'A day, as 1996-10-06.'
});
/** What is ordered at a seller: offers with how many of each, and whole bundles. */
export const OrderSchema = Type.Object(
	{
		seller: idOf('sellers', 'Reload the page.'),
		way: Type.Enum(['direct', 'hub'], { description: 'Straight, or by the hub.' }),
		offers: list(
			Type.Object({ offer: idOf('offers', 'Reload the page.'), quantity: Count }, closed),
			5000
		),
		bundles: list(Type.Integer({ minimum: 1, maximum: Number.MAX_SAFE_INTEGER }), 1000)
	},
	closed
);
/** What of an order under way is changed. */
export const OrderChangeSchema = Type.Object(
	{
		state: Type.Optional(
			Type.Enum([...ORDER_STATES], { description: 'Choose one of the states.' })
		),
		postageMinor: Type.Optional(Minor),
		expectedOn: Type.Optional(orNull(Day)),
		note: Type.Optional(orNull(Type.String({ maxLength: 2000 })))
	},
	closed
);
/** What came of an order; lines left out came as ordered. */
export const CheckInSchema = Type.Object({ arrivals: list(ArrivalSchema, 5000) }, closed);
/** What was given back for a line in the end. */
export const SettlementSchema = Type.Object(
	{ line: idOf('order_lines', 'Reload the page.'), refundMinor: Minor },
	closed
);
export const ShipmentSchema = Type.Object(
	{ orders: list(idOf('orders', 'Reload the page.'), 1000, { minItems: 1 }) },
	closed
);
/** Cards taken along on the spot, or found as a lot, for one sum. */
export const PickUpSchema = Type.Object(
	{
		release: Key,
		line: Type.String({ minLength: 1, maxLength: LONGEST_PRICE_LINE }),
		total: Name,
		currency: Currency,
		by: Type.Enum([...SPREADS], { description: 'By share or by value.' }),
		from: Name,
		on: Type.Optional(Day),
		note: Type.String({ maxLength: 2000 })
	},
	closed
);
/** A card that was bought on the spot: `POST /api/bought`. */
export const BoughtSchema = Type.Object(
	{
		version: Key,
		total: Name,
		currency: Currency,
		from: Name,
		on: Type.Optional(Day)
	},
	closed
);
export const BidSchema = Type.Object(
	{
		release: Key,
		line: Type.String({ minLength: 1, maxLength: LONGEST_PRICE_LINE }),
		most: Name,
		postage: Name,
		currency: Currency,
		from: Name,
		endsOn: Day,
		note: Type.String({ maxLength: 2000 })
	},
	closed
);
/** How a bid ended: what it was won for, or null where it was lost. */
export const BidEndSchema = Type.Object({ wonMinor: orNull(Minor) }, closed);

const FriendText = Type.String({ maxLength: 200_000 });
/** What a friend wants and has to give: lines, or CSV. */
export const FriendListsSchema = Type.Object({ friend: Name, want: FriendText, give: FriendText });
/** What changed hands with a friend. */
export const TradeSchema = Type.Object(
	{
		friend: Name,
		give: list(
			Type.Object({ copyId: idOf('copies', 'Reload the page.'), quantity: Count }, closed),
			1000
		),
		take: list(Type.Object({ version: Word, quantity: Count }, closed), 1000),
		giveMinor: Minor,
		currency: Currency
	},
	closed
);

const OfferRowOf = idOf('offer_rows', 'Reload the page.');
/** Which card a row of a seller's list is, as on the entry line. */
export const SettleOfferSchema = Type.Object({
	row: OfferRowOf,
	release: Key,
	line: Type.String({ minLength: 1, maxLength: 2000 })
});
export const DropOfferRowSchema = Type.Object({ row: OfferRowOf });

/** Asks the practice market, lets days pass there, or leaves it. */
export const MarketSchema = Type.Union([
	Type.Object({ ask: Type.Literal(true) }, closed),
	Type.Object({ wait: Type.Integer({ minimum: 1, maximum: 60 }) }, closed),
	Type.Object({ leave: Type.Literal(true) }, closed)
]);
