import { Type } from 'typebox';

const Word = Type.String({ minLength: 1, maxLength: 60 });
/** A shelf as it is written in: where it is, how long, what it bears. */
export const ShelfSchema = Type.Object(
	{
		room: Word,
		unit: Word,
		level: Type.Integer({ minimum: 1, maximum: 20 }),
		lengthMm: Type.Integer({ minimum: 100, maximum: 20_000 }),
		ratingG: Type.Union([Type.Integer({ minimum: 1, maximum: 5_000_000 }), Type.Null()])
	},
	{ additionalProperties: false }
);
