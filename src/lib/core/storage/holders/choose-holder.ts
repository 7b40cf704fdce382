import { STANDARD_CARD } from '../../measuring/card-size.ts';
import type { CardFormat } from '../../checklist/card-format.ts';
import { SLEEVE_UM, STANDARD_STOCK_PT, UM_A_PT } from '../../measuring/stock.ts';
import { HOLDER_KINDS, PLAY_MM, type HolderKind, type HolderSort } from '../kinds/holder-kind.ts';

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
	/** Said of a card that rattles in the snuggest holder there is. */
	readonly caution?: string;
}

/**
 * What to keep a card in: by its value (or the tier named for it), its size, and its thickness: the
 * snuggest holder that takes it. A top loader takes the card in its sleeve, a case the bare card.
 *
 * @param holders kinds of holders besides the usual ones
 * @throws RangeError where there are no tiers, or the tier named is none of them
 */
export function chooseHolder(
	card: HolderCard,
	tiers: readonly HolderTier[] = USUAL_TIERS,
	holders: readonly HolderKind[] = []
): HolderChoice {
	return holderChooser(tiers, holders)(card);
}

/** The same for many cards: what is made and kept alike is looked at once. */
export function holderChooser(
	tiers: readonly HolderTier[],
	holders: readonly HolderKind[] = []
): (card: HolderCard) => HolderChoice {
	const kinds = [...holders, ...HOLDER_KINDS];
	const rising = [...tiers].sort((a, b) => a.fromMinor - b.fromMinor);
	const choices = new Map<string, HolderChoice>();
	return ({ valueMinor = 0, format, tier: named }) => {
		const tier = named
			? rising.find(({ name }) => name === named)
			: (rising.findLast(({ fromMinor }) => valueMinor >= fromMinor) ?? rising[0]);
		if (!tier) throw new RangeError(`chooseHolder: no tier "${named ?? ''}"`);
		const rule = named
			? `named "${tier.name}"`
			: valueMinor < tier.fromMinor
				? `worth less than ${tier.fromMinor}, where the lowest tier begins`
				: `worth at least ${tier.fromMinor}`;
		const { widthMm = '', heightMm = '', stockPt = '' } = format ?? {};
		const key = `${widthMm} ${heightMm} ${stockPt} ${rule} ${tier.name}`;
		let choice = choices.get(key);
		if (!choice) choices.set(key, (choice = choiceIn(tier, rule, format, kinds)));
		return choice;
	};
}

function choiceIn(
	tier: HolderTier,
	rule: string,
	format: CardFormat | undefined,
	all: readonly HolderKind[]
): HolderChoice {
	const plain = { tier: tier.name, rule };
	if (tier.holder === 'none') return { ...plain, holder: null, isSleeved: false };
	const kinds = all.filter(({ sort }) => sort === tier.holder);
	const wide = kinds.filter((kind) => playIn(format, kind) !== null);
	const [first] = kinds;
	const isSleeved = first?.takes === 'sleeved' || tier.holder === 'sleeve';
	const none = { ...plain, holder: null, isSleeved };
	if (wide.length === 0) {
		const { widthMm, heightMm } = sizeOf(format);
		const known = all.length > HOLDER_KINDS.length ? 'any holder here' : 'standard holders';
		const oddity = `${widthMm} × ${heightMm} mm is larger than ${known}, which leave ${PLAY_MM} mm of play`;
		return { ...none, oddity };
	}
	const pt = (format?.stockPt ?? STANDARD_STOCK_PT) + (isSleeved ? SLEEVE_UM / UM_A_PT : 0);
	const thickness = `${Math.round(pt)} pt ${isSleeved ? 'with its sleeve' : 'without a sleeve'}`;
	const [holder] = wide
		.filter(({ takesPt }) => takesPt >= pt)
		.sort((a, b) => areaOf(a) - areaOf(b) || a.takesPt - b.takesPt);
	if (!holder) return { ...none, oddity: `${thickness} is thicker than any holder here` };
	const loose = playIn(format, holder) ?? 0;
	return {
		...plain,
		holder: holder.key,
		isSleeved,
		...(loose > SNUG_MM
			? { caution: `it has ${Math.round(loose)} mm of play there: a smaller one would be snug` }
			: {}),
		...(tier.holder === 'sleeve' ? {} : { rule: `${rule}; ${thickness}` })
	};
}

function sizeOf(format: CardFormat | undefined) {
	return {
		widthMm: format?.widthMm ?? STANDARD_CARD.widthMm,
		heightMm: format?.heightMm ?? STANDARD_CARD.heightMm
	};
}

/** More play than this and a card rattles. An assumption of ours. */
const SNUG_MM = 6;

/** Play of a card in a holder, upright or on its side, whichever is snugger; null: it does not go in. */
function playIn(
	format: CardFormat | undefined,
	{ innerWidthMm, innerHeightMm }: HolderKind
): number | null {
	const { widthMm, heightMm } = sizeOf(format);
	const plays = [
		[widthMm, heightMm],
		[heightMm, widthMm]
	].flatMap(([across = 0, up = 0]) =>
		across <= innerWidthMm && up <= innerHeightMm
			? [Math.max(innerWidthMm - across, innerHeightMm - up)]
			: []
	);
	return plays.length === 0 ? null : Math.min(...plays);
}

const areaOf = ({ innerWidthMm, innerHeightMm }: HolderKind) => innerWidthMm * innerHeightMm;
