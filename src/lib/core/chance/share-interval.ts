import { binomial, chanceWithin } from './binomial.ts';

/** Between what a share lies. */
export interface ShareInterval {
	readonly low: number;
	readonly high: number;
}

/** Steps after which a bound is as exact as its number. */
const MOST_STEPS = 60;
/** Fewer successes, or failures, are few. */
const FEW = 50;

/**
 * Between what the share of successes lies, when so many of n independent tries succeeded: never surer than it says (Clopper and
 * Pearson 1934).
 *
 * @param confidence above 0, below 1
 * @throws RangeError for more found than tried
 * @example shareInterval(0, 1, 0.95).high.toFixed(9) // '0.975000000'
 */
export function shareInterval(found: number, tries: number, confidence = 0.95): ShareInterval {
	if (found > tries || !(confidence > 0 && confidence < 1)) {
		throw new RangeError(`shareInterval: ${found} of ${tries} at ${confidence}`);
	}
	const part = (1 - confidence) / 2;
	const share = found / tries;
	// Of many tries the bounds lie within ten standard deviations, however sure one wants to be.
	const few = Math.min(found, tries - found) < FEW;
	const reach = few ? 1 : 10 * Math.sqrt((share * (1 - share)) / tries);
	return {
		low:
			found === 0
				? 0
				: rootOf(
						(each) => chanceWithin(binomial(tries, each), found, tries) / part,
						[Math.max(0, share - reach), share]
					),
		high:
			found === tries
				? 1
				: rootOf(
						(each) => part / chanceWithin(binomial(tries, each), 0, found),
						[share, Math.min(1, share + reach)]
					)
	};
}

/**
 * The share at which a rising ratio is 1: halving, then false position on its logarithm (Illinois method), which keeps a bracket and
 * takes a dozen steps where halving takes sixty.
 */
function rootOf(ratio: (share: number) => number, [from, to]: readonly [number, number]): number {
	const height = (share: number) => {
		const value = Math.log(ratio(share));
		return Math.max(-700, Math.min(700, Number.isNaN(value) ? 0 : value));
	};
	let [low, high] = [from, to];
	let [below, above] = [-700, 700];
	/** Which end stayed in the last step: staying twice, its height counts half. */
	let stayed: 'low' | 'high' | null = null;
	for (let step = 0; step < MOST_STEPS && high - low > 1e-15 * high; step++) {
		const isFar = below <= -40 || above >= 40;
		const share = isFar ? (low + high) / 2 : low - (below * (high - low)) / (above - below);
		const at = height(share);
		if (at === 0) return share;
		if (at < 0) {
			[low, below] = [share, at];
			if (stayed === 'high') above /= 2;
			stayed = 'high';
		} else {
			[high, above] = [share, at];
			if (stayed === 'low') below /= 2;
			stayed = 'low';
		}
	}
	return (low + high) / 2;
}
