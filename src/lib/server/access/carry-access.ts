import type { Collection, Reader } from '../database/open.ts';
import { passphrases, sessions, sharedLists } from '../database/tables/index.ts';

const readAccess = async (db: Reader) => ({
	passphrases: await db.select().from(passphrases),
	sessions: await db.select().from(sessions),
	lists: await db.select().from(sharedLists)
});

/**
 * Who may look is a matter of now: where a backup takes the place of a collection, passphrases and links stay what they were, so that
 * nobody is shut out and nothing that was withdrawn is open again.
 *
 * @returns puts them into the collection that takes its place
 */
export async function carryAccess(from: Reader): Promise<(to: Collection) => Promise<void>> {
	const kept = await readAccess(from);
	return ({ write }) =>
		write(async (tx) => {
			await tx.delete(passphrases);
			await tx.delete(sessions);
			await tx.delete(sharedLists);
			if (kept.passphrases.length > 0) await tx.insert(passphrases).values(kept.passphrases);
			if (kept.sessions.length > 0) await tx.insert(sessions).values(kept.sessions);
			if (kept.lists.length > 0) await tx.insert(sharedLists).values(kept.lists);
		});
}
