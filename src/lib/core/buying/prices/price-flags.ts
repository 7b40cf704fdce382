import { group, median } from 'd3-array';
import { isTenFold } from '../../worth/prices/ten-fold.ts';

/** A price to be held against others. */
export interface FlaggedLine {
	readonly key: string;
	/** What prices are alike in. */
	readonly neighbourhood: string;
	/** The middle of the price, in minor units. */
	readonly minor: number;
	/** What was said of the same card before, in minor units. */
	readonly beforeMinor?: number;
	/** A price with a reason is meant as it is. */
	readonly reason?: string;
}

/** `ten-fold`: a decimal mark seems to have slipped. `no neighbour`: nothing like it costs so much, or so little. */
export interface PriceFlag {
	readonly kind: 'ten-fold' | 'no neighbour';
	/** What it is held against: the price said before, or the median of its neighbours, in minor units. */
	readonly againstMinor: number;
	readonly against: 'before' | 'neighbours';
}

/** Neighbours from which on a price can be out of line. */
const LEAST_NEIGHBOURS = 4;
/** A price fits no neighbour where it is more than so many times as far off as they are from each other. */
const FAR = 5;
/** However alike the neighbours are, a price within a factor of so much of their median fits. */
const ALWAYS_FITS = 3;
/**
 * Prices that look wrong: ten times (or a tenth of) what was said before or what the neighbours cost, and
 * those that fit no neighbour. Prices are compared by their ratios; spread is the median distance from the
 * median (of logarithms), so that dear cards among the neighbours do not hide a slip. Rules of thumb of
 * ours; nothing is changed by a flag. A price that gives its reason has none.
 */
export function flagPrices(lines: readonly FlaggedLine[]): ReadonlyMap<string, PriceFlag> {
	const flags = new Map<string, PriceFlag>();
	for (const near of group(lines, ({ neighbourhood }) => neighbourhood).values()) {
		const positive = near.filter(({ minor }) => minor > 0);
		const sorted = positive.map(({ minor }) => Math.log(minor)).sort((a, b) => a - b);
		for (const line of near) {
			if (line.reason !== undefined) continue;
			const flag = slipOf(line) ?? outOfLine(line, sorted);
			if (flag) flags.set(line.key, flag);
		}
	}
	return flags;
}

function slipOf({ minor, beforeMinor }: FlaggedLine): PriceFlag | null {
	if (beforeMinor === undefined || !isTenFold(minor, beforeMinor)) return null;
	return { kind: 'ten-fold', againstMinor: beforeMinor, against: 'before' };
}

function outOfLine({ minor }: FlaggedLine, sorted: readonly number[]): PriceFlag | null {
	if (minor <= 0 || sorted.length - 1 < LEAST_NEIGHBOURS) return null;
	const at = Math.log(minor);
	const others = [...sorted];
	others.splice(others.indexOf(at), 1);
	const middle = median(others) ?? at;
	const spread = median(others, (other) => Math.abs(other - middle)) ?? 0;
	const off = Math.abs(at - middle);
	if (off <= Math.max(Math.log(ALWAYS_FITS), FAR * spread)) return null;
	const againstMinor = Math.round(Math.exp(middle));
	const kind = isTenFold(minor, againstMinor) ? 'ten-fold' : 'no neighbour';
	return { kind, againstMinor, against: 'neighbours' };
}
