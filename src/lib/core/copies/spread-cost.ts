import { sum } from 'd3-array';
import { bad, good, type Outcome } from '../problem.ts';

/** Cards of a copy that a cost is spread over. */
export interface SpreadCopy {
	readonly key: string;
	readonly quantity: number;
	/** What one is worth, in minor units; null: not known. */
	readonly valueMinor: number | null;
}

/** By share: every card alike. By value: as much as it is worth. */
export const SPREADS = ['share', 'value'] as const;
export type Spread = (typeof SPREADS)[number];

/** Cards of a copy that cost the same. */
export interface CostPart {
	readonly key: string;
	readonly quantity: number;
	/** What one of them cost, in minor units. */
	readonly costMinor: number;
}

/**
 * Spreads what a lot cost over its cards, to the last minor unit: each card gets its share rounded down, and
 * what is left goes to those with the largest part cut off, one unit each (largest remainders). Cards of a
 * copy may differ by a unit, then they are two parts. By value, every copy has to be valued.
 *
 * @throws RangeError where the total is no whole number ≥ 0, or there is no card
 * @example spreadCost(1000, [{ key: 'a', quantity: 3, valueMinor: null }], 'share') // { ok: true, value: [{ key: 'a', quantity: 1, costMinor: 334 }, { key: 'a', quantity: 2, costMinor: 333 }], notes: [] }
 */
export function spreadCost(
	totalMinor: number,
	copies: readonly SpreadCopy[],
	by: Spread
): Outcome<readonly CostPart[]> {
	const cards = sum(copies, ({ quantity }) => quantity);
	if (!Number.isSafeInteger(totalMinor) || totalMinor < 0 || cards < 1) {
		throw new RangeError(`spreadCost: ${totalMinor} over ${cards} cards`);
	}
	const unvalued = copies.filter(({ valueMinor }) => valueMinor === null);
	const worth = sum(copies, ({ quantity, valueMinor }) => quantity * (valueMinor ?? 0));
	if (by === 'value' && (unvalued.length > 0 || worth === 0)) {
		const count = sum(unvalued, ({ quantity }) => quantity);
		const message =
			worth === 0 ? 'no card of these has a value' : `${count} cards of these have no value`;
		return bad([
			{ field: 'by', message, remedy: 'Spread it by share, or say what they are worth.' }
		]);
	}
	// In whole numbers throughout: total and worth may be large.
	const [total, whole] = [BigInt(totalMinor), BigInt(by === 'value' ? worth : cards)];
	const shares = copies.map((copy) => {
		const weight = BigInt(by === 'value' ? (copy.valueMinor ?? 0) : 1);
		const share = total * weight;
		return { copy, floor: share / whole, rest: share % whole };
	});
	let left = Number(
		total - shares.reduce((all, { copy, floor }) => all + floor * BigInt(copy.quantity), 0n)
	);
	const more = new Map<string, number>();
	for (const { copy } of [...shares].sort((a, b) =>
		a.rest < b.rest ? 1 : a.rest > b.rest ? -1 : 0
	)) {
		const count = Math.min(left, copy.quantity);
		more.set(copy.key, count);
		left -= count;
	}
	return good(
		shares.flatMap(({ copy: { key, quantity }, floor }) => {
			const dearer = more.get(key) ?? 0;
			return [
				{ key, quantity: dearer, costMinor: Number(floor) + 1 },
				{ key, quantity: quantity - dearer, costMinor: Number(floor) }
			].filter((part) => part.quantity > 0);
		})
	);
}
