import { and, inArray, ne, sql, type SQL } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { withAskedCollectibles } from '../../core/goal/with-asked-collectibles.ts';
import { resolveRules, spansAll, type GoalChoice } from '../../core/goal/goal-rules.ts';
import type { Reader } from '../database/open.ts';
import { cards, releases, sections } from '../database/tables/index.ts';
import { cardsOfSubject } from '../releases/read-subject.ts';
import { loadReleases, type StoredRelease } from '../releases/load-release.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** What of a goal tells which releases it goes over. */
export interface GoalPlace {
	/** The release it was made in; a goal across releases has one as its home, too. */
	readonly releaseId: ReleaseId;
	readonly rules: GoalChoice;
}

/** Ids of the releases that a goal goes over, its home first. */
export async function releasesOf(
	db: Reader,
	{ releaseId, rules }: GoalPlace
): Promise<readonly ReleaseId[]> {
	const resolved = resolveRules(rules);
	if (spansAll(resolved)) {
		const { subject, group } = resolved;
		const shows: SQL[] = [
			...(subject === undefined ? [] : [inArray(cards.id, cardsOfSubject(db, subject))]),
			...(group === undefined ? [] : [sql`${cards.group} = ${group}`])
		];
		const rows = await db
			.selectDistinct({ id: cards.releaseId })
			.from(cards)
			.where(and(...shows))
			.orderBy(cards.releaseId);
		return rows.map(({ id }) => id);
	}
	const named = resolved.releases;
	if (named.length === 0) return [releaseId];
	const rows = await db
		.select({ id: releases.id })
		.from(releases)
		.where(inArray(releases.key, [...named]))
		.orderBy(releases.id);
	return [...new Set([releaseId, ...rows.map(({ id }) => id)])];
}

/** Ids of releases with sections that count in one of these as well, with the keys of those sections. */
async function sharedWith(
	db: Reader,
	loaded: readonly StoredRelease[]
): Promise<ReadonlyMap<ReleaseId, readonly string[]>> {
	const shared = new Map<ReleaseId, string[]>();
	const ids = loaded.map(({ id }) => id);
	const keys = new Set(loaded.map(({ release }) => release.key));
	const rows = await db
		.select({ releaseId: sections.releaseId, key: sections.key, alsoIn: sections.alsoIn })
		.from(sections)
		.where(ne(sections.alsoIn, []));
	for (const { releaseId, key, alsoIn } of rows) {
		if (ids.includes(releaseId) || !alsoIn.some((other) => keys.has(other))) continue;
		shared.set(releaseId, [...(shared.get(releaseId) ?? []), key]);
	}
	return shared;
}

/**
 * The releases that a goal goes over, with what it asks for beside the cards; one that only shares a section with
 * them is cut down to that.
 */
export interface GoalReleases {
	readonly releases: readonly Release[];
	readonly ids: readonly ReleaseId[];
}

/** Loads them, each by `load`, which may remember what it loaded before. */
export async function loadGoalReleases(
	db: Reader,
	place: GoalPlace,
	load: (ids: readonly ReleaseId[]) => Promise<readonly StoredRelease[]> = (ids) =>
		loadReleases(db, ids)
): Promise<GoalReleases> {
	const ids = await releasesOf(db, place);
	const rules = resolveRules(place.rules);
	const loaded = await load(ids);
	const shared = await sharedWith(db, loaded);
	const guests = (await load([...shared.keys()])).map(({ id, release }) =>
		onlySections(release, shared.get(id) ?? [])
	);
	return {
		releases: [...loaded.map(({ release }) => withAskedCollectibles(release, rules)), ...guests],
		ids: [...ids, ...shared.keys()]
	};
}

/** A release cut down to some of its sections. */
function onlySections(release: Release, keys: readonly string[]): Release {
	return { ...release, sections: release.sections.filter(({ key }) => keys.includes(key)) };
}
