import { shareInterval } from '../../chance/share-interval.ts';

/** How many times scarcer something is than what it is held against, with an interval. */
export interface ScarcityRatio {
	/** The count it is held against by its count; null: none of it is known. */
	readonly times: number | null;
	readonly low: number;
	/** null: no bound, as none of it is known. */
	readonly high: number | null;
	/** `scarcer`, `commoner`: the whole interval says so. `cannot tell`: it holds 1. */
	readonly verdict: 'scarcer' | 'commoner' | 'cannot tell';
}

/**
 * How many times scarcer a card is than another, by how many of each were counted. Counts are taken as Poisson: of both
 * together, each is one or the other with a fixed chance, so the exact interval of a share (Clopper and Pearson 1934) gives that of
 * the ratio (Przyborowski and Wilenski 1940). It says what chance does to counts; that dear cards are sent for grading more
 * often than cheap ones it can't know.
 *
 * @param count how many were counted of it
 * @param against how many of what it is held against
 * @param confidence above 0, below 1
 * @example [scarcityRatio(10, 40).times, scarcityRatio(0, 5).times, scarcityRatio(0, 0).verdict] // [4, null, 'cannot tell']
 */
export function scarcityRatio(count: number, against: number, confidence = 0.95): ScarcityRatio {
	if (count + against === 0) return { times: null, low: 0, high: null, verdict: 'cannot tell' };
	const share = shareInterval(count, count + against, confidence);
	const low = (1 - share.high) / share.high;
	const high = share.low === 0 ? null : (1 - share.low) / share.low;
	const verdict =
		low > 1 ? 'scarcer' : high !== null && high < 1 ? 'commoner' : ('cannot tell' as const);
	return { times: count === 0 ? null : against / count, low, high, verdict };
}
