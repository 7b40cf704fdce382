import { median, quantile } from 'd3-array';
import { colourDistance, type Colour, type Picture } from './picture.ts';
import { robustLine, type RobustLine } from './robust-line.ts';

/** The four edges of a card against the background: left and right as x over y, top and bottom as y over x, in pixels. */
export interface OuterEdges {
	readonly left: RobustLine;
	readonly right: RobustLine;
	readonly top: RobustLine;
	readonly bottom: RobustLine;
}

/** Where something lies in a picture, in pixels. */
export interface Box {
	readonly left: number;
	readonly right: number;
	readonly top: number;
	readonly bottom: number;
}

/** What is not the background, and how it is told from it. */
export interface Foreground {
	readonly background: Colour;
	/** Colours further from the background than this are something else. */
	readonly threshold: number;
	/** The largest first. */
	readonly boxes: readonly Box[];
}

/** Cells across the longer side of a picture in which things are looked for. */
const CELLS = 300;
/** Scan lines to a side. */
const SCANS = 160;
/** The least distance that counts as another colour, of 255. */
const LEAST_CONTRAST = 14;
/** A thing is at least this part of the picture. */
const LEAST_PART = 0.01;
/** A rim whose colours lie further apart than this is no background. */
const MOST_RIM_SPREAD = 22;
/** Points within this distance of an edge lie on it, in pixels. */
const NEAR_PX = 1.5;

/** What lies on the background of a picture; a reason where there is no background to tell it from. */
export function findForeground(
	picture: Picture
): { readonly found: Foreground } | { readonly reason: string } {
	const { widthPx, heightPx } = picture;
	const step = Math.max(1, Math.round(Math.max(widthPx, heightPx) / CELLS));
	const rim = rimOf(picture, step);
	const background = Array.from(
		{ length: picture.channels },
		(_, c) => median(rim, (colour) => colour[c]) ?? 0
	);
	const off = rim.map((colour) => colourDistance(colour, background));
	// Three quarters of the rim have to be of one colour.
	const spread = quantile(off, 0.75) ?? 0;
	if (spread > MOST_RIM_SPREAD) {
		return {
			reason: 'the rim of the picture is not of one colour: leave plain background around the card'
		};
	}
	const threshold = Math.max(LEAST_CONTRAST, 4 * spread);
	const [columns, rows] = [Math.floor(widthPx / step), Math.floor(heightPx / step)];
	const isThing = new Uint8Array(columns * rows);
	for (let row = 0; row < rows; row++) {
		for (let column = 0; column < columns; column++) {
			const colour = cellColour(picture, column * step, row * step, step);
			if (colourDistance(colour, background) > threshold) isThing[row * columns + column] = 1;
		}
	}
	const boxes = thingsOf(isThing, columns, rows)
		.filter(({ cells }) => cells >= LEAST_PART * columns * rows)
		.sort((a, b) => b.cells - a.cells)
		.map(({ box }) => ({
			left: box.left * step,
			right: (box.right + 1) * step,
			top: box.top * step,
			bottom: (box.bottom + 1) * step
		}));
	if (boxes.length === 0) {
		return {
			reason: 'nothing stands out from the background: lay the card on a darker or lighter one'
		};
	}
	return { found: { background, threshold, boxes } };
}

function rimOf(picture: Picture, step: number): readonly Colour[] {
	const { widthPx, heightPx } = picture;
	const rim: Colour[] = [];
	for (let x = 0; x + step <= widthPx; x += step) {
		rim.push(cellColour(picture, x, 0, step), cellColour(picture, x, heightPx - step, step));
	}
	for (let y = 0; y + step <= heightPx; y += step) {
		rim.push(cellColour(picture, 0, y, step), cellColour(picture, widthPx - step, y, step));
	}
	return rim;
}

/** The mean colour of a small square. */
function cellColour(
	{ widthPx, channels, pixels }: Picture,
	left: number,
	top: number,
	side: number
): Colour {
	const sums = Array<number>(channels).fill(0);
	for (let y = top; y < top + side; y++) {
		for (let x = left; x < left + side; x++) {
			const at = (y * widthPx + x) * channels;
			for (let c = 0; c < channels; c++) sums[c] = (sums[c] ?? 0) + (pixels[at + c] ?? 0);
		}
	}
	return sums.map((sum) => sum / side ** 2);
}

/** Cells that hang together, with the box around them. */
function thingsOf(isThing: Uint8Array, columns: number, rows: number) {
	const things: { cells: number; box: Box }[] = [];
	const left = Uint8Array.from(isThing);
	for (let start = 0; start < left.length; start++) {
		if (left[start] === 0) continue;
		const stack = [start];
		left[start] = 0;
		let cells = 0;
		const box = { left: columns, right: 0, top: rows, bottom: 0 };
		for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
			const [x, y] = [at % columns, Math.floor(at / columns)];
			cells++;
			box.left = Math.min(box.left, x);
			box.right = Math.max(box.right, x);
			box.top = Math.min(box.top, y);
			box.bottom = Math.max(box.bottom, y);
			for (const [nx, ny] of [
				[x - 1, y],
				[x + 1, y],
				[x, y - 1],
				[x, y + 1]
			] as const) {
				const next = ny * columns + nx;
				if (nx < 0 || ny < 0 || nx >= columns || ny >= rows || left[next] === 0) continue;
				left[next] = 0;
				stack.push(next);
			}
		}
		things.push({ cells, box });
	}
	return things;
}

/** The edges of a thing; a reason where they are not to be seen. */
export function findOuterEdges(
	picture: Picture,
	box: Box,
	ground: Pick<Foreground, 'background' | 'threshold'>
): { readonly found: OuterEdges } | { readonly reason: string } {
	const { widthPx, heightPx } = picture;
	const margin = Math.max(2, Math.round(Math.max(widthPx, heightPx) / CELLS));
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

/**
 * Where distances rise for good along a row of steps: halfway to the level that they reach, between steps; null: they don't. A
 * distance stands for the middle of its step. No further than needed is looked.
 *
 * @param offAt the distance at a step
 * @param count how many steps there are
 * @example rise((i) => (i < 3 ? 0 : 100), 8, 10) // 3
 */
export function rise(
	offAt: (step: number) => number,
	count: number,
	threshold: number
): number | null {
	const offs: number[] = [];
	let steady = 0;
	for (let i = 0; i < count; i++) {
		const off = offAt(i);
		offs.push(off);
		steady = off > threshold ? steady + 1 : 0;
		if (steady < STEADY) continue;
		const level = median([...offs.slice(1 - STEADY), offAt(Math.min(count - 1, i + 1))]) ?? 0;
		let at = i;
		while (at > 0 && (offs[at - 1] ?? 0) > level / 2) at--;
		if (at === 0) return 0;
		const [below, above] = [offs[at - 1] ?? 0, offs[at] ?? 0];
		return at - 0.5 + (level / 2 - below) / (above - below || 1);
	}
	return null;
}
