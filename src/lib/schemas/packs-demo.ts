import { Type, type Static } from 'typebox';
import { SEALED_TRUSTS } from '../core/packs/sealed/compare-sealed.ts';
import { SEALED_UNITS } from '../core/packs/sealed/sealed-unit.ts';
import { OpenedPileSchema } from './forms/packs.ts';
import { closed } from './vocabulary.ts';

const Moment = Type.String({ format: 'date-time' });
const Line = Type.String({ minLength: 1 });

/** Packs that the demo's collector opened, and keeps sealed; each at its time. */
export const PacksDemoSchema = Type.Object(
	{
		openings: Type.Array(
			Type.Object(
				{
					...{ at: Moment, pack: Line, name: Line, price: Line },
					/** How it is shared out; empty: with nobody. */
					...{ shares: Type.String(), keeper: Type.String() },
					piles: Type.Array(OpenedPileSchema)
				},
				closed
			)
		),
		sealed: Type.Array(
			Type.Object(
				{
					...{ at: Moment, pack: Line, cost: Line, value: Line, source: Line, place: Line },
					unit: Type.Enum([...SEALED_UNITS]),
					quantity: Type.Integer({ minimum: 1 }),
					trust: Type.Enum([...SEALED_TRUSTS]),
					acquiredOn: Type.String({ format: 'date' })
				},
				closed
			)
		)
	},
	closed
);
export type PacksDemo = Static<typeof PacksDemoSchema>;
