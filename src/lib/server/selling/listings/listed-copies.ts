import { and, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import type { CopyId } from '../../../core/row-id.ts';
import type { Reader } from '../../database/open.ts';
import { listingCards, listings } from '../../database/tables/index.ts';

/** Copies that are in a listing whose cards have not gone. */
export async function listedCopies(
	db: Reader,
	ids?: readonly CopyId[]
): Promise<ReadonlySet<CopyId>> {
	const rows = await db
		.select({ id: listingCards.copyId })
		.from(listingCards)
		.innerJoin(listings, eq(listings.id, listingCards.listingId))
		.where(
			and(
				isNotNull(listingCards.copyId),
				isNull(listings.sentOn),
				ids ? inArray(listingCards.copyId, [...ids]) : undefined
			)
		);
	return new Set(rows.flatMap(({ id }) => id ?? []));
}
