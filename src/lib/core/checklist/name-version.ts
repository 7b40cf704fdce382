import { cardsOf, type Release } from './release.ts';
import { parseVersionKey } from './version-key.ts';

/** A version as people call it: "27, Verdigris, home town". */
export function nameVersion(release: Release, version: string): string {
	const name = parseVersionKey(version);
	const card = cardsOf(release).find((found) => found.card.key === name?.card)?.card;
	return [
		card?.number ?? card?.title ?? name?.card ?? version,
		release.parallels.find(({ key }) => key === name?.parallel)?.name,
		release.variants.find(({ key }) => key === name?.variant)?.name
	]
		.filter(Boolean)
		.join(', ');
}
