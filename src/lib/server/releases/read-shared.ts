import { asc, eq, sql } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import { releases, sections } from '../database/tables/index.ts';

/** A section of another release that counts in this one as well: a spokesperson set, say. */
export interface SharedSection {
	readonly releaseKey: string;
	readonly releaseName: string;
	readonly key: string;
	readonly name: string;
	readonly note: string | null;
}

/** The sections that other releases share with this one. */
export async function readShared(
	db: Reader,
	releaseKey: string
): Promise<readonly SharedSection[]> {
	return db
		.select({
			releaseKey: releases.key,
			releaseName: releases.name,
			key: sections.key,
			name: sections.name,
			note: sections.note
		})
		.from(sections)
		.innerJoin(releases, eq(sections.releaseId, releases.id))
		.where(sql`exists (select 1 from json_each(${sections.alsoIn}) where value = ${releaseKey})`)
		.orderBy(asc(releases.year), asc(sections.position));
}
