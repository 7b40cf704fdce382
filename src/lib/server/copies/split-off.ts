import type { CopyId } from '../../core/row-id.ts';
import type { Transaction } from '../database/open.ts';
import { insertOne, type Recorder } from '../database/record.ts';
import { copies } from '../database/tables/index.ts';
import { passOn } from '../places/stand-behind.ts';

/**
 * Takes so many cards off a pile of equal ones, as a copy apart with the same fields and those that are
 * given; fewer than there are (checked by the caller).
 */
export async function splitOff(
	record: Recorder,
	tx: Transaction,
	row: typeof copies.$inferSelect,
	quantity: number,
	fields: Partial<typeof copies.$inferInsert> = {}
): Promise<CopyId> {
	if (quantity < 1 || quantity >= row.quantity) {
		throw new RangeError(`splitOff: ${quantity} of ${row.quantity} cards`);
	}
	const { id, ...same } = row;
	await record.update(copies, id, { quantity: row.quantity - quantity });
	const apart = await insertOne(record, copies, { ...same, ...fields, quantity });
	await passOn(record, tx, id, apart.id);
	return apart.id;
}
