import { and, count, eq, sql } from 'drizzle-orm';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import { secondPass, type PassLine } from '../../core/telling/second-pass.ts';
import { good, type Outcome } from '../../core/problem.ts';
import { rowId, type CopyId } from '../../core/row-id.ts';
import { changePicked } from '../copies/change-copies.ts';
import type { Collection, Reader } from '../database/open.ts';
import { copies, releases } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { isHere } from '../places/homeless.ts';
import { placesOfCopies } from '../places/places-of.ts';
import { findRelease, loadReleases } from '../releases/load-release.ts';

/** As its index is stated. */
const UNSEEN = sql`${copies.isPrintingUnseen} = 1`;
/** A pass is for an evening. */
export const MOST_LOOKED_AT = 500;

/** Cards of which nobody has looked which printing they are. */
export async function countUnseen(db: Reader): Promise<number> {
	const [row] = await db.select({ count: count() }).from(copies).where(and(UNSEEN, isHere));
	return row?.count ?? 0;
}

/**
 * The second pass: unseen printings of all releases, or of one; with `all` every copy of a number that exists
 * in several printings, of one release only.
 */
export async function readSecondPass(
	db: Reader,
	{ release, all }: { readonly release: string | null; readonly all: boolean }
): Promise<readonly PassLine[]> {
	const id = release === null ? null : await findRelease(db, release);
	if (release !== null && id === null) return [];
	const rows = await db
		.select({
			id: copies.id,
			releaseId: copies.releaseId,
			releaseKey: releases.key,
			card: copies.cardKey,
			parallel: copies.parallelKey,
			variant: copies.variantKey,
			quantity: copies.quantity,
			isPrintingUnseen: copies.isPrintingUnseen
		})
		.from(copies)
		.innerJoin(releases, eq(releases.id, copies.releaseId))
		.where(
			and(
				isHere,
				id === null ? undefined : eq(copies.releaseId, id),
				all && id !== null ? undefined : UNSEEN
			)
		)
		.orderBy(copies.id)
		.limit(all ? -1 : 5000);
	const stored = await loadReleases(db, [...new Set(rows.map(({ releaseId }) => releaseId))]);
	const found = stored.map((each) => each.release);
	const pass = (places: Awaited<ReturnType<typeof placesOfCopies>>, some: typeof rows) =>
		secondPass(
			found,
			some.map((row) => {
				const [place] = places.get(row.id) ?? [];
				return {
					key: String(row.id),
					version: formatVersionKey({ ...row, release: row.releaseKey }),
					quantity: row.quantity,
					isPrintingUnseen: row.isPrintingUnseen,
					place: place ? { name: place.name, row: place.row } : null
				};
			}),
			{ all }
		);
	// Where a card is matters for those alone that are looked at.
	const wanted = new Set(pass(new Map(), rows).map(({ key }) => key));
	const some = rows.filter((row) => wanted.has(String(row.id))).slice(0, 5000);
	const places = await placesOfCopies(
		db,
		some.map((row) => row.id)
	);
	return pass(places, some).slice(0, MOST_LOOKED_AT);
}

/** A card was looked at: so many of a copy are of this printing. */
export function settlePrinting(
	collection: Collection,
	copyId: CopyId,
	version: string,
	quantity: number
): Promise<Outcome<{ readonly copyId: CopyId }>> {
	return makeChange(collection, async (record, tx) => {
		const changed = await changePicked(record, tx, [
			{ copyId, quantity, version, fields: { isPrintingUnseen: false } }
		]);
		if (!changed.ok) return refused(changed.problems);
		return {
			value: good({ copyId: changed.value[0] ?? rowId(Number(copyId)) }),
			label: 'A printing was looked at'
		};
	});
}
