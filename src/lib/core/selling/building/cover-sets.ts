/** What can be bought of a part of the set: it feeds so many sets. A single copy of the part feeds one. */
export interface PartOffer {
	readonly key: string;
	readonly feedsSets: number;
	readonly priceMinor: number;
	readonly available: number;
	/** What going through it takes. */
	readonly hours: number;
}

/** What is bought of one part. */
export interface PartPurchase {
	readonly costMinor: number;
	readonly bought: readonly { readonly key: string; readonly quantity: number }[];
	readonly hours: number;
	/** Sets' worth of the part that is left over. */
	readonly leftSets: number;
}

/**
 * The cheapest way to have a part for 0, 1, … sets: over all combinations of what is offered. Null where there is not
 * enough. A lot that feeds many serves them all.
 *
 * @param most the most sets
 */
export function coverSets(
	offers: readonly PartOffer[],
	most: number
): readonly (PartPurchase | null)[] {
	const size = most + 1;
	let costs = new Float64Array(size).fill(Infinity);
	let hours = new Float64Array(size);
	costs[0] = 0;
	const bundles = offers.flatMap((offer) => bundlesOf(offer, most));
	/** Of each bundle: how many sets were fed without it where the cheapest way takes it, plus one; 0: it does not. */
	const taken: Int32Array[] = [];
	for (const { offer, quantity } of bundles) {
		const nextCosts = costs.slice();
		const nextHours = hours.slice();
		const chosen = new Int32Array(size);
		for (let sets = 0; sets <= most; sets++) {
			const cost = costs[sets] as number;
			if (cost === Infinity) continue;
			const at = Math.min(most, sets + quantity * offer.feedsSets);
			const minor = cost + quantity * offer.priceMinor;
			const time = (hours[sets] as number) + quantity * offer.hours;
			const known = nextCosts[at] as number;
			if (minor < known || (minor === known && time < (nextHours[at] as number))) {
				nextCosts[at] = minor;
				nextHours[at] = time;
				chosen[at] = sets + 1;
			}
		}
		taken.push(chosen);
		costs = nextCosts;
		hours = nextHours;
	}
	// What feeds more feeds fewer as well, and may cost less.
	const all: (PartPurchase | null)[] = [];
	let best: number | null = null;
	for (let sets = most; sets >= 0; sets--) {
		const cost = costs[sets] as number;
		const isBetter =
			best === null ||
			cost < (costs[best] as number) ||
			(cost === costs[best] && (hours[sets] as number) < (hours[best] as number));
		if (cost < Infinity && isBetter) best = sets;
		all.unshift(best === null ? null : purchaseOf(best, sets));
	}
	return all;

	/** What is bought to feed so many sets, of which so many are wanted. */
	function purchaseOf(fedTo: number, wanted: number): PartPurchase {
		const counts = new Map<PartOffer, number>();
		let at = fedTo;
		let fed = 0;
		for (let i = bundles.length - 1; i >= 0; i--) {
			const before = taken[i]?.[at] ?? 0;
			const bundle = bundles[i];
			if (before === 0 || !bundle) continue;
			const { offer, quantity } = bundle;
			counts.set(offer, (counts.get(offer) ?? 0) + quantity);
			fed += quantity * offer.feedsSets;
			at = before - 1;
		}
		const bought = offers.flatMap((offer) => {
			const quantity = counts.get(offer) ?? 0;
			return quantity > 0 ? [{ key: offer.key, quantity }] : [];
		});
		return {
			...{ costMinor: costs[fedTo] as number, bought, hours: hours[fedTo] as number },
			leftSets: fed - wanted
		};
	}
}

/** An offer in bundles of 1, 2, 4 … and the rest: together they make every number of it, and are few. */
function bundlesOf(offer: PartOffer, most: number) {
	const bundles: { readonly offer: PartOffer; readonly quantity: number }[] = [];
	let left = Math.min(offer.available, Math.ceil(most / offer.feedsSets));
	for (let quantity = 1; left > 0; quantity *= 2) {
		bundles.push({ offer, quantity: Math.min(quantity, left) });
		left -= quantity;
	}
	return bundles;
}
