import { sum } from 'd3-array';

/** A lot of cards taken at random from a set. */
export interface RandomLot {
	/** Cards in it. */
	readonly cards: number;
	/** Different cards that may be in it, each as likely as the others. */
	readonly kinds: number;
	/** How many of these kinds are wanted. */
	readonly wanted: number;
	/** No two of its cards are the same. */
	readonly isAllDifferent: boolean;
}

/** What a lot is expected to bring of what is wanted. */
export interface LotCoverage {
	/** Different wanted cards, on average, and how far it usually is off (standard deviation). */
	readonly expected: number;
	readonly spread: number;
	/** The chance of exactly 0, 1, … wanted cards. */
	readonly chances: readonly number[];
	/** The chance that all wanted ones are in it. */
	readonly chanceOfAll: number;
}

/**
 * What a random lot covers. Drawn with repetition (the occupancy problem: Feller, An Introduction to Probability
 * Theory, vol. 1, ch. IV): a kind is in it with 1 − (1 − 1/N)^n, the number of wanted kinds by a recursion of
 * positive terms, card by card. With all different cards it is hypergeometric: expected n·w/N.
 *
 * @throws RangeError where numbers are no counts, more is wanted than there is, or more different cards than kinds
 * @example lotCoverage({ cards: 1, kinds: 4, wanted: 1, isAllDifferent: false }).expected // 0.25
 */
export function lotCoverage({ cards, kinds, wanted, isAllDifferent }: RandomLot): LotCoverage {
	const isCount = [cards, kinds, wanted].every((n) => Number.isInteger(n) && n >= 0);
	if (!isCount || wanted > kinds || (isAllDifferent && cards > kinds)) {
		throw new RangeError(`lotCoverage: ${cards} cards of ${kinds} kinds, ${wanted} wanted`);
	}
	let chances = [1, ...Array<number>(wanted).fill(0)];
	for (let n = 0; n < cards; n++) {
		// The next card is a wanted one not there yet, or it changes nothing.
		const next = chances.map((chance, k) => {
			const left = isAllDifferent ? kinds - n : kinds;
			const fresh = (wanted - k) / left;
			const before = chances[k - 1];
			const arrives = before === undefined ? 0 : (before * (wanted - (k - 1))) / left;
			return chance * (1 - fresh) + arrives;
		});
		chances = next;
	}
	const expected = sum(chances, (chance, k) => chance * k);
	const square = sum(chances, (chance, k) => chance * (k - expected) ** 2);
	return { expected, spread: Math.sqrt(square), chances, chanceOfAll: chances[wanted] ?? 0 };
}
