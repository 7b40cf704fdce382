import type { PackClass, PackGroup, PackProfile, PackWay } from './pack-profile.ts';

/** So many different cards a pack, or singly drawn ones. */
export const each = (count: number, isAllDifferent = true): PackWay => ({
	...{ sort: 'count', count, isAllDifferent }
});
/** 1:6 is `odds(6)`. */
export const odds = (packs: number, cards = 1): PackWay => ({ sort: 'odds', cards, packs });

/** A group of equal cards of which all are lacking once, or of the classes that are said. */
export const group = (
	key: string,
	cards: number | readonly PackClass[],
	comes: PackWay,
	more: Pick<PackGroup, 'slot' | 'takesPlaceOf'> = {}
): PackGroup => ({
	...{ key, comes },
	classes: typeof cards === 'number' ? [{ cards, weight: 1, lacking: 1 }] : cards,
	...more
});

export const profileOf = (
	groups: readonly PackGroup[],
	more: Partial<PackProfile> = {}
): PackProfile => ({
	...{ groups, guarantees: [], packsPerBox: null, cardsPerPack: null },
	...more
});
