import { sum } from 'd3-array';
import { cardsIn, freshIn, type OpenedPile } from './opened-pile.ts';

/** How an opening went, pile after pile. */
export interface NewCardPoint {
	/** Packs opened so far, their cards, and the new ones among them. */
	readonly packs: number;
	readonly cards: number;
	readonly fresh: number;
	/** New cards a pack, over the last packs. */
	readonly freshAPack: number;
	/** What a new card cost, over the last packs, in minor units; null: no new one came, or no price is known. */
	readonly costPerNewMinor: number | null;
}

/** Packs over which it is averaged, as far as there are so many. */
const LAST_PACKS = 12;

/**
 * What a new card costs, as it falls off: the more is here, the fewer cards of a pack are new. Each point looks back over the
 * last dozen packs, or the last pile where that is larger.
 *
 * @param packMinor what a pack cost; null: nobody knows
 */
export function costPerNew(
	piles: readonly OpenedPile[],
	packMinor: number | null
): readonly NewCardPoint[] {
	let [packs, cards, fresh] = [0, 0, 0];
	return piles.map((pile, i): NewCardPoint => {
		packs += pile.packs;
		cards += cardsIn(pile.pulls);
		fresh += freshIn(pile.pulls);
		let from = i;
		let back = pile.packs;
		for (; from > 0 && back + (piles[from - 1]?.packs ?? 0) <= LAST_PACKS; from--) {
			back += piles[from - 1]?.packs ?? 0;
		}
		const lately = sum(piles.slice(from, i + 1), ({ pulls }) => freshIn(pulls));
		return {
			...{ packs, cards, fresh },
			freshAPack: back === 0 ? 0 : lately / back,
			costPerNewMinor: packMinor === null || lately === 0 ? null : (packMinor * back) / lately
		};
	});
}
