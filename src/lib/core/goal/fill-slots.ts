import { at } from '../at.ts';
import { conditionRank, qualityRank } from '../copies/condition.ts';
import { versionsOfCopy, type Copy } from '../copies/copy.ts';
import { countsForOf, fillCluster, hasNeeds, preferenceOf, type Given } from './fill-cluster.ts';
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
	/** Copies that no slot of the goal takes: of other versions, or not good enough for any. */
	readonly outside: readonly string[];
}

/** Slots and copies that have to do with each other, by their places in the lists. */
interface Cluster {
	readonly slots: number[];
	readonly copies: number[];
}

/**
 * Fills slots with copies by matching: most places filled; then the best copies in the first tier
 * (and, of equally good fillings, the most of them: a copy nobody has looked at fills the first set
 * before the second), then in the next; then what lies in a slot already stays; of equal copies the
 * first given is used. Exact: slots that share no version are told apart, and each cluster is an
 * assignment of its own. An intact panel may fill a slot of each of its cards (`Slot.panels`).
 *
 * @throws RangeError where a slot or copy key stands twice or a quantity is no whole number ≥ 1
 */
export function fillSlots(slots: readonly Slot[], copies: readonly Copy[]): Filling {
	requireDistinct('slot', slots);
	requireDistinct('copy', copies);
	const clusters = clustersOf(slots, copies);
	const wanting = slotsByVersion(slots);
	/** How often a copy is used; an intact panel as often as its card that takes the most. */
	const taken = new Map<number, Map<string, number>>();
	const given: number[][] = slots.map(() => []);
	const fitting = new Set<number>();
	for (const { slots: slotsHere, copies: copiesHere } of clusters) {
		const able = copiesHere.filter((c) => {
			const copy = copies[c] as Copy;
			return slotsOfCopy(wanting, copy).some((slot) => fitsSlot(slot, copy));
		});
		for (const c of able) fitting.add(c);
		for (const [slot, copy, units] of fill(slotsHere, able, slots, copies)) {
			const use = countsForOf(slots[slot] as Slot, copies[copy] as Copy);
			const uses = taken.get(copy) ?? new Map<string, number>();
			taken.set(copy, uses.set(use, (uses.get(use) ?? 0) + units));
			for (let i = 0; i < units; i++) given[slot]?.push(copy);
		}
	}
	const usedOf = (c: number) => Math.max(0, ...(taken.get(c)?.values() ?? []));
	const unfit = copies.flatMap(({ key }, c) => (fitting.has(c) ? [] : [key]));
	return {
		placements: slots.flatMap(({ key }, s) =>
			(given[s] ?? []).map((c) => ({ slot: key, copy: at(copies, c).key }))
		),
		missing: slots.flatMap(({ key, quantity }, s) => {
			const short = quantity - (given[s]?.length ?? 0);
			return short > 0 ? [{ slot: key, quantity: short }] : [];
		}),
		spares: copies.flatMap(({ key, quantity }, c) => {
			const left = quantity - usedOf(c);
			return left > 0 && fitting.has(c) ? [{ copy: key, quantity: left }] : [];
		}),
		outside: unfit
	};
}

/** Whether a copy may fill a slot. */
export function fitsSlot(slot: Slot, copy: Copy): boolean {
	return (
		isOfVersions(slot.versions, copy) &&
		qualityRank(copy) >= conditionRank(slot.leastCondition) &&
		hasNeeds(slot, copy)
	);
}

function isOfVersions(versions: readonly string[], copy: Copy): boolean {
	if (versions.includes(copy.version)) return true;
	return copy.alsoVersions?.some((version) => versions.includes(version)) ?? false;
}

/** The slots that each version may fill, in their order. */
export function slotsByVersion(slots: readonly Slot[]): ReadonlyMap<string, readonly Slot[]> {
	const found = new Map<string, Slot[]>();
	for (const slot of slots) {
		for (const version of slot.versions) {
			const list = found.get(version);
			if (list) list.push(slot);
			else found.set(version, [slot]);
		}
	}
	return found;
}

/** The slots that take one of a copy's versions, each once; whether it is good enough is not asked. */
export function slotsOfCopy(
	byVersion: ReadonlyMap<string, readonly Slot[]>,
	copy: Copy
): readonly Slot[] {
	if (!copy.alsoVersions?.length) return byVersion.get(copy.version) ?? [];
	return [...new Set(versionsOfCopy(copy).flatMap((version) => byVersion.get(version) ?? []))];
}

function fill(
	slotsHere: readonly number[],
	copiesHere: readonly number[],
	slots: readonly Slot[],
	copies: readonly Copy[]
): readonly Given[] {
	const [only] = slotsHere;
	return slotsHere.length === 1 && only !== undefined
		? fillOne(only, copiesHere, slots, copies)
		: fillCluster(slotsHere, copiesHere, slots, copies);
}

/** A slot that shares its versions with no other one: the best copies go in. */
function fillOne(
	slot: number,
	copiesHere: readonly number[],
	slots: readonly Slot[],
	copies: readonly Copy[]
): readonly Given[] {
	const wanted = slots[slot] as Slot;
	const held = (c: number) => (copies[c]?.heldIn === wanted.key ? 0 : 1);
	const rank = (c: number) => qualityRank(copies[c] as Copy);
	const preference = (c: number) => preferenceOf(wanted, at(copies, c));
	const best = copiesHere
		.filter((c) => fitsSlot(wanted, copies[c] as Copy))
		.sort(
			(a, b) => rank(b) - rank(a) || held(a) - held(b) || preference(a) - preference(b) || a - b
		);
	let open = wanted.quantity;
	return best.flatMap((c): Given[] => {
		const units = Math.min(open, at(copies, c).quantity);
		open -= units;
		return units > 0 ? [[slot, c, units]] : [];
	});
}

/** Parts slots and copies into clusters that share no version; those without a copy are left out. */
function clustersOf(slots: readonly Slot[], copies: readonly Copy[]): readonly Cluster[] {
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
	// A copy of two versions ties their slots together.
	for (const copy of copies) {
		if (!copy.alsoVersions?.length) continue;
		const [first, ...others] = versionsOfCopy(copy).filter((version) => root.has(version));
		for (const other of others) if (first !== undefined) root.set(find(other), find(first));
	}
	const clusters = new Map<string, Cluster>();
	slots.forEach(({ versions: [first] }, s) => {
		if (first === undefined) return;
		const key = find(first);
		const cluster = clusters.get(key);
		if (cluster) cluster.slots.push(s);
		else clusters.set(key, { slots: [s], copies: [] });
	});
	copies.forEach((copy, c) => {
		const version = copy.alsoVersions?.length
			? versionsOfCopy(copy).find((other) => root.has(other))
			: copy.version;
		if (version !== undefined && root.has(version)) clusters.get(find(version))?.copies.push(c);
	});
	return [...clusters.values()].filter((cluster) => cluster.copies.length > 0);
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
