import { numberingsOf } from '../../checklist/numbering.ts';
import type { Release } from '../../checklist/release.ts';
import { parseVersionKey } from '../../checklist/versions/version-key.ts';
import { thicknessFinder } from '../room/copy-thickness.ts';
import type { MixedSet } from './plan-mixed-sorting.ts';

/** From here on a card is thick: it makes a row uneven. An assumption of ours, twice the usual thin stock. */
export const THICK_PT = 35;

/**
 * The sets that cards of a mixed pile are of, one a numbering of a release; what no release has is left out.
 *
 * @param versions keys, as often as there are cards
 */
export function mixedSets(
	releases: readonly Release[],
	versions: readonly string[]
): readonly MixedSet[] {
	const sets = new Map<string, MixedSet>();
	for (const release of releases) {
		const thickness = thicknessFinder(release);
		const numberings = numberingsOf(release);
		const numberingOf = new Map(
			numberings.flatMap((numbering) =>
				numbering.cards.map(({ card }) => [card.key, numbering] as const)
			)
		);
		for (const version of versions) {
			const name = parseVersionKey(version);
			const numbering = numberingOf.get(name?.card ?? '');
			if (name?.release !== release.key || !numbering) continue;
			const key = `${release.key}/${numbering.key}`;
			const known = sets.get(key);
			const isThick = (thickness({ version })?.stockPt ?? 0) >= THICK_PT;
			sets.set(key, {
				key,
				maker: release.maker,
				year: release.year,
				name: `${release.name}: ${numbering.name}`,
				cards: (known?.cards ?? 0) + 1,
				thick: (known?.thick ?? 0) + (isThick ? 1 : 0),
				entries: numbering.cards.length,
				isNumbered: numbering.cards.some(({ card }) => card.number !== null)
			});
		}
	}
	return [...sets.values()];
}
