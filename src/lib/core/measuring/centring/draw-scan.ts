import type { Picture } from './picture.ts';

/** A card as it is drawn into a picture, sizes in pixels. */
export interface DrawnScan {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly card: { readonly width: number; readonly height: number };
	/** null: the picture runs to the edge. */
	readonly borders: {
		readonly left: number;
		readonly right: number;
		readonly top: number;
		readonly bottom: number;
	} | null;
	readonly turnDeg: number;
	/** Standard deviation of the noise, of 255. */
	readonly noise: number;
	readonly background?: readonly number[];
	readonly border?: readonly number[];
	readonly random: () => number;
	/** An ID-1 card beside it, so many pixels wide. */
	readonly referencePx?: number;
}

/** The colour of the ID-1 card beside it. */
const ID_1_COLOUR = [120, 200, 140];

/** Draws a card with a busy picture, turned, with noise; a pixel that an edge runs through is the mean of nine places in it. */
export function drawScan(scan: DrawnScan): Picture {
	const { widthPx, heightPx, card, borders, noise, random, referencePx } = scan;
	const { background = [40, 42, 48], border = [236, 232, 220] } = scan;
	const pixels = new Uint8Array(widthPx * heightPx * 3);
	const angle = (scan.turnDeg * Math.PI) / 180;
	const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
	const [cx, cy] = [referencePx ? card.width * 0.75 : widthPx / 2 + 0.37, heightPx / 2 - 0.21];
	const blobs = Array.from({ length: 40 }, () => ({
		x: random(),
		y: random(),
		r: 0.02 + 0.12 * random(),
		c: [random() * 150, random() * 150, random() * 170]
	}));
	const paint = (u: number, v: number): readonly number[] => {
		// The last drawn lies on top.
		for (let i = blobs.length - 1; i >= 0; i--) {
			const blob = blobs[i];
			if (blob && (u - blob.x) ** 2 + (v - blob.y) ** 2 < blob.r ** 2) return blob.c;
		}
		return [60 + 60 * v, 90, 130 - 60 * u];
	};
	const inCard = (x: number, y: number) => {
		const [dx, dy] = [x - cx, y - cy];
		return {
			u: (dx * cos + dy * sin) / card.width + 0.5,
			v: (-dx * sin + dy * cos) / card.height + 0.5
		};
	};
	const isIn = (part: number) => part >= 0 && part < 1;
	const { left = 0, right = 0, top = 0, bottom = 0 } = borders ?? {};
	const referenceHeight = ((referencePx ?? 0) * 53.98) / 85.6;
	/** Background, border, picture, ID-1 card. */
	const sortOf = (x: number, y: number): number => {
		const { u, v } = inCard(x, y);
		if (isIn(u) && isIn(v)) {
			const across = (u * card.width - left) / (card.width - left - right);
			const down = (v * card.height - top) / (card.height - top - bottom);
			return isIn(across) && isIn(down) ? 2 : 1;
		}
		const [rx, ry] = [x - card.width * 1.4, y - heightPx * 0.3];
		return rx >= 0 && ry >= 0 && rx < (referencePx ?? 0) && ry < referenceHeight ? 3 : 0;
	};
	const parts = [1 / 6, 0.5, 5 / 6];
	const ends = [0, 1];
	for (let y = 0; y < heightPx; y++) {
		for (let x = 0; x < widthPx; x++) {
			const { u, v } = inCard(x + 0.5, y + 0.5);
			const sort = sortOf(x + 0.5, y + 0.5);
			const isEdge = ends.some((oy) => ends.some((ox) => sortOf(x + ox, y + oy) !== sort));
			const colours = [background, border, sort === 2 || isEdge ? paint(u, v) : [], ID_1_COLOUR];
			let sum = colours[sort] ?? background;
			if (isEdge) {
				const mixed = [0, 0, 0];
				for (const oy of parts) {
					for (const ox of parts) {
						const colour = colours[sortOf(x + ox, y + oy)] ?? background;
						for (let c = 0; c < 3; c++) mixed[c] = (mixed[c] ?? 0) + (colour[c] ?? 0) / 9;
					}
				}
				sum = mixed;
			}
			for (let c = 0; c < 3; c++) {
				// Box and Muller: normal noise.
				const bell =
					noise === 0
						? 0
						: noise * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
				const value = Math.round((sum[c] ?? 0) + bell);
				pixels[(y * widthPx + x) * 3 + c] = Math.min(255, Math.max(0, value));
			}
		}
	}
	return { widthPx, heightPx, channels: 3, pixels };
}
