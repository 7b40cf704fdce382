import { count, eq, max } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';

/**
 * Says what is in force in the journal: while it is the same, what was read of the collection still holds. A
 * step adds an id, undoing it makes one less; one that was made again gives what was read before it was undone.
 */
export async function journalMark(db: Reader): Promise<string> {
	const [latest] = await db.select({ id: max(journal.id) }).from(journal);
	const [inForce] = await db
		.select({ steps: count() })
		.from(journal)
		.where(eq(journal.state, 'done'));
	return `${latest?.id ?? 0} ${inForce?.steps ?? 0}`;
}
