import { eq, inArray } from 'drizzle-orm';
import { parseVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { mixedSets } from '../../../core/storage/sorting/mixed-sets.ts';
import type { MixedSet } from '../../../core/storage/sorting/plan-mixed-sorting.ts';
import type { findPile } from '../../copies/trays.ts';
import type { Reader } from '../../database/open.ts';
import { pileCards, releases } from '../../database/tables/index.ts';
import { loadReleases } from '../../releases/load-release.ts';

type Pile = NonNullable<Awaited<ReturnType<typeof findPile>>>;

/** Keys of the versions that lie on a pile, as often as there are cards; drawn ones, where none came off yet. */
export async function versionsOnPile(
	db: Reader,
	{ toSort, toLog }: Pile
): Promise<readonly string[]> {
	if (toSort === null) return toLog?.drawn ?? [];
	const rows = await db
		.select({ version: pileCards.version })
		.from(pileCards)
		.where(eq(pileCards.pileId, toSort.id));
	return rows.map(({ version }) => version);
}

/** The sets of a mixed pile. */
export async function mixedSetsOf(
	db: Reader,
	versions: readonly string[]
): Promise<readonly MixedSet[]> {
	const keys = [...new Set(versions.map((version) => parseVersionKey(version)?.release ?? ''))];
	const rows = await db
		.select({ id: releases.id })
		.from(releases)
		.where(inArray(releases.key, keys));
	const stored = await loadReleases(
		db,
		rows.map(({ id }) => id)
	);
	return mixedSets(
		stored.map(({ release }) => release),
		versions
	);
}
