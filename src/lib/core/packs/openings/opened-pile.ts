import { rollup, sum } from 'd3-array';

/** So many copies of a version that came out of packs. */
export interface Pull {
	/** Version key. */
	readonly version: string;
	readonly quantity: number;
	/** Of them so many were the first of their version, as things stood then. */
	readonly fresh: number;
}

/** What some packs of an opening held, by the pack or by the box; in the order in which they were opened. */
export interface OpenedPile {
	readonly packs: number;
	readonly pulls: readonly Pull[];
}

/** How many copies of each version came. */
export const copiesOf = (piles: readonly OpenedPile[]): ReadonlyMap<string, number> =>
	rollup(
		piles.flatMap(({ pulls }) => pulls),
		(same) => sum(same, ({ quantity }) => quantity),
		({ version }) => version
	);

export const cardsIn = (pulls: readonly Pull[]): number => sum(pulls, ({ quantity }) => quantity);
export const freshIn = (pulls: readonly Pull[]): number => sum(pulls, ({ fresh }) => fresh);

/**
 * Counts which copies of a pile are the first of their version.
 *
 * @param owned copies that were here before
 */
export function pullsOf(
	additions: readonly { readonly version: string; readonly quantity: number }[],
	owned: ReadonlyMap<string, number>
): readonly Pull[] {
	return [
		...rollup(
			additions,
			(same) => sum(same, ({ quantity }) => quantity),
			({ version }) => version
		)
	].map(([version, quantity]) => ({
		...{ version, quantity },
		fresh: (owned.get(version) ?? 0) <= 0 && quantity > 0 ? 1 : 0
	}));
}
