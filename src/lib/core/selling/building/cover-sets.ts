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
	type Way = Omit<PartPurchase, 'leftSets'> & { readonly fed: number };
	let ways: (Way | null)[] = Array.from({ length: most + 1 }, (_, sets) =>
		sets === 0 ? { costMinor: 0, bought: [], hours: 0, fed: 0 } : null
	);
	const better = (a: Way | null, b: Way) =>
		!a || b.costMinor < a.costMinor || (b.costMinor === a.costMinor && b.hours < a.hours) ? b : a;
	for (const { key, feedsSets, priceMinor, available, hours } of offers) {
		const useful = Math.min(available, Math.ceil(most / feedsSets));
		const next = [...ways];
		for (const [sets, way] of ways.entries()) {
			if (!way) continue;
			for (let quantity = 1; quantity <= useful; quantity++) {
				const fed = way.fed + quantity * feedsSets;
				const at = Math.min(most, sets + quantity * feedsSets);
				next[at] = better(next[at] ?? null, {
					costMinor: way.costMinor + quantity * priceMinor,
					bought: [...way.bought, { key, quantity }],
					hours: way.hours + quantity * hours,
					fed
				});
				if (at === most) break;
			}
		}
		ways = next;
	}
	// What feeds more feeds fewer as well, and may cost less.
	const all: (PartPurchase | null)[] = [];
	let best: Way | null = null;
	for (let sets = most; sets >= 0; sets--) {
		const way = ways[sets];
		if (way) best = better(best, way);
		if (!best) all.unshift(null);
		else {
			const { fed, ...purchase } = best;
			all.unshift({ ...purchase, leftSets: fed - sets });
		}
	}
	return all;
}
