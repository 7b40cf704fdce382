import { CARD_GRAMS, type Bundle, type Hub, type Offer, type Seller } from '../offers/offer.ts';
import { postageOf } from '../offers/postage-rule.ts';
import { priceByBreaks } from '../offers/price-breaks.ts';
import { PRIORITY_WEIGHT, type Want } from '../wants/wants-list.ts';
import { fitsSlot } from '../../goal/fill-slots.ts';
import type { Slot } from '../../goal/slot.ts';
import type { BuyingModel, ModelBundle, ModelSeller } from './model.ts';

/** What is to be bought, who offers it, and what is not wanted of a plan. Money in minor units of one currency. */
export interface BuyingProblem {
	readonly wants: readonly PlannedWant[];
	readonly offers: readonly Offer[];
	readonly bundles: readonly Bundle[];
	readonly sellers: readonly Seller[];
	/** Null: there is none. */
	readonly hub: Hub | null;
	readonly limits: PlanLimits;
}

/** A want as a plan needs to know it. */
export type PlannedWant = Pick<
	Want,
	'key' | 'versions' | 'quantity' | 'priority' | 'mostMinor' | 'leastCondition' | 'graded' | 'needs'
> & {
	/** What leaving one out costs at most, postage with it; left out: as much is got as can be, whatever it costs. */
	readonly leaveOutMinor?: number;
};

/** What a plan has to keep to. */
export interface PlanLimits {
	/** The most sellers that are bought from; left out: any number. */
	readonly mostSellers?: number;
	/** Keys of sellers that are not bought from, and of those that are bought from in any case. */
	readonly without?: readonly string[];
	readonly with?: readonly string[];
	/** Everything is here after so many days; who says no days is taken to keep to it. */
	readonly mostDays?: number;
}

/** A problem in numbers, with what its places are called. */
export interface CompiledModel {
	readonly model: BuyingModel;
	/** What no offer and no bundle serves, with why: so many of a want. */
	readonly unserved: readonly {
		readonly want: string;
		readonly count: number;
		readonly why: UnservedReason;
	}[];
	/** Keys of sellers that were to be bought from in any case, and offer nothing that is wanted. */
	readonly withNothing: readonly string[];
	/** Keys of wants, offers and bundles as the model numbers them. */
	readonly wantKeys: readonly string[];
	readonly offerKeys: readonly string[];
	readonly bundleKeys: readonly string[];
	/** Sellers as the model numbers them; bundles that come alone have one of their own. */
	readonly sellerKeys: readonly string[];
}
export type UnservedReason =
	'nobody offers it' | 'too few are offered' | 'not good enough' | 'above its limit' | 'not open';

/**
 * Puts a buying problem into numbers. No offer that would serve a want is left out, however dear: dropping all but the
 * cheapest few loses about a percent. Offers name sellers that are there; wants are named once.
 *
 * @throws RangeError for an offer or bundle of a seller that is not there
 */
export function compileModel(problem: BuyingProblem): CompiledModel {
	const { wants, offers, bundles, sellers, hub, limits } = problem;
	const placeOf = new Map(sellers.map(({ key }, s) => [key, s]));
	const sellerAt = (key: string) => {
		const s = placeOf.get(key);
		if (s === undefined) throw new RangeError(`compileModel: there is no seller "${key}"`);
		return s;
	};
	const isOut = new Set(limits.without ?? []);
	const isIn = new Set(limits.with ?? []);
	const within = (days: number | undefined) => (days ?? 0) <= (limits.mostDays ?? Infinity);
	const modelSellers = sellers.map((seller): ModelSeller => {
		const { key, direct, toHub, leastOrderMinor = 0, days, daysToHub } = seller;
		const hubDays = daysToHub === undefined ? hub?.days : daysToHub + (hub?.days ?? 0);
		return {
			direct: isOut.has(key) || !within(days) ? null : direct,
			toHub: isOut.has(key) || !hub || !within(hubDays) ? null : toHub,
			leastOrderMinor,
			isIn: isIn.has(key)
		};
	});
	const isOpen = (s: number) => {
		const { direct = null, toHub = null } = modelSellers[s] ?? {};
		return direct !== null || toHub !== null;
	};

	const byVersion = new Map<string, number[]>();
	for (const [i, { versions }] of wants.entries()) {
		for (const version of versions) byVersion.set(version, [...(byVersion.get(version) ?? []), i]);
	}
	const slots = wants.map(
		({ mostMinor: _, priority: __, leaveOutMinor: ___, ...want }): Slot => want
	);
	const why = new Map<number, UnservedReason>();
	const note = (i: number, reason: UnservedReason) => {
		if (reason === 'above its limit' || !why.has(i)) why.set(i, reason);
	};
	const serves = (i: number, thing: Omit<Offer, 'key' | 'seller' | 'breaks'>): boolean => {
		const slot = slots[i];
		if (slot && fitsSlot(slot, { ...thing, key: '' })) return true;
		note(i, 'not good enough');
		return false;
	};

	const firstArc = [0];
	const arcWant: number[] = [];
	const arcOffer: number[] = [];
	const used: { readonly offer: Offer; readonly seller: number; readonly most: number }[] = [];
	const arcs = wants.map((): number[] => []);
	for (const offer of offers) {
		const s = sellerAt(offer.seller);
		const each = Math.min(...offer.breaks.map(({ count, minor }) => minor / count));
		const fitting = (byVersion.get(offer.version) ?? []).filter((i) => {
			if (!serves(i, offer)) return false;
			if (each > (wants[i]?.mostMinor ?? Infinity)) note(i, 'above its limit');
			else if (isOpen(s)) return true;
			else note(i, 'not open');
			return false;
		});
		if (fitting.length === 0) continue;
		const most = fitting.reduce((sum, i) => sum + (wants[i]?.quantity ?? 0), 0);
		for (const i of fitting) {
			arcs[i]?.push(arcWant.length);
			arcWant.push(i);
			arcOffer.push(used.length);
		}
		used.push({ offer, seller: s, most });
		firstArc.push(arcWant.length);
	}
	const costs = used.map(({ offer, most }) => priceByBreaks(offer.breaks, offer.quantity, most));

	const sellerKeys = sellers.map(({ key }) => key);
	const bundleKeys: string[] = [];
	/** How many of each want are offered, whoever else wants them. */
	const supply = wants.map(() => 0);
	for (const [a, i] of arcWant.entries()) {
		supply[i] = (supply[i] ?? 0) + (costs[arcOffer[a] ?? 0]?.minor.length ?? 1) - 1;
	}
	const modelBundles = bundles.flatMap((bundle): readonly ModelBundle[] => {
		const s = sellerAt(bundle.seller);
		const left = new Map(wants.map(({ quantity }, i) => [i, quantity]));
		const covers = new Map<number, number>();
		for (const item of bundle.items) {
			let count = item.quantity;
			for (const i of byVersion.get(item.version) ?? []) {
				const more = Math.min(count, left.get(i) ?? 0);
				if (more === 0 || !serves(i, item)) continue;
				covers.set(i, (covers.get(i) ?? 0) + more);
				left.set(i, (left.get(i) ?? 0) - more);
				count -= more;
			}
		}
		if (covers.size === 0 || !isOpen(s)) return [];
		for (const [i, count] of covers) supply[i] = (supply[i] ?? 0) + count;
		const pieces = bundle.items.reduce((sum, { quantity }) => sum + quantity, 0);
		let seller = s;
		if (bundle.isShipped) {
			// It comes alone, whatever else is ordered there: a seller of its own, who asks no postage.
			seller = modelSellers.length;
			const free = { sort: 'each', firstMinor: 0, furtherMinor: 0 } as const;
			modelSellers.push({ direct: free, toHub: null, leastOrderMinor: 0, isIn: false });
			sellerKeys.push(bundle.seller);
		}
		bundleKeys.push(bundle.key);
		const wanted = [...covers].map(([want, count]) => ({ want, count }));
		return [{ seller, minor: bundle.minor, pieces, grams: pieces * CARD_GRAMS, wants: wanted }];
	});

	const offersOf = modelSellers.map((): number[] => []);
	for (const [o, { seller }] of used.entries()) offersOf[seller]?.push(o);
	const hasThings = (s: number) =>
		(offersOf[s] ?? []).length > 0 || modelBundles.some(({ seller }) => seller === s);
	const withNothing = modelSellers.flatMap(({ isIn: asked }, s) =>
		asked && !hasThings(s) ? [sellerKeys[s] ?? ''] : []
	);
	const alone = wants.map((_, i) => aloneCost(i));
	// More than any sensible plan costs: what can be got is got.
	const whole = alone.reduce((sum, cost, i) => sum + cost * (wants[i]?.quantity ?? 0), 1000);
	const most = limits.mostSellers ?? Infinity;
	return {
		model: {
			need: Int32Array.from(wants, ({ quantity }, i) => Math.min(quantity, supply[i] ?? 0)),
			penalty: Float64Array.from(
				wants,
				({ leaveOutMinor, priority }) => leaveOutMinor ?? whole * PRIORITY_WEIGHT[priority]
			),
			sellers: modelSellers.map((seller, s) => ({ ...seller, isIn: seller.isIn && hasThings(s) })),
			offerSeller: Int32Array.from(used, ({ seller }) => seller),
			offerMost: Int32Array.from(costs, ({ minor }) => minor.length - 1),
			offerCost: costs.map(({ minor }) => Float64Array.from(minor)),
			offerPieces: costs.map(({ pieces }) => Int32Array.from(pieces)),
			offerGrams: Float64Array.from(used, ({ offer }) => offer.grams ?? CARD_GRAMS),
			firstArc: Int32Array.from(firstArc),
			arcOffer: Int32Array.from(arcOffer),
			arcWant: Int32Array.from(arcWant),
			arcsOf: arcs.map((some) => Int32Array.from(some)),
			offersOf: offersOf.map((some) => Int32Array.from(some)),
			bundles: modelBundles,
			hub: hub?.forwarding ?? null,
			mostSellers: Math.min(most, modelSellers.length)
		},
		unserved: wants.flatMap(({ key, quantity }, i) => {
			const have = supply[i] ?? 0;
			if (have >= quantity) return [];
			const reason = why.get(i) ?? 'nobody offers it';
			return [
				{
					want: key,
					count: quantity - have,
					why: have > 0 ? ('too few are offered' as const) : reason
				}
			];
		}),
		withNothing,
		wantKeys: wants.map(({ key }) => key),
		offerKeys: used.map(({ offer }) => offer.key),
		bundleKeys,
		sellerKeys
	};

	/** What a card of a want costs when nothing else is bought, by the dearest of its offers. */
	function aloneCost(i: number): number {
		let dearest = 0;
		for (const a of arcs[i] ?? []) {
			const { offer, seller } = used[arcOffer[a] ?? 0] ?? {};
			const { direct = null, toHub = null } = modelSellers[seller ?? -1] ?? {};
			const single =
				offer?.breaks.reduce((least, { minor }) => Math.min(least, minor), Infinity) ?? 0;
			const shipment = { cards: 1, grams: CARD_GRAMS, amountMinor: single };
			const ways = [direct, toHub].flatMap((rule) => (rule ? [postageOf(rule, shipment)] : []));
			const forwarding = hub && toHub ? postageOf(hub.forwarding, shipment) : 0;
			const postage = Math.max(0, ...ways.filter((cost) => cost < Infinity));
			dearest = Math.max(dearest, single + postage + (forwarding < Infinity ? forwarding : 0));
		}
		return dearest;
	}
}
