import type { Card } from './card.ts';
import type { Parallel } from './parallel.ts';
import { wholeSections } from './edition.ts';
import type { Section } from './section.ts';
import type { Variant } from './variant.ts';
import type { Collectible, Hunt } from './beside-cards.ts';

/** So many packs of a kind, in a format that shops sell. */
export interface PackCount {
	/** Key of the pack type. */
	readonly packType: string;
	readonly count: number;
}

/** So many cards of some sections (in their base finish) and parallels in every box, each in another pack. */
export interface PackGuarantee {
	readonly count: number;
	/** Keys; any of these, or of the parallels. */
	readonly sections?: readonly string[];
	readonly parallels?: readonly string[];
}

/** A kind of pack: what a box and a pack hold. The price is of one pack, in minor units of its currency. */
export interface PackType {
	readonly key: string;
	readonly name: string;
	readonly packsPerBox?: number;
	readonly boxesPerCase?: number;
	readonly cardsPerPack?: number;
	/** What it is: wrapper, blister, tin. */
	readonly form?: string;
	/** A format made of packs of other kinds: two ordinary and a bonus pack. */
	readonly packs?: readonly PackCount[];
	/** What every box holds for certain: two inserts, a signed card. */
	readonly guarantees?: readonly PackGuarantee[];
	readonly priceMinor?: number;
	/** ISO 4217 */
	readonly currency?: string;
}

/** The packs in one of a kind: itself, or those that a format is made of. */
export const packsInside = ({
	key,
	packs
}: Pick<PackType, 'key' | 'packs'>): readonly PackCount[] => packs ?? [{ packType: key, count: 1 }];

/** One product of one maker in one year or season, with the rules from which its versions follow. */
export interface Release {
	readonly key: string;
	readonly name: string;
	readonly maker: string;
	/** "1994" or "1994-95" */
	readonly year: string;
	/** Sport, film, game: what boxes may be ordered by. */
	readonly theme?: string;
	readonly note?: string;
	/** Wrappers, boxes, posters, albums, books: collected beside the cards, in no goal of cards. */
	readonly collectibles?: readonly Collectible[];
	/** Things suspected to exist, to be looked for. */
	readonly hunts?: readonly Hunt[];
	readonly packTypes: readonly PackType[];
	/** Rarity classes in the order in which they are filed; empty where there are none. */
	readonly rarities: readonly string[];
	readonly sections: readonly Section[];
	readonly parallels: readonly Parallel[];
	readonly variants: readonly Variant[];
}

/** All cards of a release, editions included, with the section of each, in checklist order. */
export function cardsOf(
	release: Release
): readonly { readonly section: Section; readonly card: Card }[] {
	return wholeSections(release).flatMap((section) =>
		section.cards.map((card) => ({ section, card }))
	);
}
