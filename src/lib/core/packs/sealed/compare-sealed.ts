/** How sure it is that nobody has opened a sealed pack or box before. */
export const SEALED_TRUSTS = ['certain', 'likely', 'doubtful', 'resealed'] as const;
export type SealedTrust = (typeof SEALED_TRUSTS)[number];

/** What is kept sealed: so many of equal packs, boxes or cases. Money of each, in minor units. */
export interface SealedLot {
	readonly quantity: number;
	/** Packs in each. */
	readonly packs: number;
	readonly costMinor: number | null;
	/** What each is sold for now, sealed; null: nobody knows. */
	readonly valueMinor: number | null;
	readonly trust: SealedTrust;
}

/** What is reckoned with; in plain sight and changed by the user. */
export interface SealedRules {
	/** Of what is asked so much goes to the market, in percent. */
	readonly feePercent: number;
	/** Postage and packing of each, in minor units. */
	readonly sendMinor: number;
	/** By how much sealed stock is guessed to rise in a year, in percent; below 0: it falls. */
	readonly yearlyPercent: number;
	readonly years: number;
	/** What the money would bring elsewhere in a year, in percent: what it is worth then is worth less now. */
	readonly elsewherePercent: number;
	/** The chance that it is as it was packed, by trust, in percent. */
	readonly trustPercent: Readonly<Record<SealedTrust, number>>;
}

/** Rules of thumb of ours, no source. */
export const USUAL_SEALED_RULES: SealedRules = {
	...{ feePercent: 12, sendMinor: 500, yearlyPercent: 3, years: 5, elsewherePercent: 4 },
	trustPercent: { certain: 100, likely: 90, doubtful: 50, resealed: 0 }
};

export type SealedChoice = 'keep' | 'open' | 'sell';

/** Keep, open and sell beside each other, of one pack, box or case. */
export interface SealedComparison {
	/** What is left of its value when it is sold now; null: its value is not known. */
	readonly sellMinor: number | null;
	/** What selling it after the years is worth now, as guessed; null: its value is not known. */
	readonly keepMinor: number | null;
	/** What its cards save and bring; null: the release says too little. */
	readonly openMinor: number | null;
	/** The most of the three; null: nothing is known, or none brings anything. */
	readonly best: SealedChoice | null;
	/** What the best is ahead of the next. */
	readonly aheadMinor: number;
	/** What it has gained over its cost; null: one of the two is not known. */
	readonly gainMinor: number | null;
	/** Nobody should sell it as sealed: it may be resealed. */
	readonly isDoubtful: boolean;
}

/**
 * Compares what one of a sealed lot is good for. What may be resealed is worth by its trust only: opened it may hold no
 * insert, and sold it has to be described as what it is.
 *
 * @param bringsMinor what the cards of one bring when it is opened: singles saved, and extra copies; null: not known
 */
export function compareSealed(
	lot: SealedLot,
	bringsMinor: number | null,
	rules: SealedRules
): SealedComparison {
	const { valueMinor, costMinor, trust } = lot;
	const chance = rules.trustPercent[trust] / 100;
	const trusted = valueMinor === null ? null : valueMinor * chance;
	const netOf = (minor: number) =>
		Math.max(0, minor * (1 - rules.feePercent / 100) - rules.sendMinor);
	const over = (percent: number) => (1 + percent / 100) ** rules.years;
	const sellMinor = trusted === null ? null : Math.round(netOf(trusted));
	const keepMinor =
		trusted === null
			? null
			: Math.round(netOf(trusted * over(rules.yearlyPercent)) / over(rules.elsewherePercent));
	const openMinor = bringsMinor === null ? null : Math.round(bringsMinor * chance);
	const known = (
		[
			['sell', sellMinor],
			['open', openMinor],
			['keep', keepMinor]
		] as const
	)
		.flatMap(([choice, minor]) => (minor === null ? [] : [{ choice, minor }]))
		.sort((a, b) => b.minor - a.minor);
	const [first, second] = known;
	return {
		...{ sellMinor, keepMinor, openMinor },
		best: first && first.minor > 0 ? first.choice : null,
		aheadMinor: (first?.minor ?? 0) - (second?.minor ?? 0),
		gainMinor: valueMinor === null || costMinor === null ? null : valueMinor - costMinor,
		isDoubtful: trust === 'doubtful' || trust === 'resealed'
	};
}
