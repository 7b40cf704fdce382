import { Type, type Static } from 'typebox';
import { OUTING_KINDS } from '../core/copies/outing.ts';
import { VersionKeySchema } from './compute.ts';
import { HolderKindSchema } from './compute-holders.ts';
import { NewCopySchema } from './requests.ts';
import { StockSchema } from './stock.ts';
import { ShelfSchema } from './shelf.ts';
import { closed } from './vocabulary.ts';

const Moment = Type.String({ format: 'date-time' });
const Line = Type.String({ minLength: 1 });

/** The boxes of the demo's collector: older sets as outlines with what is there of them, and shelves. */
export const BasementSchema = Type.Object(
	{
		/** Titles are made of these, in turn. */
		words: Type.Object({ first: Type.Array(Line), second: Type.Array(Line) }, closed),
		begun: Moment,
		/** When everything was put into boxes as planned; what came later has no place. */
		stoodAt: Moment,
		laterAt: Moment,
		/** Where all binders stand, and since when. */
		binders: Type.Object({ at: Moment, unit: Line, level: Type.Integer() }, closed),
		shelves: Type.Array(ShelfSchema),
		sets: Type.Array(
			Type.Object(
				{ outline: Line, log: Line, stockPt: Type.Optional(Type.Number({ exclusiveMinimum: 0 })) },
				closed
			)
		),
		copies: Type.Array(NewCopySchema),
		/** Holders of the collector's own, what is on hand, and what is out. */
		holders: Type.Array(Type.Omit(HolderKindSchema, ['key'])),
		stock: StockSchema,
		out: Type.Array(
			Type.Object(
				{
					version: VersionKeySchema,
					kind: Type.Enum([...OUTING_KINDS]),
					to: Line,
					outOn: Type.String({ format: 'date' }),
					dueOn: Type.Union([Type.String({ format: 'date' }), Type.Null()])
				},
				closed
			)
		),
		later: Type.Array(Type.Object({ release: Line, line: Line }, closed))
	},
	closed
);
export type Basement = Static<typeof BasementSchema>;
