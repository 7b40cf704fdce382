import { inArray } from 'drizzle-orm';
import { versionNamer } from '../../core/copies/name-version.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { Reader } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';
import { loadReleases } from './load-release.ts';

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
	const known = new Map(
		stored.map(({ release }) => [
			release.key,
			{ name: release.name, nameOf: versionNamer(release) }
		])
	);
	return new Map(
		versions.flatMap((version) => {
			const release = known.get(parseVersionKey(version)?.release ?? '');
			if (!release) return [];
			const { name, title } = release.nameOf(version);
			const card = name.startsWith(title) ? name : `${name} ${title}`;
			return [[version, { card, release: release.name }] as const];
		})
	);
}
