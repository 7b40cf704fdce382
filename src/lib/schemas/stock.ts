import { Type } from 'typebox';

// Six digits are typed; what is put aside, or comes back, is added to them.
const Count = Type.Integer({ minimum: 0, maximum: 1_000_000_000 });

/** What is on hand, by key of the supply, and from which number on it is enough. */
export const StockSchema = Type.Record(
	Type.String({ maxLength: 120 }),
	Type.Object({ count: Count, least: Type.Optional(Count) }, { additionalProperties: false })
);
