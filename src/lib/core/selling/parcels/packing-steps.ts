import type { Placement } from './first-fit.ts';
import type { Size } from './turned-box.ts';

/** A box as it is laid in, in the order in which it is done. */
export interface PackingStep extends Placement {
	/** Counts from 1. */
	readonly step: number;
	readonly lies: 'flat' | 'on its side' | 'on its end';
	/** 0: on the bottom. */
	readonly layer: number;
	/** "back left"; empty where it takes up all of the parcel's floor. */
	readonly at: string;
}

/**
 * The boxes of a parcel in an order in which they can be laid in: none before those that it stands on, the lowest first, then from
 * the back left. A box counts as one layer above the highest that lies under it.
 *
 * @param sizeOf the outer size of a kind of box
 * @param floor the inner length and width of the parcel
 */
export function packingSteps(
	placements: readonly Placement[],
	sizeOf: (key: string) => Size | undefined,
	floor: Pick<Size, 'lengthMm' | 'widthMm'>
): readonly PackingStep[] {
	const inOrder = [...placements].sort((a, b) => a.zMm - b.zMm || a.yMm - b.yMm || a.xMm - b.xMm);
	const layers = new Map<Placement, number>();
	for (const box of inOrder) {
		const under = inOrder.filter(
			(other) => other.zMm + other.uprightMm <= box.zMm && overlaps(other, box)
		);
		layers.set(box, Math.max(0, ...under.map((other) => (layers.get(other) ?? 0) + 1)));
	}
	return inOrder.map((box, i) => {
		const size = sizeOf(box.key);
		const lies =
			!size || box.uprightMm === size.heightMm
				? 'flat'
				: box.uprightMm === size.widthMm
					? 'on its side'
					: 'on its end';
		return { ...box, step: i + 1, lies, layer: layers.get(box) ?? 0, at: placeOf(box, floor) };
	});
}

/** A box that reaches over more than this part of a side from its near end takes up all of it. */
const WHOLE_SIDE = 0.66;
/** A box that ends beyond this part of a side lies at its far end. */
const FAR_END = 0.9;

/** Where a box lies, seen from above with the front near: "back left", "middle"; empty where it takes up the floor. */
function placeOf(box: Placement, { lengthMm, widthMm }: Pick<Size, 'lengthMm' | 'widthMm'>) {
	const across = sideOf([box.yMm, box.acrossMm, widthMm], ['back', 'front']);
	const along = sideOf([box.xMm, box.alongMm, lengthMm], ['left', 'right']);
	return across === along ? across : `${across} ${along}`.trim();
}

function sideOf(
	[from, size, whole]: readonly [number, number, number],
	[near, far]: readonly [string, string]
): string {
	if (from === 0) return size > WHOLE_SIDE * whole ? '' : near;
	return from + size >= FAR_END * whole ? far : 'middle';
}

/** Whether two boxes lie over each other, seen from above. */
function overlaps(a: Placement, b: Placement): boolean {
	return (
		a.xMm < b.xMm + b.alongMm &&
		b.xMm < a.xMm + a.alongMm &&
		a.yMm < b.yMm + b.acrossMm &&
		b.yMm < a.yMm + a.acrossMm
	);
}

/**
 * The same boxes in the order in which they are drawn, seen from the front right above: what lies behind, to the left or below comes
 * first. Boxes that do not cut each other always have such an order along these three axes, unless they lie in a ring; then the lowest
 * of what is left comes first.
 */
export function drawingOrder<Box extends Placement>(boxes: readonly Box[]): readonly Box[] {
	const left = new Set(boxes);
	const drawn: Box[] = [];
	while (left.size > 0) {
		const free = [...left].filter((box) =>
			[...left].every((other) => other === box || !isBehind(other, box))
		);
		const [first] = (free.length > 0 ? free : [...left]).sort(
			(a, b) => a.zMm - b.zMm || a.yMm - b.yMm || a.xMm - b.xMm
		);
		if (!first) break;
		drawn.push(first);
		left.delete(first);
	}
	return drawn;
}

/** Whether a box is wholly behind, left of or below another one; x goes right, y to the front, z up. */
function isBehind(a: Placement, b: Placement): boolean {
	const isApartFront =
		b.xMm + b.alongMm <= a.xMm || b.yMm + b.acrossMm <= a.yMm || b.zMm + b.uprightMm <= a.zMm;
	if (isApartFront) return false;
	return a.xMm + a.alongMm <= b.xMm || a.yMm + a.acrossMm <= b.yMm || a.zMm + a.uprightMm <= b.zMm;
}
