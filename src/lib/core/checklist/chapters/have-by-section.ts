import { wholeSections } from '../edition.ts';
import type { Release } from '../release.ts';
import { parseVersionKey } from '../versions/version-key.ts';

/** Of how many cards of each section a copy is there, in whatever version; by key of the section. */
export function haveBySection(
	release: Release,
	ownedKeys: Iterable<string>
): ReadonlyMap<string, number> {
	const owned = new Set<string>();
	for (const text of ownedKeys) {
		const key = parseVersionKey(text);
		if (key?.release === release.key) owned.add(key.card);
	}
	return new Map(
		wholeSections(release).map(({ key, cards }) => [
			key,
			cards.filter((card) => owned.has(card.key)).length
		])
	);
}
