import { isNamed } from '../card-selector.ts';
import { wholeSections } from '../edition.ts';
import { cardsOf, type Release } from '../release.ts';
import { variantsOf } from '../variant.ts';
import { formatVersionKey } from './version-key.ts';

/** The tiles that one card may hide, with what is owned of each, and what a full set of them earns. */
export interface PieceSet {
	readonly cardKey: string;
	/** In the order in which they are recorded. */
	readonly pieces: readonly {
		readonly variantKey: string;
		readonly version: string;
		readonly owned: number;
	}[];
	/** How many full sets the owned tiles make: the fewest of any tile. */
	readonly fullSets: number;
	/** Key of the card that a full set earns; null where none is told. */
	readonly prize: string | null;
}

/**
 * The tiles of every card that hides one, in checklist order. A card whose tiles are not recorded has
 * no set. A tile is a version like others: what is owned of it is counted in base finish.
 */
export function pieceSets(
	release: Release,
	owned: ReadonlyMap<string, number>
): readonly PieceSet[] {
	const tiles = release.variants.filter(({ kind }) => kind === 'piece');
	if (tiles.length === 0) return [];
	const cards = wholeSections(release).flatMap((section) => section.cards);
	return cardsOf(release).flatMap(({ section, card }) => {
		const tileKinds = variantsOf(tiles, section, card);
		if (tileKinds.length === 0) return [];
		const pieces = tileKinds.map(({ key }) => {
			const version = formatVersionKey({
				release: release.key,
				card: card.key,
				parallel: null,
				variant: key
			});
			return { variantKey: key, version, owned: owned.get(version) ?? 0 };
		});
		const earns = tileKinds.find((tile) => tile.earns !== undefined)?.earns;
		const prize =
			earns === undefined ? undefined : cards.find((candidate) => isNamed(candidate, earns));
		return {
			cardKey: card.key,
			pieces,
			fullSets: pieces.reduce((least, piece) => Math.min(least, piece.owned), Infinity),
			prize: prize?.key ?? null
		};
	});
}
