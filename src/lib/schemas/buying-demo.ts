import { Type, type Static } from 'typebox';
import { ORDER_STATES } from '../core/buying/orders/order-state.ts';
import { closed } from './vocabulary.ts';

const Moment = Type.String({ format: 'date-time' });
const Line = Type.String({ minLength: 1 });

/** What the demo's collector decided and heard while buying, each at its time; goals go by their names. */
export const BuyingDemoSchema = Type.Object(
	{
		choices: Type.Array(
			Type.Object(
				{
					at: Moment,
					goal: Line,
					choice: Type.Enum(['finish', 'let go']),
					priority: Type.Union([Type.Literal(1), Type.Literal(2), Type.Literal(3)]),
					/** The most for a card; empty: no limit. */
					most: Type.String()
				},
				closed
			)
		),
		/** Lines of prices as they were typed. */
		prices: Type.Array(
			Type.Object(
				{ at: Moment, goal: Line, release: Line, source: Type.String(), line: Line },
				closed
			)
		),
		/** Who sells, and what they offer as it was typed. */
		sellers: Type.Array(
			Type.Object(
				{
					at: Moment,
					name: Line,
					direct: Type.String(),
					toHub: Type.String(),
					leastOrder: Type.String(),
					days: Type.Union([Type.Null(), Type.Integer()]),
					daysToHub: Type.Union([Type.Null(), Type.Integer()]),
					trust: Type.Union([Type.Null(), Type.Integer()]),
					isListWhole: Type.Boolean(),
					note: Type.String(),
					lines: Type.Array(Type.Object({ release: Line, line: Line }, closed))
				},
				closed
			)
		),
		hub: Type.Object({ at: Moment, name: Line, forwarding: Line, days: Type.Integer() }, closed),
		/** Orders: what was taken of a seller's offers, by their versions; the states it went through. */
		orders: Type.Array(
			Type.Object(
				{
					at: Moment,
					seller: Line,
					way: Type.Enum(['direct', 'hub']),
					versions: Type.Array(Line, { minItems: 1 }),
					then: Type.Array(Type.Object({ at: Moment, state: Type.Enum([...ORDER_STATES]) }, closed))
				},
				closed
			)
		),
		/** Lists that friends sent. */
		friends: Type.Array(
			Type.Object({ at: Moment, friend: Line, want: Type.String(), give: Type.String() }, closed)
		),
		pickUps: Type.Array(
			Type.Object(
				{
					...{ at: Moment, release: Line, line: Line, total: Line, from: Line, note: Line }
				},
				closed
			)
		),
		bids: Type.Array(
			Type.Object(
				{
					...{ at: Moment, release: Line, line: Line, most: Line, postage: Line, from: Line },
					...{ endsOn: Line, note: Type.String() }
				},
				closed
			)
		),
		marks: Type.Array(
			Type.Object(
				{ at: Moment, version: Line, isFavourite: Type.Boolean(), most: Type.String() },
				closed
			)
		)
	},
	closed
);
export type BuyingDemo = Static<typeof BuyingDemoSchema>;
