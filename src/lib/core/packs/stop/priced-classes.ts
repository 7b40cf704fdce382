import { group, mean } from 'd3-array';
import type { PricedClass } from './stop-cards.ts';

/** What a copy brings that fills nothing: a share of what it costs, if it costs so much; else nothing: commons go for next to nothing. */
export interface ExtraRule {
	readonly share: number;
	readonly fromMinor: number;
}

/** Prices of a group that are told apart; their mean is kept. */
const PRICES = 6;

/** Cards by what is lacking of them and about what they cost; of what has no price a double brings nothing. */
export function pricedClasses(
	cards: readonly { readonly lacking: number; readonly minor: number | null }[],
	postageMinor: number,
	extra: ExtraRule
): readonly PricedClass[] {
	const brings = (minor: number) => (minor >= extra.fromMinor ? minor * extra.share : 0);
	return [...group(cards, ({ lacking }) => lacking)].flatMap(([lacking, same]) => {
		const sorted = same.toSorted((a, b) => (a.minor ?? -1) - (b.minor ?? -1));
		const size = Math.ceil(sorted.length / PRICES);
		return Array.from({ length: Math.ceil(sorted.length / size) }, (_, i): PricedClass => {
			const some = sorted.slice(i * size, (i + 1) * size);
			return {
				...{ cards: some.length, weight: 1, lacking },
				singleMinor: mean(some, ({ minor }) => (minor === null ? 0 : minor + postageMinor)) ?? 0,
				extraMinor: mean(some, ({ minor }) => (minor === null ? 0 : brings(minor))) ?? 0
			};
		});
	});
}
