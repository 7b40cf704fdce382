import type { Sides } from './turned-box.ts';

/** Where a box lies in the parcel: its near lower left corner from that of the parcel, and its sides as it lies; in millimetres. */
export interface Placement {
	readonly key: string;
	readonly xMm: number;
	readonly yMm: number;
	readonly zMm: number;
	readonly alongMm: number;
	readonly acrossMm: number;
	readonly uprightMm: number;
}

type Corner = readonly [number, number, number];

/**
 * Lays boxes in one after the other, each in the lowest, then the furthest back, then the leftmost corner that others leave
 * (extreme points; Crainic, Perboli, Tadei 2008), in the first way in which it goes. Quick, and right where it finds a packing; null
 * says nothing.
 */
export function firstFit(
	pieces: readonly { readonly key: string; readonly ways: readonly Sides[] }[],
	whole: Sides
): readonly Placement[] | null {
	const laid: { readonly at: Corner; readonly sides: Sides }[] = [];
	let corners: Corner[] = [[0, 0, 0]];
	const isFree = (at: Corner, sides: Sides) =>
		at.every((start, i) => start + (sides[i] ?? 0) <= (whole[i] ?? 0)) &&
		laid.every((other) =>
			at.some(
				(start, i) =>
					start >= (other.at[i] ?? 0) + (other.sides[i] ?? 0) ||
					start + (sides[i] ?? 0) <= (other.at[i] ?? 0)
			)
		);
	for (const { ways } of pieces) {
		let found: { at: Corner; sides: Sides } | null = null;
		for (const at of corners) {
			const sides = ways.find((way) => isFree(at, way));
			if (!sides) continue;
			found = { at, sides };
			break;
		}
		if (!found) return null;
		const { at, sides } = found;
		laid.push(found);
		const [x, y, z] = at;
		corners = [
			...corners.filter((corner) => corner !== at),
			[x + sides[0], y, z] as const,
			[x, y + sides[1], z] as const,
			[x, y, z + sides[2]] as const
		].sort((a, b) => a[2] - b[2] || a[1] - b[1] || a[0] - b[0]);
	}
	return laid.map(({ at: [xMm, yMm, zMm], sides: [alongMm, acrossMm, uprightMm] }, i) => ({
		...{ key: pieces[i]?.key ?? '', xMm, yMm, zMm, alongMm, acrossMm, uprightMm }
	}));
}
