import fc from 'fast-check';
import sharp from 'sharp';
import { expect, test } from 'vitest';
import { measureCentring } from './measure-centring.ts';

/* Cards drawn by another renderer (librsvg, by way of sharp), whose borders are known: nothing of ours draws them. */

const CARD = { width: 600, height: 840 };
const side = fc.integer({ min: 14, max: 64 });
const channel = (min: number, max: number) => fc.integer({ min, max });
const colour = (min: number, max: number) =>
	fc
		.tuple(channel(min, max), channel(min, max), channel(min, max))
		.map((rgb) => `rgb(${rgb.join()})`);
const hue = fc.tuple(fc.nat({ max: 359 }), channel(25, 60)).map(([h, l]) => `hsl(${h},70%,${l}%)`);

const drawing = fc.record({
	borders: fc.record({ left: side, right: side, top: side, bottom: side }),
	turnDeg: fc.double({ min: -3, max: 3, noNaN: true }),
	/** A light card on a dark ground, or the other way round. */
	colours: fc.oneof(
		fc.record({ border: colour(210, 255), ground: colour(0, 60) }),
		fc.record({ border: colour(20, 170), ground: colour(225, 255) })
	),
	/** The picture shades from one colour to another: what rises slowly is no edge. */
	shades: fc.tuple(hue, hue),
	spots: fc.array(fc.tuple(fc.nat(520), fc.nat(760), channel(10, 120), hue), { maxLength: 12 }),
	roundedPx: fc.constantFrom(0, 18),
	blur: fc.constantFrom(0, 0.8, 1.4),
	quality: fc.constantFrom(null, 90, 75, 60)
});
type Drawing = typeof drawing extends fc.Arbitrary<infer Each> ? Each : never;

async function pictureOf(drawn: Drawing) {
	const { borders, turnDeg, colours, shades, spots, roundedPx, blur, quality } = drawn;
	const [x, y] = [80, 110];
	const inner = `x="${x + borders.left}" y="${y + borders.top}" width="${CARD.width - borders.left - borders.right}" height="${CARD.height - borders.top - borders.bottom}"`;
	const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="760" height="1060">
		<linearGradient id="shade" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${shades[0]}"/><stop offset="1" stop-color="${shades[1]}"/></linearGradient>
		<clipPath id="frame"><rect ${inner}/></clipPath>
		<rect width="100%" height="100%" fill="${colours.ground}"/>
		<g transform="rotate(${turnDeg} 380 530)">
			<rect x="${x}" y="${y}" width="${CARD.width}" height="${CARD.height}" rx="${roundedPx}" fill="${colours.border}"/>
			<rect ${inner} fill="url(#shade)"/>
			<g clip-path="url(#frame)">${spots.map(([cx, cy, r, fill]) => `<circle cx="${x + cx}" cy="${y + cy}" r="${r}" fill="${fill}" opacity="0.8"/>`).join('')}</g>
		</g></svg>`;
	const flat = sharp(Buffer.from(svg)).flatten();
	const seen = blur > 0 ? flat.blur(blur) : flat;
	const file = await (quality === null ? seen.png() : seen.jpeg({ quality })).toBuffer();
	const raw = await sharp(file).removeAlpha().raw().toBuffer({ resolveWithObject: true });
	const { width: widthPx, height: heightPx } = raw.info;
	return { widthPx, heightPx, pixels: new Uint8Array(raw.data) };
}

/** So many drawings; JADE_FUZZ_RUNS for a long search. */
const RUNS = Number(process.env.JADE_FUZZ_RUNS ?? 30);

test('for all drawings: within half a percentage point, or within what it says it may be off, or it says that it cannot', async () => {
	let measured = 0;
	await fc.assert(
		fc.asyncProperty(drawing, async (drawn) => {
			const { widthPx, heightPx, pixels } = await pictureOf(drawn);
			const picture = { widthPx, heightPx, channels: 3, pixels } as const;
			const { centring, confidence, reasons } = measureCentring(picture, 'scan', null);
			const { leftRight, topBottom } = centring ?? {};
			if (!leftRight || !topBottom) {
				expect(confidence).toBe(0);
				expect(reasons).not.toEqual([]);
				return;
			}
			measured++;
			const { left, right, top, bottom } = drawn.borders;
			const pairs = [
				[leftRight, (100 * left) / (left + right)],
				[topBottom, (100 * top) / (top + bottom)]
			] as const;
			for (const [{ percent, offBy }, truth] of pairs) {
				expect(Math.abs(percent - truth)).toBeLessThanOrEqual(Math.max(0.5, offBy));
			}
		}),
		{ numRuns: RUNS, seed: 17 }
	);
	expect(measured).toBeGreaterThan(0.83 * RUNS);
});
