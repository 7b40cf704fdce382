import { eq, sql } from 'drizzle-orm';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { Copy } from '../../core/copies/copy.ts';
import type { CopyRecord } from '../../core/copies/copy-record.ts';
import type { Reader } from '../database/open.ts';
import { readRows } from '../database/read-rows.ts';
import { copies, releases } from '../database/tables/index.ts';
import type { CopyId, ReleaseId } from '../../core/row-id.ts';

/** A copy with its database row's id, oldest first. */
export interface StoredCopy extends CopyRecord {
	readonly id: CopyId;
	/** ISO 8601 */
	readonly loggedAt: string;
}

export async function readCopies(db: Reader, releaseId: ReleaseId): Promise<readonly StoredCopy[]> {
	const [release] = await db
		.select({ key: releases.key })
		.from(releases)
		.where(eq(releases.id, releaseId));
	if (!release) return [];
	const rows = await readRows(db, copies, eq(copies.releaseId, releaseId), sql`${copies.id}`);
	return rows.map((row) => toCopy(release.key, row));
}

/** A row as a copy; what is not known is left out. */
export function toCopy(release: string, row: typeof copies.$inferSelect): StoredCopy {
	const {
		id,
		releaseId: _,
		cardKey,
		parallelKey,
		variantKey,
		quantity,
		status,
		loggedAt,
		...more
	} = row;
	const name = { release, card: cardKey, parallel: parallelKey };
	const version = formatVersionKey({ ...name, variant: variantKey });
	const alsoVersions = row.alsoVariants.map((variant) => formatVersionKey({ ...name, variant }));
	const known: Partial<Record<keyof typeof more, unknown>> = {};
	for (const [name, value] of Object.entries(more)) {
		if (value !== null && value !== false) known[name as keyof typeof more] = value;
	}
	return Object.assign(
		{ id, key: String(id), version, quantity, status, loggedAt },
		alsoVersions.length > 0 ? { alsoVersions } : {},
		known
	) as StoredCopy;
}

/** Version key → cards that are here; what is still on its way does not count. */
export function countOwned(
	copiesOwned: readonly (Copy & Partial<Pick<CopyRecord, 'status'>>)[]
): Map<string, number> {
	return countOf(copiesOwned.filter(({ status }) => status !== 'incoming'));
}

/** Version key → cards on their way. */
export function countIncoming(copiesOwned: readonly CopyRecord[]): Map<string, number> {
	return countOf(copiesOwned.filter(({ status }) => status === 'incoming'));
}

function countOf(some: readonly Copy[]): Map<string, number> {
	const counts = new Map<string, number>();
	for (const { version, quantity } of some) {
		counts.set(version, (counts.get(version) ?? 0) + quantity);
	}
	return counts;
}
