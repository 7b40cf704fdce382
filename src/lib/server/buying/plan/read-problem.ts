import { asc, count } from 'drizzle-orm';
import { formatPostage } from '../../../core/buying/offers/parse-postage.ts';
import type { BuyingProblem, PlanLimits } from '../../../core/buying/plan/compile-model.ts';
import type { Problem } from '../../../core/problem.ts';
import { convertMinor } from '../../../core/money/exchange-rates.ts';
import type { Reader } from '../../database/open.ts';
import { bids, offerBundles, offers, sellers } from '../../database/tables/index.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { HUB } from '../../preferences/hub.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { asBundle, asOffer, asSeller, convertRule } from '../sellers/offer-rows.ts';
import { readWants, type WantsView } from '../wants/read-wants.ts';

/** What a plan may be asked for. */
export interface PlanChoice extends PlanLimits {
	/** The most all of it may cost, in minor units; left out: whatever it costs. */
	readonly budgetMinor?: number;
	/** A card is left out where it costs more than this, its postage with it; left out: never. */
	readonly leaveOutMinor?: number;
	/** Within a budget: the goal that is to get on. */
	readonly goal?: string;
	/** Cards that an open bid may bring are left out; usually they are bought. */
	readonly isWithoutBids?: boolean;
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
	const inCurrency = (code: string) => (minor: number) =>
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
	const wanted = choice.isWithoutBids
		? withoutBids(view.wants, await db.select({ version: bids.version }).from(bids))
		: view.wants;
	const leaveOut =
		choice.leaveOutMinor === undefined ? {} : { leaveOutMinor: choice.leaveOutMinor };
	return {
		view,
		problems,
		problem: {
			wants: wanted.map((want) => ({
				...{ key: want.key, versions: want.versions, quantity: want.quantity },
				...{ priority: want.priority, mostMinor: want.mostMinor },
				...(want.leastCondition ? { leastCondition: want.leastCondition } : {}),
				...(want.graded ? { graded: want.graded } : {}),
				...(want.needs ? { needs: want.needs } : {}),
				...leaveOut
			})),
			sellers: known.map((row) => asSeller(row, inCurrency(row.currency))),
			offers: (await db.select().from(offers)).flatMap((row) => {
				const code = codeOf.get(row.sellerId);
				return code === undefined ? [] : [asOffer(row, inCurrency(code))];
			}),
			bundles: (await db.select().from(offerBundles)).flatMap((row) => {
				const code = codeOf.get(row.sellerId);
				return code === undefined ? [] : [asBundle(row, inCurrency(code))];
			}),
			hub:
				kept && isHubKnown
					? {
							forwarding: convertRule(kept.forwarding, inCurrency(hubCode)),
							...(kept.days === null ? {} : { days: kept.days })
						}
					: null,
			limits
		}
	};
}

/** What is wanted, if every open bid is won: each brings one card. */
function withoutBids(
	wants: WantsView['wants'],
	open: readonly { readonly version: string }[]
): WantsView['wants'] {
	const left = open.map(({ version }) => version);
	return wants.flatMap((want) => {
		let { quantity } = want;
		for (
			let i = left.findIndex((version) => want.versions.includes(version));
			i >= 0 && quantity > 0;
		) {
			left.splice(i, 1);
			quantity--;
			i = left.findIndex((version) => want.versions.includes(version));
		}
		return quantity === 0 ? [] : [{ ...want, quantity }];
	});
}

/** A seller as lists show it. */
export async function listSellers(db: Reader) {
	const rows = await db.select().from(sellers).orderBy(asc(sellers.name));
	const some = await db
		.select({ seller: offers.sellerId, offers: count() })
		.from(offers)
		.groupBy(offers.sellerId);
	const counts = new Map(some.map((row) => [row.seller, row.offers]));
	return rows.map((row) => ({
		...row,
		offers: counts.get(row.id) ?? 0,
		directText: row.direct ? formatPostage(row.direct, row.currency) : '',
		toHubText: row.toHub ? formatPostage(row.toHub, row.currency) : ''
	}));
}
