import type { Point } from './picture.ts';
import type { RobustLine } from './robust-line.ts';

/** Four corners of a card in a picture, as it lies there. */
export interface Quad {
	readonly topLeft: Point;
	readonly topRight: Point;
	readonly bottomRight: Point;
	readonly bottomLeft: Point;
}

/** The four sides as lines: left and right as x over y, top and bottom as y over x. */
export interface SideLines {
	readonly left: Pick<RobustLine, 'at' | 'slope'>;
	readonly right: Pick<RobustLine, 'at' | 'slope'>;
	readonly top: Pick<RobustLine, 'at' | 'slope'>;
	readonly bottom: Pick<RobustLine, 'at' | 'slope'>;
}

/** Where the sides meet. */
export function quadOf({ left, right, top, bottom }: SideLines): Quad {
	return {
		topLeft: meet(left, top),
		topRight: meet(right, top),
		bottomRight: meet(right, bottom),
		bottomLeft: meet(left, bottom)
	};
}

function meet(upright: SideLines['left'], level: SideLines['top']): Point {
	const y = (level.at + level.slope * upright.at) / (1 - level.slope * upright.slope);
	return { x: upright.at + upright.slope * y, y };
}

/** Lengths of the sides, in pixels, and by how much each corner is off a right angle, in degrees (above 0: wider). */
export function shapeOf(quad: Quad) {
	const { topLeft, topRight, bottomRight, bottomLeft } = quad;
	const corners = [topLeft, topRight, bottomRight, bottomLeft];
	return {
		topPx: distance(topLeft, topRight),
		bottomPx: distance(bottomLeft, bottomRight),
		leftPx: distance(topLeft, bottomLeft),
		rightPx: distance(topRight, bottomRight),
		offSquareDeg: corners.map((corner, i) => {
			const [before, after] = [corners[(i + 3) % 4] ?? corner, corners[(i + 1) % 4] ?? corner];
			const angle =
				Math.atan2(before.y - corner.y, before.x - corner.x) -
				Math.atan2(after.y - corner.y, after.x - corner.x);
			return (((angle * 180) / Math.PI + 360) % 360) - 90;
		})
	};
}

/** How far a card is turned, clockwise in degrees: the mean of its four sides. */
export function turnOf({ topLeft, topRight, bottomRight, bottomLeft }: Quad): number {
	const level = (a: Point, b: Point) => Math.atan2(b.y - a.y, b.x - a.x);
	const upright = (a: Point, b: Point) => Math.atan2(a.x - b.x, b.y - a.y);
	const angles = [
		level(topLeft, topRight),
		level(bottomLeft, bottomRight),
		upright(topLeft, bottomLeft),
		upright(topRight, bottomRight)
	];
	return (angles.reduce((sum, angle) => sum + angle, 0) / 4) * (180 / Math.PI);
}

export function distance(a: Point, b: Point): number {
	return Math.hypot(b.x - a.x, b.y - a.y);
}

/**
 * Where a place lies within a quad, as parts of its width and height, as if the quad were a rectangle seen at a slant
 * (projective map of the unit square; Heckbert 1989, Fundamentals of Texture Mapping and Image Warping, 2.2.3).
 */
export function placeWithin(quad: Quad, { x, y }: Point): Point {
	const { topLeft: a, topRight: b, bottomRight: c, bottomLeft: d } = quad;
	const [sx, sy] = [a.x - b.x + c.x - d.x, a.y - b.y + c.y - d.y];
	const [dx1, dy1, dx2, dy2] = [b.x - c.x, b.y - c.y, d.x - c.x, d.y - c.y];
	const whole = dx1 * dy2 - dx2 * dy1;
	const g = (sx * dy2 - dx2 * sy) / whole;
	const h = (dx1 * sy - sx * dy1) / whole;
	// x (g u + h v + 1) = m u + n v + a.x, and y likewise: two equations for u and v.
	const [m, n] = [b.x - a.x + g * b.x, d.x - a.x + h * d.x];
	const [p, q] = [b.y - a.y + g * b.y, d.y - a.y + h * d.y];
	const [k1, l1, r1] = [m - g * x, n - h * x, x - a.x];
	const [k2, l2, r2] = [p - g * y, q - h * y, y - a.y];
	const determinant = k1 * l2 - k2 * l1;
	return { x: (r1 * l2 - r2 * l1) / determinant, y: (k1 * r2 - k2 * r1) / determinant };
}
