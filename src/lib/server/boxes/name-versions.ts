import { inArray } from 'drizzle-orm';
import { nameVersion } from '../../core/checklist/name-version.ts';
import { cardsOf } from '../../core/checklist/release.ts';
import { parseVersionKey } from '../../core/checklist/version-key.ts';
import type { Reader } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';
import { loadReleases } from '../releases/load-release.ts';

/** Versions as people call them, with their release: for a few of them. */
export async function nameVersions(
	db: Reader,
	versions: readonly string[]
): Promise<ReadonlyMap<string, { readonly card: string; readonly release: string }>> {
	const keys = [...new Set(versions.flatMap((version) => parseVersionKey(version)?.release ?? []))];
	const heads = await db
		.select({ id: releases.id })
		.from(releases)
		.where(inArray(releases.key, keys));
	const stored = await loadReleases(
		db,
		heads.map(({ id }) => id)
	);
	const known = new Map(stored.map(({ release }) => [release.key, release]));
	return new Map(
		versions.flatMap((version) => {
			const name = parseVersionKey(version);
			const release = known.get(name?.release ?? '');
			if (!release) return [];
			const title = cardsOf(release).find(({ card }) => card.key === name?.card)?.card.title ?? '';
			const card = nameVersion(release, version);
			return [
				[
					version,
					{ card: card.startsWith(title) ? card : `${card} ${title}`, release: release.name }
				] as const
			];
		})
	);
}
