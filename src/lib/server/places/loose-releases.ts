import { and, asc, eq, exists, gt, isNull, not, sql } from 'drizzle-orm';
import type { ReleaseId } from '../../core/row-id.ts';
import type { Reader, Transaction } from '../database/open.ts';
import { copies, looseReleases } from '../database/tables/index.ts';
import { FREE, isHere } from './homeless.ts';

const hasLoose = (db: Reader) =>
	exists(
		db
			.select({ found: sql`1` })
			.from(copies)
			.where(
				and(
					eq(copies.releaseId, looseReleases.releaseId),
					isHere,
					isNull(copies.place),
					gt(FREE, 0)
				)
			)
	);

/** Releases of which a card has no place, in the order of their ids. */
export async function releasesWithLoose(db: Reader): Promise<readonly ReleaseId[]> {
	const rows = await db
		.select({ id: looseReleases.releaseId })
		.from(looseReleases)
		.where(hasLoose(db))
		.orderBy(asc(looseReleases.releaseId));
	return rows.map(({ id }) => id);
}

/** Takes those off the list of which every card has a place: the next look is spared them. */
export async function forgetHoused(tx: Transaction): Promise<void> {
	await tx.delete(looseReleases).where(not(hasLoose(tx)));
}
