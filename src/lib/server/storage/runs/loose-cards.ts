import { setImmediate } from 'node:timers/promises';
import type { Keeping } from '../../../core/storage/classes/keeping.ts';
import { groups, rollup } from 'd3-array';
import { inArray, sql } from 'drizzle-orm';
import type { BoxUse } from '../../../core/storage/kinds/box-use.ts';
import { dealSets } from '../../../core/storage/runs/deal-sets.ts';
import { runForUse } from '../../../core/storage/runs/run-for-use.ts';
import type { Run } from '../../../core/storage/runs/run.ts';
import { chunks } from '../../database/chunks.ts';
import type { Reader } from '../../database/open.ts';
import { releases } from '../../database/tables/index.ts';
import { homelessCopies, type HomelessCopy } from '../../places/homeless.ts';
import { setsBuilt } from './sets-built.ts';
import type { ReleaseId } from '../../../core/row-id.ts';

/** So many homeless cards of a copy, and the run they belong to. */
export interface LooseCards {
	readonly copy: HomelessCopy;
	readonly quantity: number;
	readonly run: Run;
	readonly year: string;
}

type Version = Pick<HomelessCopy, 'releaseId' | 'cardKey' | 'parallelKey' | 'variantKey'>;
// Keys hold no blanks.
const versionOf = ({ releaseId, cardKey, parallelKey, variantKey }: Version) =>
	`${releaseId} ${cardKey} ${parallelKey ?? ''} ${variantKey ?? ''}`;

/** Homeless cards of some releases, dealt to the sets they belong to. */
export async function looseCards(
	db: Reader,
	keeping: Keeping,
	releaseIds: readonly ReleaseId[]
): Promise<readonly LooseCards[]> {
	const free = await homelessCopies(db, keeping, { releases: releaseIds });
	const ids = [...new Set(free.map(({ releaseId }) => releaseId))];
	const headOf = await readHeads(db, ids);
	const placedIn = await placedVersions(db, ids);
	const setsOf = await setsBuilt(db);
	const copyOf = new Map(free.map((copy) => [copy.id, copy]));
	return groups(
		free,
		({ use }) => use,
		({ releaseId }) => releaseId
	).flatMap(([use, byRelease]) =>
		byRelease.flatMap(([releaseId, copies]): LooseCards[] => {
			const { key: release, year } = headOf(releaseId);
			if (keeping.isKeptApart(use)) {
				const run = runForUse(true, { release, section: null, parallel: null, set: 1 });
				return copies.map((copy) => ({ copy, quantity: copy.free, run, year }));
			}
			const loose = copies.map((copy) => ({
				copyId: copy.id,
				version: versionOf(copy),
				quantity: copy.free,
				rank: copy.rank
			}));
			return dealSets(loose, placedIn(use), setsOf(releaseId).sets).map(
				({ copyId, quantity, set }) => {
					const copy = copyOf.get(copyId);
					if (!copy) throw new RangeError(`looseCards: no copy ${copyId}`);
					const { sectionKey: section, parallelKey: parallel } = copy;
					return {
						copy,
						quantity,
						run: runForUse(false, { release, section, parallel, set }),
						year
					};
				}
			);
		})
	);
}

/** Releases read at a time; others are answered in between. */
const RELEASES_A_CHUNK = 20;

/** The same release by release, so that nobody waits for all of a large collection. */
export async function looseCardsInTurn(
	db: Reader,
	keeping: Keeping,
	releaseIds: readonly ReleaseId[]
): Promise<readonly LooseCards[]> {
	const found: (readonly LooseCards[])[] = [];
	for (const some of chunks(releaseIds, RELEASES_A_CHUNK)) {
		found.push(await looseCards(db, keeping, some));
		await setImmediate();
	}
	return found.flat();
}

async function readHeads(db: Reader, ids: readonly ReleaseId[]) {
	const rows: { id: ReleaseId; key: string; year: string }[] = [];
	for (const some of chunks(ids, 500)) {
		rows.push(
			...(await db
				.select({ id: releases.id, key: releases.key, year: releases.year })
				.from(releases)
				.where(inArray(releases.id, [...some])))
		);
	}
	const known = new Map(rows.map((row) => [row.id, row]));
	return (id: ReleaseId) => {
		const head = known.get(id);
		if (!head) throw new RangeError(`readHeads: no release ${id}`);
		return head;
	};
}

/**
 * How many of each version stand in boxes of a use; of sets also what lies in binders. What is kept apart
 * from sets fills none of them on the shelf.
 */
async function placedVersions(
	db: Reader,
	releaseIds: readonly ReleaseId[]
): Promise<(use: BoxUse) => ReadonlyMap<string, number>> {
	type Placed = Version & { readonly use: BoxUse; readonly placed: number };
	const rows: Placed[] = [];
	for (const ids of chunks(releaseIds, 500)) {
		// `cross join` holds SQLite to this order: from the copies of these releases to what stands.
		const placed = (from: string) => sql`
			select c.release_id as "releaseId", c.card_key as "cardKey", c.parallel_key as "parallelKey",
				c.variant_key as "variantKey", ${sql.raw(from)}
				where ${inArray(sql`c.release_id`, [...ids])} group by 1, 2, 3, 4, 5`;
		rows.push(
			...(await db.all<Placed>(
				placed(`x.use as use, sum(b.quantity) as placed from copies c
					cross join box_cards b on b.copy_id = c.id cross join dividers d on d.id = b.divider_id
					cross join boxes x on x.id = d.box_id`)
			)),
			...(await db.all<Placed>(
				placed(`'sets' as use, count(*) as placed from copies c
					cross join binder_pockets p on p.copy_id = c.id`)
			))
		);
	}
	const byUse = rollup(
		rows,
		(same) => same.reduce((sum, { placed }) => sum + placed, 0),
		({ use }) => use,
		versionOf
	);
	return (use) => byUse.get(use) ?? new Map<string, number>();
}
