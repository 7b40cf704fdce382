import { desc, inArray, like, sql, type SQL } from 'drizzle-orm';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { Release } from '../../core/checklist/release.ts';
import type { StackSlot } from '../../core/goal/judge-card.ts';
import { dearest, type KnownWorth } from '../../core/pile/next-pile.ts';
import type { ReleaseId } from '../../core/row-id.ts';
import { USUAL_CURRENCY } from '../places/holder-tiers.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import { copies, goals, releases } from '../database/tables/index.ts';
import { stackSlots } from '../goals/stack-slots.ts';
import { findRelease, loadReleases } from '../releases/load-release.ts';
import { search } from '../search/search.ts';
import { wantedByFriends } from './friend-wants.ts';

/** Releases that cards of a pile may be of, with what they are judged by. */
export interface PileView {
	readonly releases: readonly Release[];
	/** Version key → copies. */
	readonly owned: readonly (readonly [string, number])[];
	/** Version key → what its dearest copy is valued at. */
	readonly worth: readonly (readonly [string, KnownWorth])[];
	/** Version key → friends who want it. */
	readonly wantedBy: readonly (readonly [string, readonly string[]])[];
	readonly slots: readonly StackSlot[];
}

/** Releases that are tried at first; what is found later joins them. */
const MOST_BEGUN = 8;
/** Releases that one search adds. */
const MOST_FOUND = 4;
/** Of copies logged last: whose releases are likely to come again. */
const LAST_COPIES = 2000;

/** What is known of a whole pile before its first card. */
export interface PileHint {
	readonly year?: string;
	readonly maker?: string;
}

/**
 * The releases a pile begins with: one alone, or those of the cards that lie there already, those logged
 * last, those of goals, and the newest.
 *
 * @param lying keys of the versions that lie there, the last first
 */
export async function beginPile(
	db: Reader,
	only: string | null,
	hint: PileHint,
	lying: readonly string[] = []
): Promise<PileView> {
	const id = only === null ? null : await findRelease(db, only);
	if (id !== null) return readPile(db, [id]);
	const keys = [...new Set(lying.map((version) => parseVersionKey(version)?.release ?? ''))];
	const lyingOf = (
		await db
			.select({ id: releases.id, key: releases.key })
			.from(releases)
			.where(inArray(releases.key, keys))
	).sort((a, b) => keys.indexOf(a.key) - keys.indexOf(b.key));
	const within = hintOf(hint);
	const last = await db.all<{ id: ReleaseId }>(
		sql`select release_id as id from (select release_id, id from ${copies} order by id desc limit ${LAST_COPIES})
			group by release_id order by max(id) desc`
	);
	const homes = await db.select({ id: goals.releaseId }).from(goals);
	const newest = await db
		.select({ id: releases.id })
		.from(releases)
		.where(within)
		.orderBy(desc(releases.id))
		.limit(MOST_BEGUN);
	const all = [...new Set([...lyingOf, ...last, ...homes, ...newest].map((row) => row.id))];
	const fitting =
		within === undefined
			? all
			: await keepOrder(
					all,
					db
						.select({ id: releases.id })
						.from(releases)
						.where(sql`${within} and ${inArray(releases.id, all)}`)
				);
	return readPile(db, fitting.slice(0, MOST_BEGUN));
}

/** Releases with cards that a line may mean, of those that the pile does not know yet. */
export async function findForPile(
	db: Reader,
	line: string,
	hint: PileHint,
	known: readonly string[]
): Promise<PileView> {
	const text = [line, hint.year, hint.maker].filter(Boolean).join(' ');
	const found = await search(db, text);
	const keys = [...new Set(found.map(({ releaseKey }) => releaseKey))].filter(
		(key) => !known.includes(key)
	);
	const rows = await db
		.select({ id: releases.id })
		.from(releases)
		.where(inArray(releases.key, keys.slice(0, MOST_FOUND)));
	return readPile(
		db,
		rows.map(({ id }) => id)
	);
}

async function readPile(db: Reader, ids: readonly ReleaseId[]): Promise<PileView> {
	const stored = await loadReleases(db, ids);
	const owned = new Map<string, number>();
	const valued: (KnownWorth & { version: string })[] = [];
	for (const { id } of stored) {
		const here = await readCopies(db, id);
		for (const [version, count] of countOwned(here)) owned.set(version, count);
		for (const { version, valueMinor, currency = USUAL_CURRENCY } of here) {
			if (valueMinor !== undefined) valued.push({ version, valueMinor, currency });
		}
	}
	return {
		releases: stored.map(({ release }) => release),
		owned: [...owned],
		worth: [...dearest(valued)],
		wantedBy: [
			...(await wantedByFriends(
				db,
				stored.map(({ release }) => release.key)
			))
		],
		slots: ids.length === 0 ? [] : await stackSlots(db, ids)
	};
}

/** A year, or the season that begins in it; a part of the maker's name. */
function hintOf({ year, maker }: PileHint): SQL | undefined {
	const parts = [
		...(year ? [like(releases.year, `${year.replace(/[%_]/g, '')}%`)] : []),
		...(maker ? [like(releases.maker, `%${maker.replace(/[%_]/g, '')}%`)] : [])
	];
	return parts.length === 0 ? undefined : sql.join(parts, sql` and `);
}

async function keepOrder(
	ids: readonly ReleaseId[],
	query: Promise<readonly { readonly id: ReleaseId }[]>
): Promise<readonly ReleaseId[]> {
	const kept = new Set((await query).map(({ id }) => id));
	return ids.filter((id) => kept.has(id));
}
