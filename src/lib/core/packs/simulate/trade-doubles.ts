import { sum } from 'd3-array';
import type { TradeRules } from './pack-game.ts';

/** Doubles and missing copies of a group, on average. */
export interface TradedGroup {
	readonly key: string;
	readonly missing: number;
	readonly doubles: number;
}

/**
 * What doubles trade for, on average, where friends have everything: those of a group go for its missing cards one for one;
 * what is left goes for missing cards of other groups, the cheapest first. Averages are traded, so what is left over in one
 * group and lacking in another by chance evens out.
 */
export function tradeDoubles(
	groups: readonly TradedGroup[],
	{ isWithinGroup, othersFor }: TradeRules
): readonly TradedGroup[] {
	const traded = groups.map(({ key, missing, doubles }) => {
		const within = isWithinGroup ? Math.min(missing, doubles) : 0;
		return { key, missing: missing - within, doubles: doubles - within };
	});
	const askers = traded
		.flatMap((group) => {
			const price = othersFor[group.key];
			return price === undefined ? [] : [{ group, price }];
		})
		.sort((a, b) => a.price - b.price);
	for (const { group, price } of askers) {
		const others = traded.filter((other) => other !== group);
		const offered = sum(others, ({ doubles }) => doubles);
		const got = price > 0 ? Math.min(group.missing, offered / price) : group.missing;
		if (got <= 0) continue;
		group.missing -= got;
		// Each group gives the same part of what it has left.
		const part = offered > 0 ? (got * price) / offered : 0;
		for (const other of others) other.doubles *= 1 - part;
	}
	return traded;
}
