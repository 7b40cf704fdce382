import { sum } from 'd3-array';

/** An intact panel and the singles it can be parted into, as prices in minor units; null: not known. */
export interface PanelPrices {
	readonly key: string;
	readonly intactMinor: number | null;
	readonly singlesMinor: readonly (number | null)[];
}

export interface PanelWorth {
	readonly key: string;
	readonly intactMinor: number | null;
	/** Of the singles that have a price. */
	readonly singlesMinor: number;
	readonly unpriced: number;
	/** `cannot tell`: a price is missing that could change it. */
	readonly dearer: 'intact' | 'singles' | 'the same' | 'cannot tell';
	/** How much dearer, in minor units; null: that cannot be told. */
	readonly byMinor: number | null;
}

/**
 * Whether a panel is worth more intact or as its singles. Parted it can't be put together again.
 *
 * @example panelWorth({ key: '1-1', intactMinor: 900, singlesMinor: [300, 400] }).dearer // 'intact'
 */
export function panelWorth({ key, intactMinor, singlesMinor }: PanelPrices): PanelWorth {
	const known = sum(singlesMinor, (minor) => minor ?? 0);
	const unpriced = singlesMinor.filter((minor) => minor === null).length;
	const found = { key, intactMinor, singlesMinor: known, unpriced };
	// With a single unpriced, only the singles can be told to be dearer: they are dearer still.
	if (intactMinor === null || (unpriced > 0 && known <= intactMinor)) {
		return { ...found, dearer: 'cannot tell', byMinor: null };
	}
	const byMinor = Math.abs(known - intactMinor);
	const dearer = byMinor === 0 ? 'the same' : known > intactMinor ? 'singles' : 'intact';
	return { ...found, dearer, byMinor: unpriced > 0 ? null : byMinor };
}
