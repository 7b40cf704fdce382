import { SIDES, type Side } from './inner-frame.ts';
import type { Point } from './picture.ts';
import type { Quad } from './quad.ts';

/** The edges of a card and the frame within its border, as guides that are laid over its picture. */
export interface Guides {
	readonly outer: Quad;
	readonly inner: Quad;
}

export const CORNERS = ['topLeft', 'topRight', 'bottomRight', 'bottomLeft'] as const;
export type Corner = (typeof CORNERS)[number];

/** A guide that is moved: a whole side, or one corner. */
export interface Guide {
	readonly of: keyof Guides;
	readonly part: Side | Corner;
}

/** All of them, those of the edges first. */
export const GUIDES: readonly Guide[] = (['outer', 'inner'] as const).flatMap((of) =>
	[...SIDES, ...CORNERS].map((part) => ({ of, part }))
);

const ENDS: Readonly<Record<Side, readonly [Corner, Corner]>> = {
	left: ['topLeft', 'bottomLeft'],
	right: ['topRight', 'bottomRight'],
	top: ['topLeft', 'topRight'],
	bottom: ['bottomLeft', 'bottomRight']
};

/** The corners that a guide moves: both ends of a side, or one. */
export function cornersOf({ part }: Guide): readonly Corner[] {
	return part in ENDS ? ENDS[part as Side] : [part as Corner];
}

/**
 * Moves a guide: a side only across itself, a corner both ways; nothing leaves the picture.
 *
 * @param by pixels
 */
export function moveGuide(
	guides: Guides,
	guide: Guide,
	by: Point,
	{ widthPx, heightPx }: { readonly widthPx: number; readonly heightPx: number }
): Guides {
	const { of, part } = guide;
	const isUpright = part === 'left' || part === 'right';
	const isLevel = part === 'top' || part === 'bottom';
	const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
	const quad = guides[of];
	const moved = Object.fromEntries(
		cornersOf(guide).map((corner) => [
			corner,
			{
				x: isLevel ? quad[corner].x : within(quad[corner].x + by.x, widthPx),
				y: isUpright ? quad[corner].y : within(quad[corner].y + by.y, heightPx)
			}
		])
	);
	return { ...guides, [of]: { ...quad, ...moved } };
}

/** Part of the picture that is left around a card, and part of a card that its border takes, where nothing is known. */
const ROUND = 0.08;
const BORDER = 0.06;

/** Guides to begin with where nothing was found: a card that nearly fills the picture, or a frame within a card that was found. */
export function usualGuides(
	{ widthPx, heightPx }: { readonly widthPx: number; readonly heightPx: number },
	found?: Quad
): Guides {
	const outer = found ?? {
		topLeft: { x: ROUND * widthPx, y: ROUND * heightPx },
		topRight: { x: (1 - ROUND) * widthPx, y: ROUND * heightPx },
		bottomRight: { x: (1 - ROUND) * widthPx, y: (1 - ROUND) * heightPx },
		bottomLeft: { x: ROUND * widthPx, y: (1 - ROUND) * heightPx }
	};
	const { topLeft, topRight, bottomRight, bottomLeft } = outer;
	const middle = {
		x: (topLeft.x + topRight.x + bottomRight.x + bottomLeft.x) / 4,
		y: (topLeft.y + topRight.y + bottomRight.y + bottomLeft.y) / 4
	};
	const inwards = (point: Point) => ({
		x: point.x + 2 * BORDER * (middle.x - point.x),
		y: point.y + 2 * BORDER * (middle.y - point.y)
	});
	return {
		outer,
		inner: {
			topLeft: inwards(topLeft),
			topRight: inwards(topRight),
			bottomRight: inwards(bottomRight),
			bottomLeft: inwards(bottomLeft)
		}
	};
}
