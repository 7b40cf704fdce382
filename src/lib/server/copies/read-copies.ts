import { eq } from 'drizzle-orm';
import type { Copy } from '../../core/goal/copy.ts';
import { formatVersionKey } from '../../core/checklist/version-key.ts';
import type { Reader } from '../database/open.ts';
import { copies, releases } from '../database/tables/index.ts';

/** A copy with its database row's id, oldest first. */
export interface StoredCopy extends Copy {
	readonly id: number;
}

export async function readCopies(db: Reader, releaseId: number): Promise<readonly StoredCopy[]> {
	const rows = await db
		.select({
			id: copies.id,
			release: releases.key,
			card: copies.cardKey,
			parallel: copies.parallelKey,
			variant: copies.variantKey,
			quantity: copies.quantity,
			condition: copies.condition
		})
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.where(eq(copies.releaseId, releaseId))
		.orderBy(copies.id);
	return rows.map(({ id, quantity, condition, ...name }) => ({
		id,
		key: String(id),
		version: formatVersionKey(name),
		quantity,
		...(condition === null ? {} : { condition })
	}));
}

/** Version key → cards owned. */
export function countOwned(copiesOwned: readonly Copy[]): Map<string, number> {
	const owned = new Map<string, number>();
	for (const { version, quantity } of copiesOwned) {
		owned.set(version, (owned.get(version) ?? 0) + quantity);
	}
	return owned;
}
