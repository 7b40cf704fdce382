/** A size that a card should have, and how far off it may be, in millimetres. */
export interface SizeTolerance {
	readonly widthMm: number;
	readonly heightMm: number;
	readonly offMm: number;
	/** How far a corner may be off a right angle. */
	readonly offDeg: number;
}

/** Common practice, no source: half a millimetre, half a degree. */
export const USUAL_SIZE_TOLERANCE = { offMm: 0.5, offDeg: 0.5 } as const;

/** What a measured size says. */
export interface SizeVerdict {
	/** Measured less stated: below nothing it is short. */
	readonly widthOffMm: number;
	readonly heightOffMm: number;
	readonly isSquare: boolean;
	/** `as stated`: within the tolerance both ways. `short`: trimmed, or cut by hand within the line. `long`: cut outside it. */
	readonly verdict: 'as stated' | 'short' | 'long' | 'not square';
}

/**
 * Whether a card has the size it should have. A hand-cut card that is small proves nothing by itself: trust the mark of an issue,
 * not the ruler.
 *
 * @example judgeSize({ widthMm: 62.9, heightMm: 88.9, offSquareDeg: 0.1 }, { widthMm: 63.5, heightMm: 88.9, offMm: 0.5, offDeg: 0.5 }).verdict // 'short'
 */
export function judgeSize(
	measured: {
		readonly widthMm: number;
		readonly heightMm: number;
		readonly offSquareDeg: number;
	},
	{ widthMm, heightMm, offMm, offDeg }: SizeTolerance
): SizeVerdict {
	const [widthOffMm, heightOffMm] = [measured.widthMm - widthMm, measured.heightMm - heightMm];
	const isSquare = measured.offSquareDeg <= offDeg;
	const shortest = Math.min(widthOffMm, heightOffMm);
	const longest = Math.max(widthOffMm, heightOffMm);
	const verdict =
		shortest < -offMm ? 'short' : longest > offMm ? 'long' : isSquare ? 'as stated' : 'not square';
	return { widthOffMm, heightOffMm, isSquare, verdict };
}
