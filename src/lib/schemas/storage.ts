import { Type, type TSchema } from 'typebox';
import { HOLDER_KINDS } from '../core/boxes/holder-kind.ts';

/** What the schemas of the storage room share. */
export const closed = { additionalProperties: false } as const;
export const Word = Type.String({ minLength: 1, maxLength: 420 });
export const Whole = Type.Integer({ minimum: 0, maximum: 10_000_000 });
export const Count = Type.Integer({ minimum: 1, maximum: 10_000_000 });
export const Stock = Type.Number({ exclusiveMinimum: 0, maximum: 1000, description: 'points' });
export const Holder = Type.Enum(HOLDER_KINDS.map(({ key }) => key));
export const list = <Item extends TSchema>(item: Item, maxItems = 200_000) =>
	Type.Array(item, { maxItems });
export const orNull = <Item extends TSchema>(item: Item) => Type.Union([item, Type.Null()]);
