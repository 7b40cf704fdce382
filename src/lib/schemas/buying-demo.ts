import { Type, type Static } from 'typebox';
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
					note: Type.String(),
					lines: Type.Array(Type.Object({ release: Line, line: Line }, closed))
				},
				closed
			)
		),
		hub: Type.Object({ at: Moment, name: Line, forwarding: Line, days: Type.Integer() }, closed),
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
