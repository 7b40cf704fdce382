import { repeatedBy, wholeSections } from './edition.ts';
import { cardsOf, type Release } from './release.ts';

/** A card that is easily taken for another, or shows the same. */
export interface LookAlike {
	readonly release: string;
	readonly card: string;
	readonly why: 'cannot be told apart' | 'same picture' | 're-issue' | 'first issue';
}

/**
 * For each card of some releases ("release/card") those that are like it: recorded as the same or with the same
 * picture, by either of the two, and the cards that an edition repeats beside their re-issues.
 */
export function lookAlikes(
	releases: readonly Release[]
): ReadonlyMap<string, readonly LookAlike[]> {
	const found = new Map<string, LookAlike[]>();
	const add = (of: string, alike: LookAlike) => {
		const known = found.get(of) ?? [];
		const isKnown = known.some(
			({ release, card }) => release === alike.release && card === alike.card
		);
		if (!isKnown && of !== `${alike.release}/${alike.card}`) found.set(of, [...known, alike]);
	};
	const both = (of: string, name: string, why: LookAlike['why']) => {
		for (const [a, b] of [
			[of, name],
			[name, of]
		] as const) {
			const [, release, card] = /^([^/]+)\/(.+)$/.exec(b) ?? [];
			if (release !== undefined && card !== undefined) add(a, { release, card, why });
		}
	};
	for (const release of releases) {
		for (const { card } of cardsOf(release)) {
			const of = `${release.key}/${card.key}`;
			for (const name of card.sameAs ?? []) both(of, name, 'cannot be told apart');
			for (const name of card.samePictureAs ?? []) both(of, name, 'same picture');
		}
		for (const section of wholeSections(release)) {
			if (!section.edition) continue;
			const stored = release.sections.find(({ key }) => key === section.key) ?? section;
			for (const { original, card } of repeatedBy(release, stored, section.edition)) {
				add(`${release.key}/${original.key}`, {
					release: release.key,
					card: card.key,
					why: 're-issue'
				});
				add(`${release.key}/${card.key}`, {
					release: release.key,
					card: original.key,
					why: 'first issue'
				});
			}
		}
	}
	return found;
}
