import { Type, type Static } from 'typebox';
import { closed, list, Minor } from './vocabulary.ts';

const Side = Type.Integer({ minimum: 1, maximum: 5000, description: 'Millimetres, inside.' });
const Grams = Type.Integer({ minimum: 1, maximum: 1_000_000 });

/** Kinds of parcel and what they cost, as their user keeps them; amounts in minor units of the currency that is reckoned in. */
export const ParcelKindsSchema = list(
	Type.Object(
		{
			key: Type.String({ minLength: 1, maxLength: 60 }),
			...{ lengthMm: Side, widthMm: Side, heightMm: Side },
			mostGrams: Grams,
			tareGrams: Type.Integer({ minimum: 0, maximum: 1_000_000 }),
			rates: list(Type.Object({ upToGrams: Grams, priceMinor: Minor }, closed), 30, { minItems: 1 })
		},
		closed
	),
	30
);
export type ParcelKindsKept = Static<typeof ParcelKindsSchema>;
