import { versionMaker } from './expand.ts';
import { numberingsOf } from './numbering.ts';
import type { Release } from './release.ts';
import { parseVersionKey } from './version-key.ts';

/**
 * The run stamped on a version ("48/75"): what a serial number is held against. Null where it is not
 * numbered, or its run is but an estimate; undefined where there is no such version.
 */
export function printRunOf(release: Release, version: string): number | null | undefined {
	const name = parseVersionKey(version);
	const versionsOf = versionMaker(release);
	for (const { key, cards } of numberingsOf(release)) {
		const found = cards.find(({ card }) => card.key === name?.card);
		if (!found) continue;
		return versionsOf(key, found.section, found.card).find((made) => made.key === version)
			?.printRun;
	}
	return undefined;
}
