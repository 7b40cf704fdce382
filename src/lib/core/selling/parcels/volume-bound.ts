import type { Sides } from './turned-box.ts';

/** Thresholds that are tried along each axis: parts of the parcel's side. */
const PARTS = [0, 1 / 3, 1 / 2, 1 / 4, 1 / 5] as const;

/**
 * Whether boxes cannot go into a parcel because they would fill more than it holds: by volume, and by volume after sides have
 * been rounded in ways that never make a packing impossible (dual feasible functions; Fekete and Schepers 2004, A General
 * Framework for Bounds for Higher-Dimensional Orthogonal Packing Problems). True is a proof; false says nothing.
 *
 * @param boxes the ways in which each may lie
 */
export function isTooMuch(boxes: readonly (readonly Sides[])[], parcel: Sides): boolean {
	const rounders = PARTS.map(
		(part) => (side: number, whole: number) => rounded(side / whole, part)
	);
	return rounders.some((along) =>
		rounders.some((across) =>
			rounders.some((up) => {
				const filled = boxes.reduce((sum, ways) => {
					const least = Math.min(
						...ways
							.filter((way) => way.every((side, i) => side <= (parcel[i] ?? 0)))
							.map(([x, y, z]) => along(x, parcel[0]) * across(y, parcel[1]) * up(z, parcel[2]))
					);
					return sum + least;
				}, 0);
				return filled > 1 + 1e-9;
			})
		)
	);
}

/**
 * A dual feasible function on parts of a side. Part 0: as it is. 1/k: multiples of it count as they are less their rest, in units of
 * what fits (u of order k): x(k + 1) whole stays x, else ⌊x(k + 1)⌋ / k.
 */
function rounded(x: number, part: number): number {
	if (part === 0) return x;
	const k = Math.round(1 / part) - 1;
	const scaled = x * (k + 1);
	return Math.abs(scaled - Math.round(scaled)) < 1e-9 ? x : Math.floor(scaled) / k;
}
