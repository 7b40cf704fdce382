import { desc, eq } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import { copies, releases } from '../database/tables/index.ts';

/** The release of the copy that was logged last: the one a person most likely goes on with. */
export async function lastLoggedRelease(db: Reader): Promise<string | undefined> {
	const [row] = await db
		.select({ key: releases.key })
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.orderBy(desc(copies.id))
		.limit(1);
	return row?.key;
}
