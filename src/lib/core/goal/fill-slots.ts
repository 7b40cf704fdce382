import { conditionRank } from './condition.ts';
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

interface Seat {
	readonly slot: Slot;
	readonly taken: Copy[];
}

/**
 * Fills slots with copies by matching: as many places as can be filled, and among those fillings
 * the one that uses the best-conditioned copies; equal copies are used in the order given.
 *
 * The sets of copies that can be placed together form a transversal matroid (Edmonds and
 * Fulkerson, 1965), so taking copies best first, each by an augmenting path, is exact: a copy once
 * placed is never turned out, only moved to another slot that takes it.
 *
 * @throws RangeError where a slot or copy key stands twice or a quantity is no whole number ≥ 1
 */
export function fillSlots(slots: readonly Slot[], copies: readonly Copy[]): Filling {
	requireDistinct('slot', slots);
	requireDistinct('copy', copies);
	const seats = slots.map((slot): Seat => ({ slot, taken: [] }));
	const seatsByVersion = new Map<string, Seat[]>();
	for (const seat of seats) {
		for (const version of new Set(seat.slot.versions)) {
			const list = seatsByVersion.get(version);
			if (list) list.push(seat);
			else seatsByVersion.set(version, [seat]);
		}
	}

	const fits = (copy: Copy) =>
		(seatsByVersion.get(copy.version) ?? []).filter(
			({ slot }) =>
				slot.leastCondition === undefined ||
				conditionRank(copy.condition) >= conditionRank(slot.leastCondition)
		);
	const place = (copy: Copy): boolean => augment(copy, fits);

	const spares: { copy: string; quantity: number }[] = [];
	const outside: string[] = [];
	const bestFirst = [...copies].sort(
		(a, b) => conditionRank(b.condition) - conditionRank(a.condition)
	);
	for (const copy of bestFirst) {
		if (!seatsByVersion.has(copy.version)) {
			outside.push(copy.key);
			continue;
		}
		let placed = 0;
		while (placed < copy.quantity && place(copy)) placed++;
		if (placed < copy.quantity) spares.push({ copy: copy.key, quantity: copy.quantity - placed });
	}

	return {
		placements: seats.flatMap(({ slot, taken }) =>
			taken.map((copy) => ({ slot: slot.key, copy: copy.key }))
		),
		missing: seats
			.filter(({ slot, taken }) => taken.length < slot.quantity)
			.map(({ slot, taken }) => ({ slot: slot.key, quantity: slot.quantity - taken.length })),
		spares,
		outside
	};
}

/** Breadth-first search for the shortest chain of moves that frees a place for the copy. */
function augment(copy: Copy, fits: (copy: Copy) => readonly Seat[]): boolean {
	const cameFrom = new Map<Seat, { seat: Seat; copy: Copy } | null>();
	const queue: Seat[] = [];
	for (const seat of fits(copy)) {
		cameFrom.set(seat, null);
		queue.push(seat);
	}
	for (let head = 0; head < queue.length; head++) {
		const seat = queue[head] as Seat;
		if (seat.taken.length < seat.slot.quantity) {
			shift(copy, seat, cameFrom);
			return true;
		}
		for (const sitting of new Set(seat.taken)) {
			for (const next of fits(sitting)) {
				if (cameFrom.has(next)) continue;
				cameFrom.set(next, { seat, copy: sitting });
				queue.push(next);
			}
		}
	}
	return false;
}

/** Walks the chain back from the free place: each copy moves one on, the new one takes the first seat. */
function shift(
	copy: Copy,
	free: Seat,
	cameFrom: ReadonlyMap<Seat, { seat: Seat; copy: Copy } | null>
): void {
	let target = free;
	for (let from = cameFrom.get(target); from; from = cameFrom.get(target)) {
		from.seat.taken.splice(from.seat.taken.indexOf(from.copy), 1);
		target.taken.push(from.copy);
		target = from.seat;
	}
	target.taken.push(copy);
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
