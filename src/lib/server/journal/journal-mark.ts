import { eq, max, sql } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';

/**
 * Says what is in force in the journal: while it is the same, what was read of the collection still holds. A step adds
 * an id; taking back or making again changes how many are in force, or which (the sums of their ids and squares).
 */
export async function journalMark(db: Reader): Promise<string> {
	const [latest] = await db.select({ id: max(journal.id) }).from(journal);
	const [inForce] = await db
		.select({
			steps: sql<number>`count(*)`,
			ids: sql<number>`total(${journal.id})`,
			squares: sql<number>`total(1.0 * ${journal.id} * ${journal.id})`
		})
		.from(journal)
		.where(eq(journal.state, 'done'));
	return JSON.stringify([latest?.id ?? 0, ...Object.values(inForce ?? {})]);
}
