import { group, max, median, min } from 'd3-array';
import { nextSeller, type SellerOutlook } from '../../../core/buying/plan/next-seller.ts';
import { CARD_GRAMS } from '../../../core/buying/offers/offer.ts';
import { slopeOf } from '../../../core/buying/offers/postage-rule.ts';
import { middleOf } from '../../../core/worth/prices/price.ts';
import type { StoredProblem } from '../plan/read-problem.ts';

/** A seller whose list was not looked through, with what looking may bring. */
export interface NamedOutlook extends SellerOutlook {
	readonly name: string;
}

/**
 * Whose list to open next: of the sellers whose list was not looked through, by what is known of all. A want is known
 * to cost what the cheapest offer asks, a further card's postage with it.
 */
export function nextSellers(
	{ problem, view }: StoredProblem,
	isWhole: ReadonlySet<string>
): readonly NamedOutlook[] {
	const wantOf = new Map(
		view.wants.flatMap((want) => want.versions.map((version) => [version, want] as const))
	);
	const sellerOf = new Map(problem.sellers.map((seller) => [seller.key, seller]));
	const ruleOf = (key: string) => {
		const seller = sellerOf.get(key);
		return seller?.toHub ?? seller?.direct ?? null;
	};
	const asked = problem.offers.flatMap((offer) => {
		const want = wantOf.get(offer.version);
		const rule = ruleOf(offer.seller);
		const minor = offer.breaks[0]?.minor;
		return want && rule && minor !== undefined
			? [{ ...offer, want: want.key, minor, whole: minor + slopeOf(rule, CARD_GRAMS) }]
			: [];
	});
	const byWant = group(asked, ({ want }) => want);
	const bySeller = group(asked, ({ seller }) => seller);
	// A card of which nothing is known is taken for a usual one.
	const overall = median(asked, ({ minor }) => minor);
	const sought = view.wants.flatMap((want) => {
		const offered = byWant.get(want.key) ?? [];
		const usual = want.price
			? middleOf(want.price)
			: (median(offered, ({ minor }) => minor) ?? overall);
		if (usual === undefined) return [];
		return [
			{
				...{ key: want.key, quantity: want.quantity, usualMinor: Math.round(usual) },
				knownMinor: min(offered, ({ whole }) => whole) ?? null
			}
		];
	});
	const seen = problem.sellers.flatMap(({ key }) => {
		const postage = ruleOf(key);
		if (!postage) return [];
		const mine = bySeller.get(key) ?? [];
		const found = new Map(mine.map(({ want, minor }) => [want, { want, minor }]));
		return [
			{
				...{ key, postage, found: [...found.values()] },
				notFound: isWhole.has(key)
					? sought.filter((want) => !found.has(want.key)).map((want) => want.key)
					: [],
				isPicked: !isWhole.has(key),
				deepest: max(mine, ({ quantity }) => quantity) ?? 0
			}
		];
	});
	return nextSeller(sought, seen)
		.filter(({ key, open }) => open > 0 && !isWhole.has(key))
		.map((outlook) => ({ ...outlook, name: sellerOf.get(outlook.key)?.name ?? outlook.key }));
}
