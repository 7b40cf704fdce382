import { median, quantile } from 'd3-array';
import { colourDistance, type Colour, type Picture } from './picture.ts';

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
/** The least distance that counts as another colour, of 255. */
const LEAST_CONTRAST = 14;
/** A thing is at least this part of the picture. */
const LEAST_PART = 0.01;
/** A rim whose colours lie further apart than this is no background. */
const MOST_RIM_SPREAD = 22;

/** What lies on the background of a picture; a reason where there is no background to tell it from. */
export function findForeground(
	picture: Picture
): { readonly found: Foreground } | { readonly reason: string } {
	const { widthPx, heightPx } = picture;
	const step = stepOf(picture);
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

/** The side of a cell in which things are looked for, in pixels. */
export function stepOf({ widthPx, heightPx }: Pick<Picture, 'widthPx' | 'heightPx'>): number {
	return Math.max(1, Math.round(Math.max(widthPx, heightPx) / CELLS));
}
