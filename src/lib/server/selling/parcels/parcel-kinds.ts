import { good, type Outcome } from '../../../core/problem.ts';
import { parseParcelLines } from '../../../core/selling/parcels/parcel-line.ts';
import { ParcelKindsSchema } from '../../../schemas/parcel-kinds.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import type { Collection } from '../../database/open.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readPreference, writePreference, type Preference } from '../../preferences/preferences.ts';

/** 50 lb. ● The most that such a parcel may weigh. */
const MOST_GRAMS = 22_679;

/**
 * In what things are sent. Sizes and prices are assumptions of ours, made so that ● three 550-count boxes go into the medium
 * parcel, five or two 800s and two 550s into the long flat one.
 */
export const PARCEL_KINDS: Preference<typeof ParcelKindsSchema> = {
	key: 'parcel-kinds',
	schema: ParcelKindsSchema,
	usual: [
		{
			...{ key: 'medium', lengthMm: 285, widthMm: 245, heightMm: 145 },
			...{ mostGrams: MOST_GRAMS, tareGrams: 160 },
			rates: [{ upToGrams: MOST_GRAMS, priceMinor: 1500 }]
		},
		{
			...{ key: 'long flat', lengthMm: 600, widthMm: 300, heightMm: 82 },
			...{ mostGrams: MOST_GRAMS, tareGrams: 220 },
			rates: [{ upToGrams: MOST_GRAMS, priceMinor: 2000 }]
		},
		{
			...{ key: 'by weight', lengthMm: 600, widthMm: 400, heightMm: 300 },
			...{ mostGrams: 20_000, tareGrams: 450 },
			rates: [
				{ upToGrams: 2000, priceMinor: 900 },
				{ upToGrams: 5000, priceMinor: 1400 },
				{ upToGrams: 10_000, priceMinor: 2200 },
				{ upToGrams: 20_000, priceMinor: 3600 }
			]
		}
	]
};

/** Keeps the kinds of parcel; with any problem they stay. */
export function setParcelKinds(
	collection: Collection,
	text: string
): Promise<Outcome<{ readonly kinds: number }>> {
	return makeChange(collection, async (record, tx) => {
		const { currency } = await readPreference(tx, BUYING_RULES);
		const kinds = parseParcelLines(text, currency);
		if (!kinds.ok) return refused(kinds.problems);
		await writePreference(
			record,
			tx,
			PARCEL_KINDS,
			kinds.value.map((kind) => ({ ...kind, rates: [...kind.rates] }))
		);
		return { value: good({ kinds: kinds.value.length }), label: 'Kinds of parcel' };
	});
}
