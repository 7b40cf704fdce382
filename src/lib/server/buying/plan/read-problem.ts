import { asc } from 'drizzle-orm';
import type { Bundle, Offer, Seller } from '../../../core/buying/offers/offer.ts';
import { formatPostage } from '../../../core/buying/offers/parse-postage.ts';
import type { PostageRule } from '../../../core/buying/offers/postage-rule.ts';
import type { BuyingProblem, PlanLimits } from '../../../core/buying/plan/compile-model.ts';
import type { Problem } from '../../../core/problem.ts';
import { convertMinor, type ExchangeRate } from '../../../core/worth/exchange-rates.ts';
import type { Reader } from '../../database/open.ts';
import { offerBundles, offers, sellers } from '../../database/tables/index.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { HUB } from '../../preferences/hub.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { readWants, type WantsView } from '../wants/read-wants.ts';

/** What a plan may be asked for. */
export interface PlanChoice extends PlanLimits {
	/** The most all of it may cost, in minor units; left out: whatever it costs. */
	readonly budgetMinor?: number;
	/** A card is left out where it costs more than this, its postage with it; left out: never. */
	readonly leaveOutMinor?: number;
	/** Within a budget: the goal that is to get on. */
	readonly goal?: string;
}

/** A buying problem as the collection has it, with the names of its parts. */
export interface StoredProblem {
	readonly problem: BuyingProblem;
	readonly view: WantsView;
	/** Money that no rate leads from: what is left out for it. */
	readonly problems: readonly Problem[];
}

/** Reads wants, sellers and offers, all in the currency that is reckoned in. */
export async function readProblem(db: Reader, choice: PlanChoice): Promise<StoredProblem> {
	const view = await readWants(db);
	const { currency } = view.rules;
	const rates = await readPreference(db, EXCHANGE_RATES);
	const problems: Problem[] = [...view.problems];
	const rows = await db.select().from(sellers).orderBy(asc(sellers.id));
	const known = rows.filter((row) => {
		if (convertMinor(1, row.currency, currency, rates) !== null) return true;
		const message = `${row.name} sells in ${row.currency}, and no rate leads to ${currency}`;
		const remedy = `Keep a rate under Holders: 1 ${row.currency} = … ${currency}.`;
		problems.push({ field: 'rates', message, remedy });
		return false;
	});
	const codeOf = new Map(known.map(({ id, currency: code }) => [id, code]));
	const inCurrency = (minor: number, code: string) =>
		convertMinor(minor, code, currency, rates) ?? 0;
	const kept = await readPreference(db, HUB);
	const hubCode = kept?.currency ?? currency;
	const isHubKnown = kept !== null && convertMinor(1, hubCode, currency, rates) !== null;
	const limits: PlanLimits = {
		...(choice.mostSellers === undefined ? {} : { mostSellers: choice.mostSellers }),
		...(choice.mostDays === undefined ? {} : { mostDays: choice.mostDays }),
		without: choice.without ?? [],
		with: choice.with ?? []
	};
	const leaveOut =
		choice.leaveOutMinor === undefined ? {} : { leaveOutMinor: choice.leaveOutMinor };
	return {
		view,
		problems,
		problem: {
			wants: view.wants.map((want) => ({
				...{ key: want.key, versions: want.versions, quantity: want.quantity },
				...{ priority: want.priority, mostMinor: want.mostMinor },
				...(want.leastCondition ? { leastCondition: want.leastCondition } : {}),
				...(want.graded ? { graded: want.graded } : {}),
				...(want.needs ? { needs: want.needs } : {}),
				...leaveOut
			})),
			sellers: known.map((row): Seller => ({
				...{ key: String(row.id), name: row.name },
				direct: row.direct && convertRule(row.direct, row.currency, currency, rates),
				toHub: row.toHub && convertRule(row.toHub, row.currency, currency, rates),
				...(row.leastOrderMinor === null
					? {}
					: { leastOrderMinor: inCurrency(row.leastOrderMinor, row.currency) }),
				...(row.days === null ? {} : { days: row.days }),
				...(row.daysToHub === null ? {} : { daysToHub: row.daysToHub })
			})),
			offers: (await db.select().from(offers)).flatMap((row): readonly Offer[] => {
				const code = codeOf.get(row.sellerId);
				if (code === undefined) return [];
				const { condition, grade, house, version, quantity } = row;
				const breaks = row.breaks.map(({ count, minor }) => ({
					count,
					minor: inCurrency(minor, code)
				}));
				return [
					{
						...{ key: String(row.id), seller: String(row.sellerId), version, quantity, breaks },
						...(condition === null ? {} : { condition }),
						...(grade === null ? {} : { grade }),
						...(house === null ? {} : { house })
					}
				];
			}),
			bundles: (await db.select().from(offerBundles)).flatMap((row): readonly Bundle[] => {
				const code = codeOf.get(row.sellerId);
				if (code === undefined) return [];
				const { isShipped, items } = row;
				const minor = inCurrency(row.minor, code);
				return [{ key: `b${row.id}`, seller: String(row.sellerId), minor, isShipped, items }];
			}),
			hub:
				kept && isHubKnown
					? {
							forwarding: convertRule(kept.forwarding, hubCode, currency, rates),
							...(kept.days === null ? {} : { days: kept.days })
						}
					: null,
			limits
		}
	};
}

/** A rule of postage in another currency, each of its amounts rounded. */
function convertRule(
	rule: PostageRule,
	from: string,
	to: string,
	rates: readonly ExchangeRate[]
): PostageRule {
	const convert = (minor: number) => convertMinor(minor, from, to, rates) ?? minor;
	const free =
		rule.freeFromMinor === undefined ? {} : { freeFromMinor: convert(rule.freeFromMinor) };
	if (rule.sort === 'each') {
		const { firstMinor, furtherMinor } = rule;
		return {
			sort: 'each',
			firstMinor: convert(firstMinor),
			furtherMinor: convert(furtherMinor),
			...free
		};
	}
	const tiers = rule.tiers.map((tier) => ({ ...tier, minor: convert(tier.minor) }));
	return { sort: 'tiers', by: rule.by, tiers, ...free };
}

/** A seller as lists show it. */
export async function listSellers(db: Reader) {
	const rows = await db.select().from(sellers).orderBy(asc(sellers.name));
	const some = await db.select({ seller: offers.sellerId }).from(offers);
	const counts = new Map<number, number>();
	for (const { seller } of some) counts.set(seller, (counts.get(seller) ?? 0) + 1);
	return rows.map((row) => ({
		...row,
		offers: counts.get(row.id) ?? 0,
		directText: row.direct ? formatPostage(row.direct, row.currency) : '',
		toHubText: row.toHub ? formatPostage(row.toHub, row.currency) : ''
	}));
}
