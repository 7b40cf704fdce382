import { desc, inArray, like, sql, type SQL } from 'drizzle-orm';
import { formatVersionKey, parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { Release } from '../../core/checklist/release.ts';
import type { StackSlot } from '../../core/goal/judge-card.ts';
import { dearest, type KnownWorth } from '../../core/pile/next-pile.ts';
import type { ReleaseId } from '../../core/row-id.ts';
import { USUAL_CURRENCY } from '../places/holder-tiers.ts';
import { readJoined } from '../database/read-joined.ts';
import type { Reader } from '../database/open.ts';
import { copies, goals, releases } from '../database/tables/index.ts';
import { stackSlots } from '../goals/stack-slots.ts';
import { findRelease, loadReleases } from '../releases/load-release.ts';
import { searchReleases } from '../search/search.ts';
import { wantedByFriends } from './friend-lists.ts';

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
	const keys = (await searchReleases(db, text)).filter((key) => !known.includes(key));
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
	const { owned, valued } = await readOwned(db, stored);
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

/** How many copies there are of each version, and what they are valued at, money by money. */
async function readOwned(
	db: Reader,
	stored: readonly { readonly id: ReleaseId; readonly release: Pick<Release, 'key'> }[]
) {
	const keyOf = new Map(stored.map(({ id, release }) => [id, release.key]));
	const rows = await readJoined<{
		readonly id: ReleaseId;
		readonly card: string;
		readonly parallel: string | null;
		readonly variant: string | null;
		readonly currency: string | null;
		readonly count: number;
		readonly valueMinor: number | null;
	}>(
		db,
		{
			id: sql`release_id`,
			card: sql`card_key`,
			parallel: sql`parallel_key`,
			variant: sql`variant_key`,
			currency: sql`currency`,
			count: sql`count`,
			valueMinor: sql`value`
		},
		sql`(select release_id, card_key, parallel_key, variant_key, currency,
			sum(case when status <> 'incoming' then quantity else 0 end) as count, max(value_minor) as value
			from copies where ${inArray(copies.releaseId, [...keyOf.keys()])} group by 1, 2, 3, 4, 5)`
	);
	const owned = new Map<string, number>();
	const valued: (KnownWorth & { readonly version: string })[] = [];
	for (const { id, card, parallel, variant, currency, count, valueMinor } of rows) {
		const version = formatVersionKey({ release: keyOf.get(id) ?? '', card, parallel, variant });
		if (count > 0) owned.set(version, (owned.get(version) ?? 0) + count);
		if (valueMinor !== null) {
			valued.push({ version, valueMinor, currency: currency ?? USUAL_CURRENCY });
		}
	}
	return { owned, valued };
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
