import { Type, type Static } from 'typebox';
import { SORTING_WAYS } from '../../../core/storage/sorting/plan-sorting.ts';
import type { Collection } from '../../database/open.ts';
import { makeChange } from '../../journal/change.ts';
import { readPreference, writePreference, type Preference } from '../../preferences/preferences.ts';

const closed = { additionalProperties: false } as const;
const Seconds = Type.Number({ minimum: 0, maximum: 1_000_000 });

const MeasuresSchema = Type.Array(
	Type.Object(
		{
			cards: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
			piles: Type.Integer({ minimum: 1, maximum: 1000 }),
			seconds: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 })
		},
		closed
	),
	{ maxItems: 500 }
);
/** Passes that were timed: a person's own times follow from them. */
export const SORTING_MEASURES: Preference<typeof MeasuresSchema> = {
	key: 'sorting measures',
	schema: MeasuresSchema,
	usual: []
};

export const SortingSlipSchema = Type.Union([
	Type.Null(),
	Type.Object(
		{
			release: Type.String({ maxLength: 200 }),
			cards: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
			way: Type.Enum([...SORTING_WAYS]),
			steps: Type.Array(
				Type.Object(
					{
						/** 0: no piles are dealt in it. */
						piles: Type.Integer({ minimum: 0, maximum: 1000 }),
						/** Of the time before it was last stopped. */
						seconds: Seconds,
						/** ISO 8601, while its timer runs. */
						startedAt: Type.Union([Type.String({ format: 'date-time' }), Type.Null()]),
						isDone: Type.Boolean()
					},
					closed
				),
				{ maxItems: 40 }
			)
		},
		closed
	)
]);
export type SortingSlip = NonNullable<Static<typeof SortingSlipSchema>>;
/** The sorting slip that is under way. */
export const SORTING_SLIP: Preference<typeof SortingSlipSchema> = {
	key: 'sorting slip',
	schema: SortingSlipSchema,
	usual: null
};

/** Keeps the slip as it is now; a pass that was finished is measured. `null`: the slip is thrown away. */
export function saveSortingSlip(
	collection: Collection,
	slip: SortingSlip | null,
	measured: Static<typeof MeasuresSchema>[number] | null
): Promise<void> {
	return makeChange(collection, async (record, tx) => {
		await writePreference(record, tx, SORTING_SLIP, slip);
		if (measured) {
			const before = await readPreference(tx, SORTING_MEASURES);
			await writePreference(record, tx, SORTING_MEASURES, [...before, measured].slice(-500));
		}
		const label = slip
			? measured
				? 'A pass of sorting is done'
				: 'Sorting slip'
			: 'Throw away the sorting slip';
		return { value: undefined, label };
	});
}

const MixedDoneSchema = Type.Union([
	Type.Null(),
	Type.Object(
		{
			/** Id of the pile. */
			pile: Type.Integer({ minimum: 1 }),
			/** Steps of it that are done, by name. */
			done: Type.Array(Type.String({ maxLength: 500 }), { maxItems: 5000 })
		},
		closed
	)
]);
/** How far the sorting of a mixed pile is. */
export const MIXED_DONE: Preference<typeof MixedDoneSchema> = {
	key: 'mixed sorting',
	schema: MixedDoneSchema,
	usual: null
};

/** Ticks a step of a mixed pile off, or open again. */
export function tickMixed(
	collection: Collection,
	pile: number,
	step: string,
	isDone: boolean
): Promise<void> {
	return makeChange(collection, async (record, tx) => {
		const known = await readPreference(tx, MIXED_DONE);
		const before = (known?.pile === pile ? known.done : []).filter((name) => name !== step);
		const done = isDone ? [...before, step] : before;
		await writePreference(record, tx, MIXED_DONE, done.length > 0 ? { pile, done } : null);
		return { value: undefined, label: isDone ? `Sorted: ${step}` : `Not sorted yet: ${step}` };
	});
}

/** Forgets all timed passes: the usual times hold again. */
export function forgetMeasures(collection: Collection): Promise<void> {
	return makeChange(collection, async (record, tx) => {
		await writePreference(record, tx, SORTING_MEASURES, []);
		return { value: undefined, label: 'Forget timed passes' };
	});
}
