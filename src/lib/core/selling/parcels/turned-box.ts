/** Outer size of a box or inner size of a parcel, in whole millimetres. */
export interface Size {
	readonly lengthMm: number;
	readonly widthMm: number;
	readonly heightMm: number;
}

/** How a box may be turned: any way, or only about the upright, so that its lid stays on top. */
export const TURNINGS = ['any', 'upright'] as const;
export type Turning = (typeof TURNINGS)[number];

/** The three sides of a box as it lies: along the parcel, across it, upright; in millimetres. */
export type Sides = readonly [number, number, number];

/**
 * The ways in which a box can lie, each once.
 *
 * @example [turnedWays({ lengthMm: 2, widthMm: 1, heightMm: 1 }, 'any').length, turnedWays({ lengthMm: 3, widthMm: 2, heightMm: 1 }, 'upright')] // [3, [[3, 2, 1], [2, 3, 1]]]
 */
export function turnedWays(
	{ lengthMm: l, widthMm: w, heightMm: h }: Size,
	turning: Turning
): readonly Sides[] {
	const all: readonly Sides[] =
		turning === 'upright'
			? [
					[l, w, h],
					[w, l, h]
				]
			: [
					[l, w, h],
					[w, l, h],
					[l, h, w],
					[h, l, w],
					[w, h, l],
					[h, w, l]
				];
	return [...new Map(all.map((sides) => [sides.join(), sides])).values()];
}
