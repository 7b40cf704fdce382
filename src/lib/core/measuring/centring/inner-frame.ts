import { median, quantile } from 'd3-array';
import { rise } from './outer-edges.ts';
import { colourAt, colourDistance, type Colour, type Picture, type Point } from './picture.ts';
import { distance, type Quad } from './quad.ts';
import { robustLine, type RobustLine } from './robust-line.ts';

export const SIDES = ['left', 'right', 'top', 'bottom'] as const;
export type Side = (typeof SIDES)[number];

/** The inner edge of a border: its depth below the outer edge over the place along it, in pixels. */
export interface InnerEdge extends RobustLine {
	readonly side: Side;
}

/** Scan lines to a side, and how far apart samples on them are, in pixels. */
const SCANS = 150;
const STEP_PX = 0.5;
/** Steps that are left out below the outer edge, for its blur, and steps behind them that show the colour of the border. */
const SKIPPED_STEPS = 5;
const SKIN_STEPS = 7;
/** The border is looked for in this part of the card from each side. */
const DEEPEST_PART = 0.32;
/** What is left out at the ends of a side, where borders of the other sides are. */
const END_PART = 0.2;
/** The least distance that counts as another colour, of 255. */
const LEAST_CONTRAST = 16;
/** A border's colours lie no further apart than this, of 255. */
const MOST_SPREAD = 20;
/** The edge of a border is this sharp at least: a picture's shading, which rises more slowly, is none. */
const SHARP_STEPS = 6;
/** Points within this distance of the line lie on it, in pixels. */
const NEAR_PX = 1.25;
/** A border is seen where the edge is found on at least this part of the scan lines. */
const LEAST_SHARE = 0.5;

/** The inner edge of the border at a side; a reason where there is none to be seen. */
export function findInnerEdge(
	picture: Picture,
	outer: Quad,
	side: Side
): { readonly found: InnerEdge } | { readonly reason: string } {
	const { from, to, inwards, depthPx } = frameOf(outer, side);
	const length = distance(from, to);
	const count = Math.floor((depthPx * DEEPEST_PART) / STEP_PX);
	const scans = Array.from({ length: SCANS }, (_, i) => {
		const part = END_PART + ((1 - 2 * END_PART) * i) / (SCANS - 1);
		const start = { x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part };
		const colourAtStep = (n: number) => colourAcross(picture, start, inwards, (n + 0.5) * STEP_PX);
		return { place: part * length, colourAtStep };
	});
	// Just inside the edge, past its blur: the border's own colour.
	const skin = scans.flatMap(({ colourAtStep }) =>
		Array.from({ length: SKIN_STEPS }, (_, n) => colourAtStep(SKIPPED_STEPS + n))
	);
	const border: Colour = Array.from(
		{ length: picture.channels },
		(_, c) => median(skin, (colour) => colour[c]) ?? 0
	);
	const spread = quantile(
		skin.map((colour) => colourDistance(colour, border)),
		0.75
	);
	if (spread === undefined || spread > MOST_SPREAD) {
		return { reason: `no border of one colour on the ${side}: the picture runs to the edge` };
	}
	const threshold = Math.max(LEAST_CONTRAST, 3.5 * spread);
	const points = scans.flatMap(({ place, colourAtStep }) => {
		const offAt = (n: number) => colourDistance(colourAtStep(SKIPPED_STEPS + n), border);
		const at = rise(offAt, count - SKIPPED_STEPS, threshold, SHARP_STEPS);
		return at === null || at === 0 ? [] : [{ place, value: (at + SKIPPED_STEPS) * STEP_PX }];
	});
	const line = robustLine(points, NEAR_PX);
	const share = line ? (line.share * points.length) / SCANS : 0;
	if (!line || share < LEAST_SHARE) {
		return {
			reason: `the inner edge of the border on the ${side} is not straight, or not to be seen`
		};
	}
	return { found: { ...line, share, side } };
}

/** A side of the card: its ends, the direction across it into the card (of length 1), and how deep the card is there. */
export function frameOf(
	{ topLeft, topRight, bottomRight, bottomLeft }: Quad,
	side: Side
): { readonly from: Point; readonly to: Point; readonly inwards: Point; readonly depthPx: number } {
	const width = (distance(topLeft, topRight) + distance(bottomLeft, bottomRight)) / 2;
	const height = (distance(topLeft, bottomLeft) + distance(topRight, bottomRight)) / 2;
	const ends = {
		left: [topLeft, bottomLeft, -1],
		right: [topRight, bottomRight, 1],
		top: [topLeft, topRight, 1],
		bottom: [bottomLeft, bottomRight, -1]
	} as const;
	const [from, to, turn] = ends[side];
	const length = distance(from, to);
	const [dx, dy] = [(to.x - from.x) / length, (to.y - from.y) / length];
	return {
		...{ from, to, depthPx: side === 'left' || side === 'right' ? width : height },
		inwards: { x: -dy * turn, y: dx * turn }
	};
}

/** The mean of three neighbours along the edge, so that noise weighs less. */
function colourAcross(picture: Picture, start: Point, inwards: Point, deep: number): Colour {
	const [x, y] = [start.x + inwards.x * deep, start.y + inwards.y * deep];
	const along = { x: -inwards.y, y: inwards.x };
	const three = [-1.5, 0, 1.5].map((k) =>
		colourAt(picture, { x: x + along.x * k, y: y + along.y * k })
	);
	return (three[0] ?? []).map(
		(_, c) => three.reduce((sum, colour) => sum + (colour[c] ?? 0), 0) / 3
	);
}

/** The inner edge as two places in the picture, at the ends of the side. */
export function endsOf(outer: Quad, { side, at, slope }: InnerEdge): readonly [Point, Point] {
	const { from, to, inwards } = frameOf(outer, side);
	const length = distance(from, to);
	const place = (end: Point, along: number) => {
		const deep = at + slope * along;
		return { x: end.x + inwards.x * deep, y: end.y + inwards.y * deep };
	};
	return [place(from, 0), place(to, length)];
}
