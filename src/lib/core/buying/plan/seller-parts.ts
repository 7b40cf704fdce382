/** Part of what a seller would take: cards of an arc (or a bundle) with what they bring; below 0 where they pay. */
export interface Part {
	readonly value: number;
	readonly cards: number;
	readonly grams: number;
	readonly amount: number;
	/** So many of each of these arcs; of a bundle none. */
	readonly arcs: readonly number[];
	readonly count: number;
	/** Place of the bundle, or -1. */
	readonly bundle: number;
}

/** What a seller takes when nothing limits it, and what may be left out or added. */
export interface Parts {
	/** Sums of all that is taken, with what is fixed. */
	readonly value: number;
	readonly cards: number;
	readonly grams: number;
	readonly amount: number;
	/** What is taken and may be left out. */
	readonly taken: readonly Part[];
	/** What is not taken, for it brings a loss; it may be added to reach an amount. */
	readonly left: readonly Part[];
}

/** The best value under a limit, with the shares of parts that were left out (below 0) or added (above 0). */
export interface Limited {
	readonly value: number;
	readonly shares: readonly (readonly [part: Part, share: number])[];
}

/**
 * The best value with cards for at least so much, part of a card allowed: the lower bound of a least order, or of what
 * goes free. Null where there are not so many cards.
 */
export function withAmount({ value, amount, left }: Parts, asked: number): Limited | null {
	if (amount >= asked) return { value, shares: [] };
	const shares: [Part, number][] = [];
	let [short, best] = [asked - amount, value];
	const sorted = left
		.filter((part) => part.amount > 0)
		.sort((a, b) => a.value / a.amount - b.value / b.amount);
	for (const part of sorted) {
		const share = Math.min(1, short / part.amount);
		best += share * part.value;
		short -= share * part.amount;
		shares.push([part, share]);
		if (short <= 1e-9) return { value: best, shares };
	}
	return null;
}

/** The best value within so many cards or grams, part of a card allowed; null where what is fixed is more. */
export function withinLoad(parts: Parts, by: 'cards' | 'grams', most: number): Limited | null {
	const shares: [Part, number][] = [];
	let [over, value] = [parts[by] - most, parts.value];
	if (over <= 0) return { value, shares };
	const sorted = parts.taken
		.filter((part) => part[by] > 0)
		.sort((a, b) => b.value / b[by] - a.value / a[by]);
	for (const part of sorted) {
		const share = Math.min(1, over / part[by]);
		value -= share * part.value;
		over -= share * part[by];
		shares.push([part, -share]);
		if (over <= 1e-9) return { value, shares };
	}
	return null;
}

/**
 * The corners of the lower convex hull of points in the order of x: no mixture of points lies below it.
 *
 * @example lowerHull([{ x: 0, y: 0 }, { x: 1, y: -1 }, { x: 2, y: -4 }]) // [0, 2]
 */
export function lowerHull(
	points: readonly { readonly x: number; readonly y: number }[]
): readonly number[] {
	const corners: number[] = [];
	for (let i = 0; i < points.length; i++) {
		const c = points[i] as { x: number; y: number };
		for (;;) {
			const b = points[corners.at(-1) ?? -1];
			if (!b) break;
			if (b.x === c.x) {
				if (b.y <= c.y) break;
				corners.pop();
				continue;
			}
			const a = points[corners.at(-2) ?? -1];
			if (!a || (b.y - a.y) * (c.x - a.x) < (c.y - a.y) * (b.x - a.x)) break;
			corners.pop();
		}
		const last = points[corners.at(-1) ?? -1];
		if (last?.x !== c.x) corners.push(i);
	}
	return corners;
}
