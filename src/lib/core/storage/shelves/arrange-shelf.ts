/** A box on a shelf: how far from the left, and on how many others it stands. */
export interface ArrangedBox {
	readonly key: string;
	readonly leftMm: number;
	/** 0: on the board itself. */
	readonly layer: number;
}

export interface ShelfArrangement {
	readonly boxes: readonly ArrangedBox[];
	readonly layers: number;
	/** ● Between stacked boxes lies a board, so that one can be pulled out: so many. Common practice, no source. */
	readonly boards: number;
	/** What is longer than the shelf itself. */
	readonly tooLong: readonly string[];
}

/**
 * Stands boxes on a shelf from the left in their order; where it is full the next ones stand on them.
 *
 * @throws RangeError where the shelf has no length
 */
export function arrangeShelf(
	boxes: readonly { readonly key: string; readonly lengthMm: number }[],
	shelfMm: number
): ShelfArrangement {
	if (!(shelfMm > 0)) throw new RangeError(`arrangeShelf: a shelf of ${shelfMm} mm`);
	const arranged: ArrangedBox[] = [];
	let layer = 0;
	let leftMm = 0;
	for (const { key, lengthMm } of boxes) {
		if (leftMm > 0 && leftMm + lengthMm > shelfMm) {
			layer++;
			leftMm = 0;
		}
		arranged.push({ key, leftMm, layer });
		leftMm += lengthMm;
	}
	return {
		boxes: arranged,
		layers: arranged.length === 0 ? 0 : layer + 1,
		boards: arranged.filter((box) => box.layer > 0).length,
		tooLong: boxes.filter(({ lengthMm }) => lengthMm > shelfMm).map(({ key }) => key)
	};
}
