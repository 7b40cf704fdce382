import type { Bundle, Offer, Seller } from '../../../core/buying/offers/offer.ts';
import type { PostageRule } from '../../../core/buying/offers/postage-rule.ts';
import type { offerBundles, offers, sellers } from '../../database/tables/index.ts';

/** Turns an amount of a seller's money into that which is reckoned in. */
type Convert = (minor: number) => number;
const asItIs: Convert = (minor) => minor;

/** A seller as the plan knows one. */
export function asSeller(row: typeof sellers.$inferSelect, convert: Convert = asItIs): Seller {
	const { leastOrderMinor, days, daysToHub } = row;
	return {
		...{ key: String(row.id), name: row.name },
		direct: row.direct && convertRule(row.direct, convert),
		toHub: row.toHub && convertRule(row.toHub, convert),
		...(leastOrderMinor === null ? {} : { leastOrderMinor: convert(leastOrderMinor) }),
		...(days === null ? {} : { days }),
		...(daysToHub === null ? {} : { daysToHub })
	};
}

/** An offer as the plan knows it. */
export function asOffer(row: typeof offers.$inferSelect, convert: Convert = asItIs): Offer {
	const { version, quantity, condition, grade, house } = row;
	return {
		...{ key: String(row.id), seller: String(row.sellerId), version, quantity },
		breaks: row.breaks.map(({ count, minor }) => ({ count, minor: convert(minor) })),
		...(condition === null ? {} : { condition }),
		...(grade === null ? {} : { grade }),
		...(house === null ? {} : { house })
	};
}

/** A bundle as the plan knows it: its key begins with b, for offers have the same numbers. */
export function asBundle(row: typeof offerBundles.$inferSelect, convert: Convert = asItIs): Bundle {
	const { id, sellerId, minor, isShipped, items } = row;
	return {
		...{ key: `b${id}`, seller: String(sellerId), minor: convert(minor) },
		...{ isShipped, items }
	};
}

/** A rule of postage in other money, each of its amounts rounded. */
export function convertRule(rule: PostageRule, convert: Convert): PostageRule {
	const free =
		rule.freeFromMinor === undefined ? {} : { freeFromMinor: convert(rule.freeFromMinor) };
	if (rule.sort === 'each') {
		const { firstMinor, furtherMinor } = rule;
		return {
			...{ sort: 'each', firstMinor: convert(firstMinor), furtherMinor: convert(furtherMinor) },
			...free
		};
	}
	const tiers = rule.tiers.map((tier) => ({ ...tier, minor: convert(tier.minor) }));
	return { sort: 'tiers', by: rule.by, tiers, ...free };
}
