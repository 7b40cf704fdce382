import { Type, type Static } from 'typebox';
import { PRICE_KINDS } from '../core/worth/prices/price-point.ts';
import { Day } from './price-point.ts';
import { closed } from './vocabulary.ts';

const Moment = Type.String({ format: 'date-time' });
const Text = Type.String();
const said = { at: Moment, release: Text, house: Text, source: Text, on: Day };

/** Houses, prices and populations that the demo's collector wrote down; each at its time. */
export const WorthDemoSchema = Type.Object(
	{
		houses: Type.Array(
			Type.Object({ at: Moment, name: Text, grades: Text, givesAuthentic: Type.Boolean() }, closed)
		),
		prices: Type.Array(
			Type.Object({ ...said, line: Text, kind: Type.Enum([...PRICE_KINDS]) }, closed)
		),
		populations: Type.Array(Type.Object({ ...said, card: Text, counts: Text, total: Text }, closed))
	},
	closed
);
export type WorthDemo = Static<typeof WorthDemoSchema>;
