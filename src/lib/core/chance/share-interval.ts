import { binomial, chanceWithin } from './binomial.ts';

/** Between what a share lies. */
export interface ShareInterval {
	readonly low: number;
	readonly high: number;
}

/** Halvings of the way between 0 and 1: beyond the last digit of a number. */
const HALVINGS = 60;

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
	const shareWhere = (isLow: (share: number) => boolean) => {
		let [low, high] = [0, 1];
		for (let n = 0; n < HALVINGS; n++) {
			const middle = (low + high) / 2;
			if (isLow(middle)) low = middle;
			else high = middle;
		}
		return (low + high) / 2;
	};
	return {
		low:
			found === 0
				? 0
				: shareWhere((share) => chanceWithin(binomial(tries, share), found, tries) < part),
		high:
			found === tries
				? 1
				: shareWhere((share) => chanceWithin(binomial(tries, share), 0, found) > part)
	};
}
