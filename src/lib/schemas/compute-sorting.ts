import { Type, type Static } from 'typebox';
import { SORTING_WAYS } from '../core/storage/sorting/plan-sorting.ts';
import { closed, Count, list, orNull, Word } from './vocabulary.ts';

const Seconds = Type.Number({ minimum: 0, maximum: 3600 });
export const PlanSortingInput = Type.Object(
	{
		cards: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
		mostPiles: Type.Integer({ minimum: 1, maximum: 1000 }),
		/** How many numbers there are, or the numbers themselves, in order. */
		numbers: Type.Union([
			Type.Integer({ minimum: 1, maximum: 1_000_000 }),
			Type.Array(Type.String({ minLength: 1, maxLength: 60 }), { minItems: 1, maxItems: 100_000 })
		]),
		times: Type.Optional(Type.Object({ cardS: Seconds, pileS: Seconds, lookS: Seconds }, closed))
	},
	closed
);
export const PlanSortingOutput = Type.Object(
	{
		ways: Type.Array(
			Type.Object(
				{
					way: Type.Enum([...SORTING_WAYS]),
					seconds: Type.Number({ minimum: 0 }),
					piles: Type.Array(Count)
				},
				closed
			)
		),
		/** Where the numbers were given: what goes on each pile of the last pass. */
		borders: Type.Array(Type.Object({ from: Word, to: Word, numbers: Count }, closed)),
		/** Where the numbers were given and passes are the quickest: the piles of each, by name. */
		passes: Type.Array(Type.Array(Type.String()))
	},
	closed
);

const StackSchema = Type.Object(
	{
		key: Word,
		set: Word,
		number: orNull(Type.String({ maxLength: 60 })),
		title: Type.String({ maxLength: 300 })
	},
	closed
);
export const PutAwayInput = Type.Object(
	{
		cards: list(StackSchema, 20_000),
		/** Dividers in walking order, with what stands behind each. */
		places: list(
			Type.Object(
				{
					box: Word,
					row: Count,
					divider: Word,
					set: Word,
					numbers: list(orNull(Type.String({ maxLength: 60 })), 100_000),
					titles: Type.Optional(list(Type.String({ maxLength: 300 }), 100_000))
				},
				closed
			),
			50_000
		),
		/** Take the cards out instead. */
		pull: Type.Optional(Type.Boolean())
	},
	closed
);
export const PutAwayOutput = Type.Object(
	{
		lines: Type.Array(
			Type.Object(
				{
					card: Word,
					box: Word,
					row: Count,
					divider: Word,
					after: orNull(Type.String()),
					before: orNull(Type.String())
				},
				closed
			)
		),
		/** Cards of sets that stand nowhere. */
		homeless: Type.Array(Word),
		/** Cards to pull that are not there, though others of their set are. */
		absent: Type.Array(Word)
	},
	closed
);

export type PlanSortingRequest = Static<typeof PlanSortingInput>;
export type PutAwayRequest = Static<typeof PutAwayInput>;
