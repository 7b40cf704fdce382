import { Type, type Static } from 'typebox';
import { closed, list, Minor, orNull } from './vocabulary.ts';

const Share = Type.Number({ minimum: 0, maximum: 1000, description: '0 to 1,000 %.' });
const Name = Type.String({ minLength: 1, maxLength: 60 });

/** By what things are sold, as its owner sets it. Amounts in minor units of the currency that is reckoned in. */
export const SellingRulesSchema = Type.Object(
	{
		channels: list(
			Type.Object(
				{
					name: Name,
					feePercent: Type.Number({ minimum: 0, maximum: 100 }),
					feeMinor: Minor
				},
				closed
			),
			40
		),
		bands: list(
			Type.Object(
				{
					fromMinor: Minor,
					channel: Name,
					as: Type.Enum(['single', 'lot']),
					mostCards: Type.Integer({ minimum: 1, maximum: 10_000 })
				},
				closed
			),
			20,
			{ minItems: 1 }
		),
		sellsInserts: Type.Boolean(),
		sellsDoubles: Type.Boolean(),
		askPercent: Share,
		floorPercent: Share,
		lotPercent: Share,
		unpricedMinor: orNull(Minor)
	},
	closed
);
export type SellingRulesKept = Static<typeof SellingRulesSchema>;
