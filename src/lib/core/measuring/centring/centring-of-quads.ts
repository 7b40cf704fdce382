import { distance, placeWithin, shapeOf, turnOf, type Quad } from './quad.ts';
import type { Point } from './picture.ts';

/** `scan`: flat on the glass, as it is. `photo`: seen at a slant, which the outer edges tell and take out. */
export const PICTURE_KINDS = ['scan', 'photo'] as const;
export type PictureKind = (typeof PICTURE_KINDS)[number];

/** How wide the four borders are, in pixels (of a photo: as parts of the sides, times the mean side). */
export interface Borders {
	readonly left: number;
	readonly right: number;
	readonly top: number;
	readonly bottom: number;
}

/** The part of both borders that the left (or the top) makes, in percent, with how far off it may be in percentage points. */
export interface CentringShare {
	readonly percent: number;
	/** Two standard errors. */
	readonly offBy: number;
	/** "55:45", the wider first as it lies: left:right, top:bottom. */
	readonly ratio: string;
}

/**
 * The widths of the borders between the outer edge of a card and its inner frame: in a scan at the middle of each side, across it.
 */
export function bordersOf(outer: Quad, inner: Quad, kind: PictureKind): Borders {
	if (kind === 'photo') {
		const { topPx, bottomPx, leftPx, rightPx } = shapeOf(outer);
		const [width, height] = [(topPx + bottomPx) / 2, (leftPx + rightPx) / 2];
		const at = (point: Point) => placeWithin(outer, point);
		const [tl, tr, br, bl] = [
			inner.topLeft,
			inner.topRight,
			inner.bottomRight,
			inner.bottomLeft
		].map(at) as [Point, Point, Point, Point];
		return {
			left: ((tl.x + bl.x) / 2) * width,
			right: (1 - (tr.x + br.x) / 2) * width,
			top: ((tl.y + tr.y) / 2) * height,
			bottom: (1 - (bl.y + br.y) / 2) * height
		};
	}
	const side = (from: keyof Quad, to: keyof Quad) =>
		between([outer[from], outer[to]], [inner[from], inner[to]]);
	return {
		left: side('topLeft', 'bottomLeft'),
		right: side('topRight', 'bottomRight'),
		top: side('topLeft', 'topRight'),
		bottom: side('bottomLeft', 'bottomRight')
	};
}

/** How far the middle of an inner side is from the outer side's line. */
function between([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): number {
	const middle = { x: (c.x + d.x) / 2, y: (c.y + d.y) / 2 };
	const across = (b.x - a.x) * (middle.y - a.y) - (b.y - a.y) * (middle.x - a.x);
	return Math.abs(across) / distance(a, b);
}

/**
 * The share of one border of a pair.
 *
 * @param errorPx standard error of each width
 * @example centringShare(55, 45, [0, 0]).ratio // '55:45'
 */
export function centringShare(
	near: number,
	far: number,
	[nearError, farError]: readonly [number, number]
): CentringShare {
	const whole = near + far;
	if (!(whole > 0)) return { percent: 50, offBy: 50, ratio: '50:50' };
	const percent = (100 * near) / whole;
	const error = (100 * Math.hypot(far * nearError, near * farError)) / whole ** 2;
	const rounded = Math.round(percent);
	return { percent, offBy: 2 * error, ratio: `${rounded}:${100 - rounded}` };
}

/** How far a card is turned, its sides and corners, in pixels and degrees. */
export function outlineOf(outer: Quad) {
	return { turnDeg: turnOf(outer), ...shapeOf(outer) };
}
