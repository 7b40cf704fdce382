import type { BuildPart } from './build-to-sell.ts';
import { MOST_BUILT } from './part-line.ts';

/** A card of the set that is to be built. */
export interface SetCard {
	/** "201 Mara Tideway" */
	readonly name: string;
	readonly isKey: boolean;
	/** What it is worth, in minor units; null: no price is known. */
	readonly eachMinor: number | null;
}

/** Key cards that become a part each; the others go with the commons. */
const MOST_KEYS = 40;

/**
 * The parts of a set to begin with: each key card by itself (● they are priced first), all others as one part at what their
 * known prices come to. A key card without a price is offered nowhere, so that the plan says that it must be priced.
 */
export function suggestParts(cards: readonly SetCard[]): readonly BuildPart[] {
	if (cards.length === 0) return [];
	const keys = cards
		.filter(({ isKey }) => isKey)
		.sort((a, b) => (b.eachMinor ?? Infinity) - (a.eachMinor ?? Infinity))
		.slice(0, MOST_KEYS);
	const names = new Set(keys.map(({ name }) => name));
	const others = cards.filter(({ name }) => !names.has(name));
	const known = others.flatMap(({ eachMinor }) => eachMinor ?? []);
	const othersMinor = known.reduce((sum, each) => sum + each, 0);
	const single = (priceMinor: number) => [
		{ key: '1', priceMinor, feedsSets: 1, available: MOST_BUILT, hours: 0 }
	];
	return [
		...keys.map(({ name, eachMinor }): BuildPart => ({
			...{ key: name, isKey: true, valueMinor: eachMinor },
			offers: eachMinor === null ? [] : single(eachMinor)
		})),
		...(others.length === 0
			? []
			: [
					{
						...{
							key: `${keys.length === 0 ? 'All' : 'The other'} ${others.length} cards`,
							isKey: false
						},
						valueMinor: known.length === 0 ? null : othersMinor,
						offers: known.length === 0 ? [] : single(othersMinor)
					}
				])
	];
}
