import { and, asc, exists, eq, isNull, notInArray, sql } from 'drizzle-orm';
import type { ReleaseId } from '../../core/row-id.ts';
import type { Reader, Transaction } from '../database/open.ts';
import { copies, looseReleases } from '../database/tables/index.ts';
import { isHere } from './homeless.ts';

/** Releases of which a card has no place, in the order of their ids. */
export async function releasesWithLoose(db: Reader): Promise<readonly ReleaseId[]> {
	const hasLoose = exists(
		db
			.select({ found: sql`1` })
			.from(copies)
			.where(
				and(
					eq(copies.releaseId, looseReleases.releaseId),
					isHere,
					isNull(copies.place),
					sql`${copies.quantity} > coalesce((select sum(b.quantity) from box_cards b where b.copy_id = ${copies.id}), 0)
						+ (select count(*) from binder_pockets p where p.copy_id = ${copies.id})`
				)
			)
	);
	const rows = await db
		.select({ id: looseReleases.releaseId })
		.from(looseReleases)
		.where(hasLoose)
		.orderBy(asc(looseReleases.releaseId));
	return rows.map(({ id }) => id);
}

/** Takes those off the list of which every card has a place: the next look is spared them. */
export async function forgetHoused(tx: Transaction): Promise<void> {
	const left = await releasesWithLoose(tx);
	await tx.delete(looseReleases).where(notInArray(looseReleases.releaseId, [...left]));
}
