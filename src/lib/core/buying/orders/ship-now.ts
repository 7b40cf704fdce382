import { sum } from 'd3-array';
import { postageOf, type PostageRule, type Shipment } from '../offers/postage-rule.ts';

/** Cards of an order by the hub. */
export interface HubParcel extends Shipment {
	readonly key: string;
	/** Days until it is at the hub, as far as is known; 0: it lies there. null: nobody knows. */
	readonly days: number | null;
}

/** What shipping now costs, against waiting for what is still to come. */
export interface ShipAdvice {
	/** What lies at the hub, forwarded now. */
	readonly nowMinor: number;
	/** What is still to come, forwarded later by itself. */
	readonly laterMinor: number;
	/** Each time something arrives: what was waited for until then, and what all of it costs altogether. */
	readonly waits: readonly {
		readonly days: number;
		/** Keys of all that goes together then. */
		readonly parcels: readonly string[];
		/** That parcel, and the rest by itself afterwards. */
		readonly totalMinor: number;
	}[];
	/** The cheapest: 0 is to ship now; of equally cheap ones the soonest. */
	readonly bestDays: number;
	/** What is saved by it against shipping now. */
	readonly savesMinor: number;
	/** Keys of what comes nobody knows when: in `laterMinor`, and waited for by nobody. */
	readonly unknown: readonly string[];
}

/**
 * Whether to have the hub forward what lies there now, or to wait for what is on its way: forwarding goes by steps, so
 * a fuller parcel costs less a card. Exact for one parcel now or later and all the rest in one more. An infinite sum
 * says that the rule takes no parcel of that size.
 *
 * @example shipNow({ sort: 'tiers', by: 'cards', tiers: [{ from: 1, to: 50, minor: 900 }, { from: 51, to: null, minor: 1200 }] }, [{ key: 'a', cards: 20, grams: 36, amountMinor: 0, days: 0 }, { key: 'b', cards: 25, grams: 45, amountMinor: 0, days: 6 }]).savesMinor // 900
 */
export function shipNow(rule: PostageRule, parcels: readonly HubParcel[]): ShipAdvice {
	const costOf = (some: readonly HubParcel[]) =>
		postageOf(rule, {
			cards: sum(some, ({ cards }) => cards),
			grams: sum(some, ({ grams }) => grams),
			amountMinor: sum(some, ({ amountMinor }) => amountMinor)
		});
	const at = (days: number) =>
		parcels.filter((parcel) => parcel.days !== null && parcel.days <= days);
	const rest = (days: number) =>
		parcels.filter((parcel) => parcel.days === null || parcel.days > days);
	const known = parcels.flatMap(({ days }) => days ?? []);
	const waits = [...new Set([0, ...known])]
		.sort((a, b) => a - b)
		.map((days) => ({
			days,
			parcels: at(days).map(({ key }) => key),
			totalMinor: costOf(at(days)) + costOf(rest(days))
		}));
	const now = waits[0] ?? { days: 0, parcels: [], totalMinor: 0 };
	const best = waits.reduce(
		(least, wait) => (wait.totalMinor < least.totalMinor ? wait : least),
		now
	);
	return {
		nowMinor: costOf(at(0)),
		laterMinor: costOf(rest(0)),
		waits,
		bestDays: best.days,
		savesMinor: best === now ? 0 : now.totalMinor - best.totalMinor,
		unknown: parcels.filter(({ days }) => days === null).map(({ key }) => key)
	};
}
