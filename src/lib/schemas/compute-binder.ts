import { Type, type Static } from 'typebox';

const closed = { additionalProperties: false } as const;
const Word = Type.String({ minLength: 1, maxLength: 420 });
const Whole = Type.Integer({ minimum: 0 });
const Count = Type.Integer({ minimum: 1, maximum: 1000 });

export const PairGroupsInput = Type.Object(
	{
		groups: Type.Array(
			Type.Object({ key: Word, size: Count, label: Type.Optional(Word) }, closed),
			{ maxItems: 5000 }
		),
		capacity: Count
	},
	closed
);
export const PairGroupsOutput = Type.Object(
	{
		pages: Type.Array(
			Type.Object(
				{
					groups: Type.Array(Type.Object({ key: Word, pockets: Count }, closed)),
					empty: Whole
				},
				closed
			)
		),
		leastPages: Whole,
		isExact: Type.Boolean()
	},
	closed
);
export type PairGroupsRequest = Static<typeof PairGroupsInput>;
