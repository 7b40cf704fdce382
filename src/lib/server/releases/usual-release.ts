import { asc, desc, eq } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import { copies, releases } from '../database/tables/index.ts';

/** The release a person most likely goes on with: that of the copy logged last, else the first one. */
export async function usualRelease(db: Reader): Promise<string | null> {
	const [logged] = await db
		.select({ key: releases.key })
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.orderBy(desc(copies.id))
		.limit(1);
	if (logged) return logged.key;
	const [first] = await db
		.select({ key: releases.key })
		.from(releases)
		.orderBy(asc(releases.year), asc(releases.name))
		.limit(1);
	return first?.key ?? null;
}
