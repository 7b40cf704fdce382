import { eq } from 'drizzle-orm';
import { randomBytes } from 'node:crypto';
import type { RowId } from '../../core/row-id.ts';
import type { Collection, Reader } from '../database/open.ts';
import { sharedLists } from '../database/tables/index.ts';

/** A want list that a friend may read by its link. */
export type SharedList = typeof sharedLists.$inferSelect;

export const listShared = (db: Reader): Promise<SharedList[]> =>
	db.select().from(sharedLists).orderBy(sharedLists.id);

/** Shares the want list with somebody; the link holds 192 random bits. */
export async function shareList({ write, now }: Collection, name: string): Promise<void> {
	const token = randomBytes(24).toString('base64url');
	await write((tx) => tx.insert(sharedLists).values({ token, name, madeAt: now() }));
}

/** From then on the link leads nowhere. */
export async function withdrawList(
	{ write }: Collection,
	list: RowId<'shared_lists'>
): Promise<void> {
	await write((tx) => tx.delete(sharedLists).where(eq(sharedLists.id, list)));
}

/** The list of a link; null: there is none, or it was withdrawn. */
export async function findShared(db: Reader, token: string): Promise<SharedList | null> {
	const [list] = await db.select().from(sharedLists).where(eq(sharedLists.token, token));
	return list ?? null;
}
