import { median } from 'd3-array';
import { stepOf, type Box, type Foreground } from './foreground.ts';
import type { Picture } from './picture.ts';
import { robustLine, type RobustLine } from './robust-line.ts';

/** The four edges of a card against the background: left and right as x over y, top and bottom as y over x, in pixels. */
export interface OuterEdges {
	readonly left: RobustLine;
	readonly right: RobustLine;
	readonly top: RobustLine;
	readonly bottom: RobustLine;
}

/** Scan lines to a side. */
const SCANS = 160;
/** Points within this distance of an edge lie on it, in pixels. */
const NEAR_PX = 1.5;

/** The edges of a thing; a reason where they are not to be seen. */
export function findOuterEdges(
	picture: Picture,
	box: Box,
	ground: Pick<Foreground, 'background' | 'threshold'>
): { readonly found: OuterEdges } | { readonly reason: string } {
	const { widthPx, heightPx } = picture;
	const margin = Math.max(2, stepOf(picture));
	if (
		box.left < margin ||
		box.top < margin ||
		box.right > widthPx - margin ||
		box.bottom > heightPx - margin
	) {
		return {
			reason: 'the card touches the rim of the picture: leave background on all four sides'
		};
	}
	const side = (name: keyof OuterEdges) => {
		const isUpright = name === 'left' || name === 'right';
		const [from, to] = isUpright ? [box.top, box.bottom] : [box.left, box.right];
		const [near, far] = isUpright ? [box.left, box.right] : [box.top, box.bottom];
		const length = to - from;
		const points = Array.from({ length: SCANS }, (_, i) => {
			// The ends are left out: corners are worn, and turned cards have none there.
			const place = Math.round(from + length * (0.12 + (0.76 * i) / (SCANS - 1)));
			const isFirst = name === 'left' || name === 'top';
			const start = isFirst ? near - 3 * margin : far + 3 * margin;
			const depth = Math.round((far - near) * 0.3) + 3 * margin;
			const value = crossing(picture, { place, start, depth, isUpright, isFirst }, ground);
			return value === null ? null : { place: place + 0.5, value };
		}).filter((point) => point !== null);
		return { line: robustLine(points, NEAR_PX), part: points.length / SCANS };
	};
	const all = {
		left: side('left'),
		right: side('right'),
		top: side('top'),
		bottom: side('bottom')
	};
	const names = ['left', 'right', 'top', 'bottom'] as const;
	const unseen = names.filter((name) => {
		const { line, part } = all[name];
		return !line || part < 0.5 || line.share < 0.5;
	});
	const { left, right, top, bottom } = all;
	if (unseen.length > 0 || !left.line || !right.line || !top.line || !bottom.line) {
		return {
			reason: `the ${unseen.join(' and ')} edge of the card is not straight, or not to be seen`
		};
	}
	return { found: { left: left.line, right: right.line, top: top.line, bottom: bottom.line } };
}

/** A scan line: at a place along the edge, from outside inwards. */
interface Scan {
	readonly place: number;
	readonly start: number;
	readonly depth: number;
	readonly isUpright: boolean;
	readonly isFirst: boolean;
}

/** Where a scan line leaves the background, between pixels; null: nowhere. */
function crossing(
	picture: Picture,
	{ place, start, depth, isUpright, isFirst }: Scan,
	{ background, threshold }: Pick<Foreground, 'background' | 'threshold'>
): number | null {
	const { widthPx, heightPx, channels, pixels } = picture;
	const most = isUpright ? widthPx : heightPx;
	const first = Math.min(most - 1, Math.max(0, start));
	const count = Math.min(depth, isFirst ? most - first : first + 1);
	const offAt = (i: number) => {
		const at = isFirst ? first + i : first - i;
		// Three neighbours across the line, so that noise weighs less.
		let off = 0;
		for (let c = 0; c < channels; c++) {
			let sum = 0;
			for (let k = -1; k <= 1; k++) {
				const [x, y] = isUpright ? [at, place + k] : [place + k, at];
				sum += pixels[(y * widthPx + x) * channels + c] ?? 0;
			}
			off = Math.max(off, Math.abs(sum / 3 - (background[c] ?? 0)));
		}
		return off;
	};
	const depthPx = rise(offAt, count, threshold);
	if (depthPx === null) return null;
	return isFirst ? first + depthPx : first + 1 - depthPx;
}

/** Steps of a row of distances that have to stay above the threshold. */
const STEADY = 4;
/** A rise of at least this factor a step goes on; over so many steps it is followed: an edge that is blurred takes them. */
const STILL_RISING = 1.05;
const MOST_RISING = 8;
/** Before an edge that is sharp distances are below this part of the level behind it. */
const LOW_PART = 0.3;

/**
 * Where distances rise for good along a row of steps: halfway to the level that they reach, between steps; null: they don't. A
 * distance stands for the middle of its step. No further than needed is looked.
 *
 * @param offAt the distance at a step
 * @param count how many steps there are
 * @param sharpWithin so many steps before it they are low: what rises more slowly is shading, and no edge; left out: not asked
 * @example rise((i) => (i < 3 ? 0 : 100), 8, 10) // 3
 * @example rise((i) => i, 200, 60, 3) // null
 */
export function rise(
	offAt: (step: number) => number,
	count: number,
	threshold: number,
	sharpWithin = Infinity
): number | null {
	const offs: number[] = [];
	let steady = 0;
	for (let i = 0; i < count; i++) {
		const off = offAt(i);
		offs.push(off);
		steady = off > threshold ? steady + 1 : 0;
		if (steady < STEADY) continue;
		const level = levelBehind((step) => offs[step] ?? offAt(Math.min(count - 1, step)), i);
		let at = i;
		while (at > 0 && (offs[at - 1] ?? 0) > level / 2) at--;
		if (at === 0) return 0;
		const before = offs.slice(
			Math.max(0, at - sharpWithin - STEADY),
			Math.max(0, at - sharpWithin)
		);
		if ((median(before) ?? 0) > LOW_PART * level) return null;
		const [below, above] = [offs[at - 1] ?? 0, offs[at] ?? 0];
		return at - 0.5 + (level / 2 - below) / (above - below || 1);
	}
	return null;
}

/** The level that distances reach: the rise is followed to its end, so that half of it is the middle of a blurred edge. */
function levelBehind(offAt: (step: number) => number, from: number): number {
	let end = from - STEADY + 1;
	for (; end < from + MOST_RISING; end++) {
		if (offAt(end + 1) < STILL_RISING * offAt(end) && offAt(end + 2) < STILL_RISING * offAt(end)) {
			break;
		}
	}
	return median([offAt(end), offAt(end + 1), offAt(end + 2)]) ?? 0;
}
