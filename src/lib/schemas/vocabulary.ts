import { Type, type TSchema } from 'typebox';
import type { RowId } from '../core/row-id.ts';
import { HOLDER_KINDS } from '../core/storage/kinds/holder-kind.ts';

/** The words that all schemas are written in. Everything that is read has a bound. */

/** No fields but those named. */
export const closed = { additionalProperties: false } as const;
/** A key, a name: some text on one line. */
export const Word = Type.String({ minLength: 1, maxLength: 420 });
export const Whole = Type.Integer({ minimum: 0, maximum: 10_000_000 });
export const Count = Type.Integer({ minimum: 1, maximum: 10_000_000 });
/** An amount of money in minor units of its currency: cents. */
export const Minor = Type.Integer({
	minimum: 0,
	maximum: 1e12,
	description: 'in minor units of the currency'
});
/** ISO 4217 */
export const Currency = Type.String({ pattern: '^[A-Z]{3}$', description: 'ISO 4217: EUR' });
export const Stock = Type.Number({ exclusiveMinimum: 0, maximum: 1000, description: 'points' });
export const Holder = Type.Enum(HOLDER_KINDS.map(({ key }) => key));
/** A field with what it means: unit, default, what each mode does. Whoever uses the API sees nothing else. */
export function said<Field extends TSchema>(field: Field, description: string): Field {
	return Object.create(Object.getPrototypeOf(field) as object, {
		...Object.getOwnPropertyDescriptors(field),
		description: { value: description, enumerable: true }
	}) as Field;
}

/** What each word of a choice means, as the description of a field. */
export function modes(meanings: Readonly<Record<string, { readonly meaning: string }>>): string {
	return Object.entries(meanings)
		.map(([word, { meaning }]) => `${word}: ${meaning}`)
		.join(' ');
}

/** A list that is read: never without a bound. */
export const list = <Item extends TSchema>(
	item: Item,
	maxItems: number,
	options: { readonly minItems?: number; readonly description?: string } = {}
) => Type.Array(item, { maxItems, ...options });
/** Names of one's own with a value each. */
export const record = <Value extends TSchema>(
	value: Value,
	maxProperties: number,
	description: string
) => Type.Record(Type.String({ maxLength: 420 }), value, { maxProperties, description });
export const orNull = <Item extends TSchema>(item: Item) => Type.Union([item, Type.Null()]);

/** The id of a row of a table. */
export const idOf = <Table extends string>(_table: Table, description: string) =>
	Type.Unsafe<RowId<Table>>(
		Type.Integer({ minimum: 1, maximum: Number.MAX_SAFE_INTEGER, description })
	);
