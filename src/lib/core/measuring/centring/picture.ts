/** A picture in memory: rows from the top, pixels from the left, channels (grey, or red, green, blue) of 0 to 255 side by side. */
export interface Picture {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly channels: 1 | 3;
	readonly pixels: Uint8Array | Uint8ClampedArray;
}

/** A colour: a number for each channel. */
export type Colour = readonly number[];

/** A place in a picture, in pixels from its upper left corner; the middle of the first pixel is at 0.5, 0.5. */
export interface Point {
	readonly x: number;
	readonly y: number;
}

/** The colour at a place, between the four pixels around it; outside, that of the rim. */
export function colourAt(
	{ widthPx, heightPx, channels, pixels }: Picture,
	{ x, y }: Point
): number[] {
	const [px, py] = [
		Math.min(widthPx - 1, Math.max(0, x - 0.5)),
		Math.min(heightPx - 1, Math.max(0, y - 0.5))
	];
	const [x0, y0] = [Math.floor(px), Math.floor(py)];
	const [x1, y1] = [Math.min(widthPx - 1, x0 + 1), Math.min(heightPx - 1, y0 + 1)];
	const [fx, fy] = [px - x0, py - y0];
	const colour: number[] = [];
	for (let c = 0; c < channels; c++) {
		const at = (column: number, row: number) =>
			pixels[(row * widthPx + column) * channels + c] ?? 0;
		const above = at(x0, y0) * (1 - fx) + at(x1, y0) * fx;
		const below = at(x0, y1) * (1 - fx) + at(x1, y1) * fx;
		colour.push(above * (1 - fy) + below * fy);
	}
	return colour;
}

/** How far colours are apart: the largest difference of a channel, 0 to 255. */
export function colourDistance(a: Colour, b: Colour): number {
	let most = 0;
	for (let c = 0; c < a.length; c++) most = Math.max(most, Math.abs((a[c] ?? 0) - (b[c] ?? 0)));
	return most;
}

/**
 * The same picture in grey, as bright as it is (luma of ITU-R BT.601, as in JPEG). Edges are sharper in it: files keep colours
 * more coarsely than brightness.
 */
export function inGrey(picture: Picture): Picture {
	const { widthPx, heightPx, channels, pixels } = picture;
	if (channels === 1) return picture;
	const grey = new Uint8Array(widthPx * heightPx);
	for (let i = 0; i < grey.length; i++) {
		const at = 3 * i;
		grey[i] = Math.round(
			0.299 * (pixels[at] ?? 0) + 0.587 * (pixels[at + 1] ?? 0) + 0.114 * (pixels[at + 2] ?? 0)
		);
	}
	return { widthPx, heightPx, channels: 1, pixels: grey };
}
