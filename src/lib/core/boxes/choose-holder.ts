import { STANDARD_CARD } from '../binder/card-fit.ts';
import type { CardFormat } from '../checklist/section.ts';
import { SLEEVE_UM, STANDARD_STOCK_PT, UM_A_PT } from '../measuring/stock.ts';
import { HOLDER_KINDS, type HolderKind } from './holder-kind.ts';

export const HOLDER_SORTS = ['none', 'sleeve', 'top-loader', 'magnetic'] as const;
export type HolderSort = (typeof HOLDER_SORTS)[number];

/** From which value on a card is kept in what; in minor units of the collection's currency. */
export interface HolderTier {
	readonly name: string;
	readonly fromMinor: number;
	readonly holder: HolderSort;
}

/**
 * ● Under 1: box, the better ones sleeved; 1 to 20: sleeve and top loader; 20 and up: magnetic case.
 * Common practice, no source. Half of 1 is where "better" is taken to begin.
 */
export const USUAL_TIERS: readonly HolderTier[] = [
	{ name: 'box', fromMinor: 0, holder: 'none' },
	{ name: 'better commons', fromMinor: 50, holder: 'sleeve' },
	{ name: 'valuables', fromMinor: 100, holder: 'top-loader' },
	{ name: 'best', fromMinor: 2000, holder: 'magnetic' }
];

export interface HolderCard {
	/** What it is worth, in minor units; left out: not known, so nothing. */
	readonly valueMinor?: number;
	readonly format?: CardFormat;
	/** A tier its owner wants for it whatever it is worth. */
	readonly tier?: string;
}

export interface HolderChoice {
	readonly tier: string;
	/** Key of the holder; null: none, or none takes it. */
	readonly holder: string | null;
	/** Whether it goes into a sleeve first. */
	readonly isSleeved: boolean;
	/** Which rule decided. */
	readonly rule: string;
	/** What is odd: a size or thickness that no holder here takes. */
	readonly oddity?: string;
}

/**
 * What to keep a card in: by its value (or the tier named for it), and by its thickness: the smallest
 * holder that takes card and sleeve.
 *
 * @throws RangeError where there are no tiers, or the tier named is none of them
 */
export function chooseHolder(
	{ valueMinor = 0, format, tier: named }: HolderCard,
	tiers: readonly HolderTier[] = USUAL_TIERS
): HolderChoice {
	const rising = [...tiers].sort((a, b) => a.fromMinor - b.fromMinor);
	const tier = named
		? rising.find(({ name }) => name === named)
		: (rising.findLast(({ fromMinor }) => valueMinor >= fromMinor) ?? rising[0]);
	if (!tier) throw new RangeError(`chooseHolder: no tier "${named ?? ''}"`);
	const rule = named ? `named "${tier.name}"` : `worth at least ${tier.fromMinor}`;
	const plain = { tier: tier.name, rule };
	if (tier.holder === 'none') return { ...plain, holder: null, isSleeved: false };
	if (tier.holder === 'sleeve') return { ...plain, holder: 'sleeve', isSleeved: true };
	const width = format?.widthMm ?? STANDARD_CARD.widthMm;
	const height = format?.heightMm ?? STANDARD_CARD.heightMm;
	if (width > STANDARD_CARD.widthMm || height > STANDARD_CARD.heightMm) {
		const oddity = `${width} × ${height} mm is larger than standard holders`;
		return { ...plain, holder: null, isSleeved: true, oddity };
	}
	const sleevedPt = (format?.stockPt ?? STANDARD_STOCK_PT) + SLEEVE_UM / UM_A_PT;
	const holder = smallest(tier.holder, sleevedPt);
	if (!holder) {
		const oddity = `${Math.round(sleevedPt)} pt with its sleeve is thicker than any holder here`;
		return { ...plain, holder: null, isSleeved: true, oddity };
	}
	return {
		...plain,
		holder: holder.key,
		isSleeved: true,
		rule: `${rule}; ${Math.round(sleevedPt)} pt with its sleeve`
	};
}

function smallest(sort: HolderSort, pt: number): HolderKind | undefined {
	return HOLDER_KINDS.filter(({ key, takesPt }) => key.startsWith(sort) && takesPt >= pt).sort(
		(a, b) => a.takesPt - b.takesPt
	)[0];
}
