import { assign, type Fit } from './assign.ts';
import { conditionRank, qualityRank } from './condition.ts';
import type { Copy } from './copy.ts';
import type { Slot } from './slot.ts';

/** One unit of a pile in one slot. */
export interface Placement {
	readonly slot: string;
	readonly copy: string;
}

/** What copies do for the slots of a goal. Quantities count cards. */
export interface Filling {
	readonly placements: readonly Placement[];
	/** Slots that still take copies, with how many. */
	readonly missing: readonly { readonly slot: string; readonly quantity: number }[];
	/** Copies that fit a slot of the goal but are not used, with how many. */
	readonly spares: readonly { readonly copy: string; readonly quantity: number }[];
	/** Copies that no slot of the goal takes. */
	readonly outside: readonly string[];
}

/** Slots and copies that have to do with each other, by their places in the lists. */
interface Cluster {
	readonly slots: number[];
	readonly copies: number[];
}

/**
 * Fills slots with copies by matching: most places filled; then the best copies in the first tier,
 * then in the next; then what lies in a slot already stays; of equal copies the first given is used.
 * Exact: slots that share no version are told apart, and each cluster is an assignment of its own.
 *
 * @throws RangeError where a slot or copy key stands twice or a quantity is no whole number ≥ 1
 */
export function fillSlots(slots: readonly Slot[], copies: readonly Copy[]): Filling {
	requireDistinct('slot', slots);
	requireDistinct('copy', copies);
	const { clusters, outside } = clusterOf(slots, copies);
	const taken = new Array<number>(copies.length).fill(0);
	const given: number[][] = slots.map(() => []);
	for (const cluster of clusters) {
		for (const [slot, copy, units] of fillCluster(cluster, slots, copies)) {
			taken[copy] = (taken[copy] ?? 0) + units;
			for (let i = 0; i < units; i++) given[slot]?.push(copy);
		}
	}
	const isOutside = new Set(outside);
	return {
		placements: slots.flatMap(({ key }, s) =>
			(given[s] ?? []).map((c) => ({ slot: key, copy: copies[c]?.key ?? '' }))
		),
		missing: slots.flatMap(({ key, quantity }, s) => {
			const short = quantity - (given[s]?.length ?? 0);
			return short > 0 ? [{ slot: key, quantity: short }] : [];
		}),
		spares: copies.flatMap(({ key, quantity }, c) => {
			const left = quantity - (taken[c] ?? 0);
			return left > 0 && !isOutside.has(c) ? [{ copy: key, quantity: left }] : [];
		}),
		outside: outside.map((c) => copies[c]?.key ?? '')
	};
}

/** Whether a copy may fill a slot. */
export function fitsSlot(slot: Slot, copy: Copy): boolean {
	return (
		slot.versions.includes(copy.version) &&
		qualityRank(copy) >= conditionRank(slot.leastCondition) &&
		(slot.needs ?? []).every((need) => (copy.attributes ?? []).includes(need))
	);
}

type Given = readonly [slot: number, copy: number, units: number];

function fillCluster(
	{ slots: own, copies: there }: Cluster,
	slots: readonly Slot[],
	copies: readonly Copy[]
): readonly Given[] {
	const [only] = own;
	if (own.length === 1 && only !== undefined) return fillOne(only, there, slots, copies);
	const tiers = [...new Set(own.map((s) => slots[s]?.tier ?? 0))].sort((a, b) => a - b);
	const fits: Fit[] = [];
	there.forEach((c, supply) => {
		const copy = copies[c] as Copy;
		own.forEach((s, demand) => {
			const slot = slots[s] as Slot;
			if (!fitsSlot(slot, copy)) return;
			const rank = qualityRank(copy);
			const cost = [
				...tiers.map((tier) => (tier === (slot.tier ?? 0) ? -rank : 0)),
				copy.heldIn === slot.key ? -1 : 0,
				slot.versions.indexOf(copy.version),
				supply
			];
			fits.push({ supply, demand, cost });
		});
	});
	const flow = assign(
		there.map((c) => copies[c]?.quantity ?? 0),
		own.map((s) => slots[s]?.quantity ?? 0),
		fits
	);
	return fits.flatMap(({ supply, demand }, i): Given[] =>
		(flow[i] ?? 0) > 0 ? [[own[demand] ?? 0, there[supply] ?? 0, flow[i] ?? 0]] : []
	);
}

/** A slot that shares its versions with no other one: the best copies go in. */
function fillOne(
	slot: number,
	there: readonly number[],
	slots: readonly Slot[],
	copies: readonly Copy[]
): readonly Given[] {
	const wanted = slots[slot] as Slot;
	const held = (c: number) => (copies[c]?.heldIn === wanted.key ? 0 : 1);
	const rank = (c: number) => qualityRank(copies[c] as Copy);
	const preference = (c: number) => wanted.versions.indexOf(copies[c]?.version ?? '');
	const best = there
		.filter((c) => fitsSlot(wanted, copies[c] as Copy))
		.sort(
			(a, b) => rank(b) - rank(a) || held(a) - held(b) || preference(a) - preference(b) || a - b
		);
	let open = wanted.quantity;
	return best.flatMap((c): Given[] => {
		const units = Math.min(open, copies[c]?.quantity ?? 0);
		open -= units;
		return units > 0 ? [[slot, c, units]] : [];
	});
}

/** Parts slots and copies into clusters that share no version. */
function clusterOf(slots: readonly Slot[], copies: readonly Copy[]) {
	const root = new Map<string, string>();
	const find = (version: string): string => {
		let at = version;
		for (let up = root.get(at); up !== undefined && up !== at; up = root.get(at)) at = up;
		root.set(version, at);
		return at;
	};
	for (const { versions } of slots) {
		const [first, ...others] = versions;
		if (first === undefined) continue;
		if (!root.has(first)) root.set(first, first);
		for (const other of others) {
			if (!root.has(other)) root.set(other, other);
			root.set(find(other), find(first));
		}
	}
	const clusters = new Map<string, Cluster>();
	slots.forEach(({ versions: [first] }, s) => {
		if (first === undefined) return;
		const key = find(first);
		const cluster = clusters.get(key);
		if (cluster) cluster.slots.push(s);
		else clusters.set(key, { slots: [s], copies: [] });
	});
	const outside: number[] = [];
	copies.forEach(({ version }, c) => {
		const cluster = root.has(version) ? clusters.get(find(version)) : undefined;
		if (cluster) cluster.copies.push(c);
		else outside.push(c);
	});
	return { clusters: [...clusters.values()].filter((one) => one.copies.length > 0), outside };
}

function requireDistinct(
	what: string,
	things: readonly { readonly key: string; readonly quantity: number }[]
): void {
	const seen = new Set<string>();
	for (const { key, quantity } of things) {
		if (seen.has(key)) throw new RangeError(`fillSlots: ${what} "${key}" stands twice`);
		if (!Number.isInteger(quantity) || quantity < 1) {
			throw new RangeError(`fillSlots: ${what} "${key}" has the quantity ${quantity}`);
		}
		seen.add(key);
	}
}
