import { Type } from 'typebox';
import { PRICE_KINDS } from '../../core/worth/prices/price-point.ts';
import { idOf, orNull } from '../vocabulary.ts';
import { WorthRulesSchema } from '../worth-rules.ts';
import { asTyped, Key, Name } from './fields.ts';

/* Forms of worth: prices, populations, houses, rules. */

const MaybeDay = orNull(
	Type.String({ format: 'date', description: 'Write a date as 1994-10-05.' })
);
const Kind = Type.Enum([...PRICE_KINDS], { description: 'Sold, asked or estimated.' });
const Said = { release: Key, house: Name, source: Name, on: MaybeDay };

export const NotedPricesFormSchema = Type.Object({ ...Said, line: asTyped(20_000), kind: Kind });
export const PriceIdFormSchema = Type.Object({ price: idOf('price_points', 'Reload the page.') });
/** A table of prices or populations, as a file or pasted. */
export const GradedFileFormSchema = Type.Object({
	...Said,
	kind: Kind,
	text: Type.Optional(asTyped(64_000_000))
});
export const PopulationFormSchema = Type.Object({
	...Said,
	card: Name,
	counts: asTyped(5000),
	total: Name
});
export const PopulationIdFormSchema = Type.Object({
	report: idOf('population_reports', 'Reload the page.')
});
export const HouseFormSchema = Type.Object({
	name: Name,
	grades: Name,
	givesAuthentic: Type.Optional(Type.String({ maxLength: 10 }))
});
export const HouseIdFormSchema = Type.Object({ house: idOf('houses', 'Reload the page.') });
export const WorthRulesFormSchema = Type.Object(WorthRulesSchema.properties);
