import { and, eq } from 'drizzle-orm';
import type { BinderId } from '../../core/row-id.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { Collection, Reader } from '../database/open.ts';
import { binders, blockNotes } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';

/** The teller's notes on the blocks of a binder, by the keys of the blocks. */
export async function readBlockNotes(
	db: Reader,
	id: BinderId
): Promise<ReadonlyMap<string, string>> {
	const rows = await db
		.select({ block: blockNotes.block, note: blockNotes.note })
		.from(blockNotes)
		.where(eq(blockNotes.binderId, id));
	return new Map(rows.map(({ block, note }) => [block, note]));
}

/** Writes the teller's note on a block; a blank one takes it away. */
export function writeBlockNote(
	collection: Collection,
	id: BinderId,
	block: string,
	text: string
): Promise<Outcome<{ readonly id: BinderId }>> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
		if (!binder) {
			return refused([
				{
					message: 'there is no such binder',
					remedy: 'It may have been removed; undo brings it back.'
				}
			]);
		}
		const [row] = await tx
			.select()
			.from(blockNotes)
			.where(and(eq(blockNotes.binderId, id), eq(blockNotes.block, block)));
		const note = text.trim();
		if (row && note === '') await record.remove(blockNotes, [row.id]);
		else if (row && row.note !== note) await record.update(blockNotes, row.id, { note });
		else if (!row && note !== '') await record.insert(blockNotes, [{ binderId: id, block, note }]);
		return { value: good({ id }), label: `${binder.name}: what to tell` };
	});
}
