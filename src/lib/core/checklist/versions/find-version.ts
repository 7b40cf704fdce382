import type { Card } from '../card.ts';
import { numberingsOf } from '../numbering.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import { withCollectibles } from '../with-collectibles.ts';
import { versionMaker, type Version } from './expand.ts';
import { parseVersionKey } from './version-key.ts';

/** A version with the card that it is of. */
export interface FoundVersion {
	readonly version: Version;
	readonly section: Section;
	readonly card: Card;
}

/**
 * Finds versions of a release by their keys, with their cards, what is collected beside them too; null where the
 * rules make none. Only cards asked for are expanded.
 */
export function cardFinder(release: Release): (key: string) => FoundVersion | null {
	const versionsOf = versionMaker(release);
	const cards = new Map(
		numberingsOf(withCollectibles(release)).flatMap((numbering) =>
			numbering.cards.map((placed) => [placed.card.key, { ...placed, numbering: numbering.key }])
		)
	);
	return (key) => {
		const found = cards.get(parseVersionKey(key)?.card ?? '');
		if (!found) return null;
		const { section, card, numbering } = found;
		const version = versionsOf(numbering, section, card).find((made) => made.key === key);
		return version ? { version, section, card } : null;
	};
}

/** The version of a release that bears a key; null where the rules make none. */
export function findVersion(release: Release, key: string): Version | null {
	return cardFinder(release)(key)?.version ?? null;
}
