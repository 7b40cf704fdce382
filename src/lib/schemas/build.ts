import { Type, type Static } from 'typebox';
import { closed, Currency, list, Minor, orNull, Word } from './vocabulary.ts';

const Hours = Type.Number({ minimum: 0, maximum: 10_000, description: 'Hours, at least 0.' });
const Sets = Type.Integer({ minimum: 1, maximum: 200 });

/** What building sets of a release to sell takes, as it is kept. */
export const BuildKeptSchema = Type.Object(
	{
		currency: Currency,
		parts: list(
			Type.Object(
				{
					key: Word,
					isKey: Type.Boolean(),
					valueMinor: orNull(Minor),
					offers: list(
						Type.Object(
							{
								key: Word,
								feedsSets: Type.Integer({ minimum: 1, maximum: 999 }),
								priceMinor: Minor,
								available: Type.Integer({ minimum: 0, maximum: 200 }),
								hours: Hours
							},
							closed
						),
						20
					)
				},
				closed
			),
			200
		),
		sales: list(
			Type.Object({ sets: Type.Integer({ minimum: 1, maximum: 999 }), priceMinor: Minor }, closed),
			20
		),
		feePercent: Type.Number({ minimum: 0, maximum: 100, description: '0 to 100 %.' }),
		suppliesMinor: Minor,
		packingMinor: Minor,
		postageMinor: Minor,
		fixedMinor: Minor,
		hoursFixed: Hours,
		hoursPerSet: Hours,
		mostSets: Sets
	},
	closed
);
export type BuildKept = Static<typeof BuildKeptSchema>;
