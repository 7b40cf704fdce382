import { versionMaker, type Version } from './expand.ts';
import { numberingsOf } from '../numbering.ts';
import type { Release } from '../release.ts';
import { parseVersionKey } from './version-key.ts';

/** The version of a release that bears a key; null where the rules make none. Its card alone is expanded. */
export function findVersion(release: Release, key: string): Version | null {
	const name = parseVersionKey(key);
	const versionsOf = versionMaker(release);
	for (const { key: numbering, cards } of numberingsOf(release)) {
		const found = cards.find(({ card }) => card.key === name?.card);
		if (!found) continue;
		const made = versionsOf(numbering, found.section, found.card);
		return made.find((version) => version.key === key) ?? null;
	}
	return null;
}
