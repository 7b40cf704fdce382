import { STANDARD_CARD } from '../../measuring/card-size.ts';

/** Sorts of holders by what they are worth a card; `graded`: what a grading house puts it into. */
export const HOLDER_SORTS = ['none', 'sleeve', 'top-loader', 'magnetic'] as const;
export type HolderSort = (typeof HOLDER_SORTS)[number];

/** What a single card is kept in. */
export interface HolderKind {
	readonly key: string;
	readonly name: string;
	readonly sort: Exclude<HolderSort, 'none'> | 'graded';
	/** Whether the card lies in no pocket and in no row of its set: it goes to the valuables. */
	readonly isRigid: boolean;
	/** The thickest card that it takes, in points, with its sleeve where it has one. */
	readonly takesPt: number;
	/** ● A top loader takes a card in its sleeve, a case the bare card. Common practice, no source. */
	readonly takes: 'sleeved' | 'bare';
	/** The largest card that goes in, upright or on its side. */
	readonly innerWidthMm: number;
	readonly innerHeightMm: number;
	/** What it adds to a card's thickness, in micrometres, and to its weight, in grams. */
	readonly addsUm: number;
	readonly addsG: number;
}

/** ● Top loaders by thickness: 35, 55, 75, 100, 130, 180 pt. Common practice, no source. */
const TOP_LOADER_PT = [35, 55, 75, 100, 130, 180] as const;

/** Play around a standard card in a holder for one. An assumption of ours. */
export const PLAY_MM = 1;
const STANDARD_INNER = {
	innerWidthMm: STANDARD_CARD.widthMm + PLAY_MM,
	innerHeightMm: STANDARD_CARD.heightMm + PLAY_MM
};

/** Thickness and weight of holders are assumptions of ours. */
export const HOLDER_KINDS: readonly HolderKind[] = [
	{
		key: 'sleeve',
		name: 'Sleeve',
		sort: 'sleeve',
		isRigid: false,
		takesPt: 360,
		takes: 'bare',
		...STANDARD_INNER,
		addsUm: 100,
		addsG: 0.3
	},
	...TOP_LOADER_PT.map((pt): HolderKind => ({
		key: `top-loader-${pt}`,
		name: `Top loader, ${pt} pt`,
		sort: 'top-loader',
		isRigid: true,
		takesPt: pt,
		takes: 'sleeved',
		...STANDARD_INNER,
		// Two walls of half a millimetre around a slot of that width, which a card does not fill.
		addsUm: 1000,
		addsG: 9
	})),
	...TOP_LOADER_PT.map((pt): HolderKind => ({
		key: `magnetic-${pt}`,
		name: `Magnetic case, ${pt} pt`,
		sort: 'magnetic',
		isRigid: true,
		takesPt: pt,
		takes: 'bare',
		...STANDARD_INNER,
		addsUm: 9000,
		addsG: 75
	})),
	// What a grading house puts a card into.
	{
		key: 'slab',
		name: 'Graded holder',
		sort: 'graded',
		isRigid: true,
		takesPt: 180,
		takes: 'bare',
		...STANDARD_INNER,
		addsUm: 6000,
		addsG: 40
	}
];

/** What has to be said of a holder of one's own; the rest follows from its sort. */
export interface HolderDraft extends Omit<HolderKind, 'isRigid' | 'takes' | 'sort'> {
	readonly sort: Exclude<HolderSort, 'none'>;
}

/** A holder of one's own. ● A top loader takes a card in its sleeve, a case the bare card. Common practice, no source. */
export function ownHolder(draft: HolderDraft): HolderKind {
	const { sort } = draft;
	return {
		...draft,
		isRigid: sort !== 'sleeve',
		takes: sort === 'top-loader' ? 'sleeved' : 'bare'
	};
}

export const HOLDER_KEYS = HOLDER_KINDS.map(({ key }) => key);

const byKey = new Map(HOLDER_KINDS.map((kind) => [kind.key, kind]));

/**
 * A holder by its key, among one's own ones first.
 *
 * @throws RangeError for an unknown key
 */
export function holderKindOf(key: string, added: readonly HolderKind[] = []): HolderKind {
	const found = added.find((kind) => kind.key === key) ?? byKey.get(key);
	if (!found) throw new RangeError(`holderKindOf: no holder "${key}"`);
	return found;
}

/** Whether a card with this holder (null: none) lies in no pocket and no row of its set. */
export function isInRigid(holder: string | null, added: readonly HolderKind[] = []): boolean {
	return holder !== null && holderKindOf(holder, added).isRigid;
}
