import { USUAL_TIMES, type SortingTimes } from './plan-sorting.ts';

/** A pass that was timed: so many cards dealt onto so many piles. */
export interface MeasuredPass {
	readonly cards: number;
	readonly piles: number;
	readonly seconds: number;
}

/** How much the usual times count against one measured pass. */
const PRIOR = 0.1;

/**
 * A person's own times of a card and a pile out of timed passes: the least sum of squared relative
 * errors of cards·cardS + piles·pileS, with the usual times as a weak prior, so that one pass alone moves
 * them and many decide. Neither gets below a tenth of the usual.
 *
 * @throws RangeError where a pass has no card, no pile or took no time
 */
export function tuneTimes(
	passes: readonly MeasuredPass[],
	usual: SortingTimes = USUAL_TIMES
): SortingTimes {
	// Normal equations of a·cardS + b·pileS = c, a row a pass.
	let [aa, ab, bb, ac, bc] = [0, 0, 0, 0, 0];
	const add = (a: number, b: number, c: number) => {
		aa += a * a;
		ab += a * b;
		bb += b * b;
		ac += a * c;
		bc += b * c;
	};
	for (const { cards, piles, seconds } of passes) {
		if (!(cards > 0) || !(piles > 0) || !(seconds > 0)) {
			throw new RangeError(`tuneTimes: ${cards} cards on ${piles} piles in ${seconds} s`);
		}
		add(cards / seconds, piles / seconds, 1);
	}
	if (passes.length === 0) return usual;
	add(PRIOR / usual.cardS, 0, PRIOR);
	add(0, PRIOR / usual.pileS, PRIOR);
	const det = aa * bb - ab * ab;
	const least = (value: number, of: number) => Math.max(of / 10, value);
	return {
		...usual,
		cardS: least((ac * bb - bc * ab) / det, usual.cardS),
		pileS: least((bc * aa - ac * ab) / det, usual.pileS)
	};
}
