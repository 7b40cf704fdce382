import { eq } from 'drizzle-orm';
import { deepEqual } from 'fast-equals';
import type { Static, TSchema } from 'typebox';
import { checkAgainst } from '../../schemas/validator.ts';
import type { Reader, Transaction } from '../database/open.ts';
import { preferences } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';

/** Something a person sets for the whole collection, and what holds until they do. */
export interface Preference<Schema extends TSchema> {
	readonly key: string;
	readonly schema: Schema;
	readonly usual: Static<Schema>;
}

/** What is set; the usual where nothing is, or where an older program stored it otherwise. */
export async function readPreference<Schema extends TSchema>(
	db: Reader,
	{ key, schema, usual }: Preference<Schema>
): Promise<Static<Schema>> {
	const [row] = await db.select().from(preferences).where(eq(preferences.key, key));
	if (!row || checkAgainst(schema, row.value).length > 0) return usual;
	return row.value as Static<Schema>;
}

/**
 * Sets a preference within a change; the value must fit its schema (checked by the caller). What is
 * usual takes no row: so null, which a column cannot hold as JSON, never gets into one.
 */
export async function writePreference<Schema extends TSchema>(
	record: Recorder,
	tx: Transaction,
	{ key, usual }: Preference<Schema>,
	value: Static<Schema>
): Promise<void> {
	const [row] = await tx.select().from(preferences).where(eq(preferences.key, key));
	if (deepEqual(value, usual)) {
		if (row) await record.remove(preferences, [row.id]);
	} else if (!row) await record.insert(preferences, [{ key, value }]);
	else if (!deepEqual(row.value, value)) await record.update(preferences, row.id, { value });
}
