import { count, eq, inArray, isNull, sum } from 'drizzle-orm';
import { chunks } from '../database/chunks.ts';
import type { Reader, Transaction } from '../database/open.ts';
import {
	cards,
	copies,
	editionCards,
	parallels,
	releases,
	releaseTotals
} from '../database/tables/index.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** Works out anew what lists show of some releases; those that are gone are passed over. */
export async function refreshTotals(
	tx: Transaction,
	releaseIds: readonly ReleaseId[]
): Promise<void> {
	for (const ids of chunks([...new Set(releaseIds)], 500)) {
		const present = await tx
			.select({ id: releases.id })
			.from(releases)
			.where(inArray(releases.id, [...ids]));
		const counted = await countsOf(
			tx,
			present.map(({ id }) => id)
		);
		for (const { id } of present) {
			const totals = counted(id);
			await tx
				.insert(releaseTotals)
				.values({ releaseId: id, ...totals })
				.onConflictDoUpdate({ target: releaseTotals.releaseId, set: totals });
		}
	}
}

async function countsOf(tx: Reader, ids: readonly ReleaseId[]) {
	const some = [...ids];
	const rows = {
		cards: await tx
			.select({ id: cards.releaseId, count: count() })
			.from(cards)
			.where(inArray(cards.releaseId, some))
			.groupBy(cards.releaseId),
		repeated: await tx
			.select({ id: editionCards.releaseId, count: count() })
			.from(editionCards)
			.where(inArray(editionCards.releaseId, some))
			.groupBy(editionCards.releaseId),
		parallels: await tx
			.select({ id: parallels.releaseId, count: count() })
			.from(parallels)
			.where(inArray(parallels.releaseId, some))
			.groupBy(parallels.releaseId),
		owned: await tx
			.select({ id: copies.releaseId, count: sum(copies.quantity).mapWith(Number) })
			.from(copies)
			.where(inArray(copies.releaseId, some))
			.groupBy(copies.releaseId)
	};
	const byId = (list: readonly { readonly id: ReleaseId; readonly count: number }[]) =>
		new Map(list.map((row) => [row.id, row.count]));
	const [listed, repeated, made, owned] = [
		byId(rows.cards),
		byId(rows.repeated),
		byId(rows.parallels),
		byId(rows.owned)
	];
	return (id: ReleaseId) => ({
		cards: (listed.get(id) ?? 0) + (repeated.get(id) ?? 0),
		parallels: made.get(id) ?? 0,
		owned: owned.get(id) ?? 0
	});
}

/** Releases of a collection made before there were totals: counted once, when it is opened. */
export async function releasesWithoutTotals(db: Reader): Promise<readonly ReleaseId[]> {
	const rows = await db
		.select({ id: releases.id })
		.from(releases)
		.leftJoin(releaseTotals, eq(releaseTotals.releaseId, releases.id))
		.where(isNull(releaseTotals.releaseId));
	return rows.map(({ id }) => id);
}
