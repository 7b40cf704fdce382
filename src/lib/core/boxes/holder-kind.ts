/** What a single card is kept in. */
export interface HolderKind {
	readonly key: string;
	readonly name: string;
	/** The thickest card, sleeved, that it takes, in points; a sleeve takes any. */
	readonly takesPt: number;
	/** What it adds to a card's thickness, in micrometres, and to its weight, in grams. */
	readonly addsUm: number;
	readonly addsG: number;
}

/** ● Top loaders by thickness: 35, 55, 75, 100, 130, 180 pt. Common practice, no source. */
const TOP_LOADER_PT = [35, 55, 75, 100, 130, 180] as const;

/** Thickness and weight of holders are assumptions of ours. */
export const HOLDER_KINDS: readonly HolderKind[] = [
	{ key: 'sleeve', name: 'Sleeve', takesPt: 360, addsUm: 100, addsG: 0.3 },
	...TOP_LOADER_PT.map((pt) => ({
		key: `top-loader-${pt}`,
		name: `Top loader, ${pt} pt`,
		takesPt: pt,
		// Two walls of half a millimetre around a slot of that width, which a card does not fill.
		addsUm: 1000,
		addsG: 9
	})),
	...TOP_LOADER_PT.map((pt) => ({
		key: `magnetic-${pt}`,
		name: `Magnetic case, ${pt} pt`,
		takesPt: pt,
		addsUm: 9000,
		addsG: 75
	})),
	// What a grading house puts a card into.
	{ key: 'slab', name: 'Graded holder', takesPt: 180, addsUm: 6000, addsG: 40 }
];

export const HOLDER_KEYS = HOLDER_KINDS.map(({ key }) => key);

/** @throws RangeError for an unknown key */
export function holderKindOf(key: string): HolderKind {
	const found = HOLDER_KINDS.find((known) => known.key === key);
	if (!found) throw new RangeError(`holderKindOf: no holder "${key}"`);
	return found;
}
