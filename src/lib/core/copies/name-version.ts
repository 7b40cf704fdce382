import { cardsOf, type Release } from '../checklist/release.ts';
import { withCollectibles } from '../checklist/with-collectibles.ts';
import { parseVersionKey } from '../checklist/versions/version-key.ts';

/** A version as people call it: "27, Verdigris, home town". */
export function nameVersion(release: Release, version: string): string {
	return versionNamer(release)(version).name;
}

/** Names version after version of a release; `title` is the card's, which its name may begin with. */
export function versionNamer(
	release: Release
): (version: string) => { readonly name: string; readonly title: string } {
	const cards = new Map(cardsOf(withCollectibles(release)).map(({ card }) => [card.key, card]));
	const parallels = new Map(release.parallels.map(({ key, name }) => [key, name]));
	const variants = new Map(release.variants.map(({ key, name }) => [key, name]));
	return (version) => {
		const key = parseVersionKey(version);
		const card = cards.get(key?.card ?? '');
		const name = [
			card?.number ?? card?.title ?? key?.card ?? version,
			parallels.get(key?.parallel ?? ''),
			variants.get(key?.variant ?? '')
		];
		return { name: name.filter(Boolean).join(', '), title: card?.title ?? '' };
	};
}
