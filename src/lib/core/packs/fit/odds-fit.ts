import { shareInterval } from '../../chance/share-interval.ts';
import { binomial, chanceAt, chanceWithin, quantileOf } from '../../chance/binomial.ts';

/** Packs that were opened, and how many cards of stated odds they held. */
export interface Realised {
	readonly key: string;
	/** So many cards in so many packs, as stated; at most a card a pack. */
	readonly stated: { readonly cards: number; readonly packs: number };
	readonly packs: number;
	readonly found: number;
}

/** What can be said of stated odds after so many packs. */
export type FitVerdict = 'as stated' | 'fewer than stated' | 'more than stated' | 'too few packs';

export interface OddsFit {
	readonly key: string;
	/** Cards on average, and from where to where in 19 cases of 20. */
	readonly expected: number;
	readonly low: number;
	readonly high: number;
	/** The chance of a number at least as unlikely as the one found, if the odds are as stated (exact binomial, two-sided). */
	readonly chance: number;
	/** The odds themselves lie between these with 95 % certainty (Clopper and Pearson 1934), as parts of a pack. */
	readonly leastRate: number;
	readonly mostRate: number;
	readonly verdict: FitVerdict;
	/** Packs from which on half the odds would be told from those stated, four times of five; a million: more than that. */
	readonly packsToTell: number;
}

/** Where a number as unlikely as this is found, the odds are doubted. With several groups looked at, each is held to its part of it. */
const DOUBT = 0.05;
/** How surely half the odds should be told. */
const POWER = 0.8;
const MOST_PACKS = 1_000_000;

/**
 * Holds what packs held against their stated odds, each group by the exact binomial test; among several groups one that is
 * off by chance is to be expected, so each is doubted only beyond its share (Holm 1979).
 *
 * @throws RangeError for odds above a card a pack, or more cards found than packs
 */
export function oddsFit(realised: readonly Realised[]): readonly OddsFit[] {
	const chances = realised.map(chanceOf);
	const doubted = holm(chances);
	return realised.map(({ key, stated, packs, found }, i): OddsFit => {
		const rate = stated.cards / stated.packs;
		const law = binomial(packs, rate);
		const packsToTell = packsForHalf(rate);
		const share = shareInterval(found, packs);
		const expected = packs * rate;
		const verdict: FitVerdict = doubted[i]
			? found < expected
				? 'fewer than stated'
				: 'more than stated'
			: packs < packsToTell
				? 'too few packs'
				: 'as stated';
		return {
			...{ key, expected, low: quantileOf(law, 0.025), high: quantileOf(law, 0.975) },
			chance: chances[i] ?? 1,
			leastRate: share.low,
			mostRate: share.high,
			...{ verdict, packsToTell }
		};
	});
}

/** The chance of what is no likelier than what was found. */
function chanceOf({ stated, packs, found }: Omit<Realised, 'key'>): number {
	const rate = stated.cards / stated.packs;
	if (!(rate > 0 && rate <= 1) || found > packs) {
		throw new RangeError(`oddsFit: ${found} in ${packs} packs at ${stated.cards}:${stated.packs}`);
	}
	const law = binomial(packs, rate);
	const here = chanceAt(law, found) * (1 + 1e-9);
	const all = law.chances.reduce((sum, chance) => (chance <= here ? sum + chance : sum), 0);
	return Math.min(1, all);
}

/** Which of several doubts stand, so that one false doubt among them all has at most the chance of a single one. */
function holm(chances: readonly number[]): readonly boolean[] {
	const order = [...chances.keys()].sort((a, b) => (chances[a] ?? 1) - (chances[b] ?? 1));
	const doubted = chances.map(() => false);
	for (const [place, i] of order.entries()) {
		if ((chances[i] ?? 1) > DOUBT / (chances.length - place)) break;
		doubted[i] = true;
	}
	return doubted;
}

/** Packs from which on half the stated rate would be doubted with the asked certainty. */
function packsForHalf(rate: number): number {
	const tells = (packs: number) => {
		// The most that would be doubted as too few.
		let limit = quantileOf(binomial(packs, rate), DOUBT);
		const stated = { cards: rate, packs: 1 };
		while (limit >= 0 && chanceOf({ stated, packs, found: limit }) > DOUBT) limit--;
		return limit >= 0 && chanceWithin(binomial(packs, rate / 2), 0, limit) >= POWER;
	};
	let high = Math.ceil(8 / rate);
	while (high < MOST_PACKS && !tells(high)) high *= 2;
	let low = Math.floor(high / 2);
	while (high - low > Math.max(1, high / 200)) {
		const middle = Math.floor((low + high) / 2);
		if (tells(middle)) high = middle;
		else low = middle;
	}
	return Math.min(MOST_PACKS, high);
}
