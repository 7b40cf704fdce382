import { Type } from 'typebox';
import { MOST_COPIES, LONGEST_LINE } from '../core/shorthand/parse-entry-line.ts';
import { ConditionSchema, VersionKeySchema } from './compute.ts';

const closed = { additionalProperties: false } as const;
const Key = Type.Union([Type.String({ minLength: 1, maxLength: 100 }), Type.Null()]);

/** An entry line to apply: `POST /api/releases/{release}/log`. */
export const EntrySchema = Type.Object(
	{
		line: Type.String({ maxLength: LONGEST_LINE }),
		numbering: Key,
		parallel: Key,
		condition: Type.Optional(ConditionSchema)
	},
	closed
);

/** How many copies there shall be of some versions: `PUT /api/releases/{release}/owned`. */
export const OwnedSchema = Type.Object(
	{
		changes: Type.Array(
			Type.Object(
				{
					version: VersionKeySchema,
					quantity: Type.Integer({ minimum: 0, maximum: MOST_COPIES })
				},
				closed
			),
			{ minItems: 1, maxItems: 50_000 }
		),
		condition: Type.Optional(ConditionSchema)
	},
	closed
);
