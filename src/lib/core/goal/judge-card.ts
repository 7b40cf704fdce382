import { qualityRank, type Quality } from '../copies/condition.ts';

/** A slot as it stands while a pile is gone through. */
export interface StackSlot {
	readonly key: string;
	/** Which set it is of, from 1; left out: the first. */
	readonly set?: number;
	/** The goal it belongs to. */
	readonly goal: string;
	readonly versions: readonly string[];
	readonly leastRank: number;
	/** How good the copy in it is; null where it is open. */
	readonly heldRank: number | null;
}

/** What a card that comes off a pile is: which outcome pile it goes on. */
export type Verdict =
	| {
			readonly kind: 'needed';
			readonly goal: string;
			readonly slot: string;
			readonly set?: number;
	  }
	| {
			readonly kind: 'upgrade';
			readonly goal: string;
			readonly slot: string;
			readonly from: number;
	  }
	| { readonly kind: 'spare'; readonly copies: number }
	/** No goal asks for it. */
	| { readonly kind: 'outside'; readonly copies: number };

/**
 * Judges one card: it fills an open slot, or is better than the worst copy in a slot, or is one more.
 * Slots come in the order of the goals; a card goes to the first that needs it.
 *
 * @param owned copies of the version before this one
 */
export function judgeCard(
	version: string,
	quality: Quality,
	slots: readonly StackSlot[],
	owned: number
): Verdict {
	const rank = qualityRank(quality);
	const wanting = slots.filter((slot) => slot.versions.includes(version));
	if (wanting.length === 0) return { kind: 'outside', copies: owned + 1 };
	const fits = wanting.filter(({ leastRank }) => rank >= leastRank);
	const open = fits.find(({ heldRank }) => heldRank === null);
	if (open) {
		const { goal, key: slot, set } = open;
		return { kind: 'needed', goal, slot, ...(set === undefined ? {} : { set }) };
	}
	const worst = fits
		.filter(({ heldRank }) => heldRank !== null && heldRank < rank)
		.sort((a, b) => (a.heldRank ?? 0) - (b.heldRank ?? 0))[0];
	if (worst) {
		return { kind: 'upgrade', goal: worst.goal, slot: worst.key, from: worst.heldRank ?? 0 };
	}
	return { kind: 'spare', copies: owned + 1 };
}
