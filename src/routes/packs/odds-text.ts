import type { PackWay } from '$lib/core/packs/profile/pack-profile';

/** How cards come in packs, in words: "9 a pack", "1:6", "2 in 48". */
export const oddsText = (comes: PackWay): string =>
	comes.sort === 'count'
		? `${comes.count} a pack`
		: comes.cards === 1
			? `1:${comes.packs}`
			: `${comes.cards} in ${comes.packs}`;
