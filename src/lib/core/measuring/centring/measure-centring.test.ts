import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import sharp from 'sharp';
import { describe, expect, test } from 'vitest';
import { drawScan, type DrawnScan } from './draw-scan.ts';
import { centringOfGuides, measureCentring, type MeasuredCard } from './measure-centring.ts';
import type { Picture } from './picture.ts';

const chance = (seed: number) => {
	const source = xoroshiro128plus(seed);
	return () => uniformFloat64(source);
};
const scan = (seed: number, more: Partial<DrawnScan> = {}): DrawnScan => ({
	...{
		widthPx: 420,
		heightPx: 560,
		card: { width: 315, height: 441 },
		turnDeg: 0,
		noise: 3,
		random: chance(seed)
	},
	borders: { left: 18, right: 12, top: 14, bottom: 20 },
	...more
});
async function asJpeg(
	{ widthPx, heightPx, channels, pixels }: Picture,
	quality: number
): Promise<Picture> {
	const raw = { width: widthPx, height: heightPx, channels };
	const file = await sharp(pixels, { raw }).jpeg({ quality }).toBuffer();
	return {
		widthPx,
		heightPx,
		channels,
		pixels: new Uint8Array(await sharp(file).removeAlpha().raw().toBuffer())
	};
}
/** How far the answer is off, in percentage points; null: it says that it can't. */
function offOf(
	{ confidence, reasons, centring }: MeasuredCard,
	{ left, right, top, bottom }: NonNullable<DrawnScan['borders']>
) {
	if (!centring) {
		expect(confidence).toBe(0);
		expect(reasons.length).toBeGreaterThan(0);
		return null;
	}
	return Math.max(
		Math.abs(centring.leftRight.percent - (100 * left) / (left + right)),
		Math.abs(centring.topBottom.percent - (100 * top) / (top + bottom))
	);
}

describe('centring of drawn scans', () => {
	test('turned by 0 to 3°, with noise, as JPEG: within half a percentage point, and within the band it states', async () => {
		let measured = 0;
		for (let seed = 1; seed <= 8; seed++) {
			const random = chance(1000 + seed);
			const some = () => 10 + 22 * random();
			const borders = { left: some(), right: some(), top: some(), bottom: some() };
			const drawn = scan(seed, {
				borders,
				turnDeg: -3 + 6 * random(),
				noise: 10 * random(),
				border: seed % 3 === 0 ? [24, 30, 60] : [236, 232, 220],
				background: seed % 3 === 0 ? [245, 245, 245] : [40, 42, 48]
			});
			const picture = await asJpeg(drawScan(drawn), Math.round(70 + 25 * random()));
			const answer = measureCentring(picture, 'scan', null);
			const off = offOf(answer, borders);
			if (off === null) continue;
			measured++;
			expect(
				off,
				`seed ${seed}: ${JSON.stringify({ borders, turn: drawn.turnDeg, noise: drawn.noise })}`
			).toBeLessThanOrEqual(0.5);
			const { leftRight, topBottom } = answer.centring ?? {};
			expect(off).toBeLessThanOrEqual(Math.max(leftRight?.offBy ?? 0, topBottom?.offBy ?? 0));
			expect(Math.abs((answer.turnDeg ?? 99) - drawn.turnDeg)).toBeLessThan(0.1);
		}
		expect(measured).toBeGreaterThanOrEqual(7);
	});

	test.each<[string, Partial<DrawnScan>, RegExp]>([
		['a picture that runs to the edge', { borders: null }, /no border|inner edge/],
		[
			'a card of the colour of what it lies on',
			{
				border: [41, 42, 48],
				background: [40, 42, 48],
				borders: { left: 40, right: 40, top: 40, bottom: 40 }
			},
			/border|edge/
		],
		['nothing but background', { card: { width: 0, height: 0 } }, /nothing stands out/],
		[
			'a card that fills the picture',
			{ card: { width: 430, height: 570 } },
			/touches the rim|rim of the picture|nothing stands out|border/
		],
		[
			'a card that lies askew',
			{ turnDeg: 15, card: { width: 200, height: 280 } },
			/turned by 15°|edge/
		]
	])('%s: it says why not', (_, more, reason) => {
		const answer = measureCentring(drawScan(scan(5, { noise: 2, ...more })), 'scan', null);
		expect(answer).toMatchObject({ confidence: 0, centring: null });
		expect(answer.reasons.join()).toMatch(reason);
	});

	test('size by an ID-1 card beside it (ISO/IEC 7810), by a known width, and squareness', () => {
		// 4 pixels to a millimetre: the card is 63 × 88.2 mm.
		const card = { width: 252, height: 352.8 };
		const drawn = scan(7, {
			widthPx: 760,
			heightPx: 460,
			card,
			referencePx: 342.4,
			turnDeg: 0.5,
			noise: 4
		});
		const { size } = measureCentring(drawScan(drawn), 'scan', { by: 'id-1' });
		expect(size?.widthMm).toBeCloseTo(63, 0);
		expect(Math.abs((size?.heightMm ?? 0) - 88.2)).toBeLessThan(0.3);
		expect(size?.offSquareDeg).toBeLessThan(0.2);
		expect(size?.widthDifferenceMm).toBeLessThan(0.25);
		const byWidth = measureCentring(drawScan(scan(8, { card })), 'scan', {
			by: 'width',
			widthMm: 63
		});
		expect(Math.abs((byWidth.size?.heightMm ?? 0) - 88.2)).toBeLessThan(0.3);
		expect(measureCentring(drawScan(scan(8)), 'scan', { by: 'id-1' }).reasons).toEqual([
			'there is no second card beside it to take the scale from'
		]);
	});
});

describe('centring between guides', () => {
	const quad = (left: number, top: number, right: number, bottom: number) => ({
		...{ topLeft: { x: left, y: top }, topRight: { x: right, y: top } },
		...{ bottomRight: { x: right, y: bottom }, bottomLeft: { x: left, y: bottom } }
	});
	test.each(['scan', 'photo'] as const)('straight, as a %s', (kind) => {
		const { borders, leftRight, topBottom } = centringOfGuides(
			quad(0, 0, 200, 300),
			quad(22, 12, 182, 280),
			kind,
			0
		);
		expect(borders.left).toBeCloseTo(22, 9);
		expect([leftRight.ratio, topBottom.ratio]).toEqual(
			['55:45', '38:63'].map((ratio) => (ratio === '38:63' ? '38:62' : ratio))
		);
		expect(leftRight.percent).toBeCloseTo(55, 9);
	});
	test('a photo at a slant: the plane of the card tells what the borders are', () => {
		/** A place on a card of 200 × 300 as a camera sees it. */
		const seen = (x: number, y: number) => {
			const far = 1 + 0.0006 * x + 0.0004 * y;
			return { x: (30 + x + 0.1 * y) / far, y: (20 + 0.05 * x + y) / far };
		};
		const corners = (left: number, top: number, right: number, bottom: number) => ({
			...{ topLeft: seen(left, top), topRight: seen(right, top) },
			...{ bottomRight: seen(right, bottom), bottomLeft: seen(left, bottom) }
		});
		const { leftRight, topBottom } = centringOfGuides(
			corners(0, 0, 200, 300),
			corners(12, 12, 192, 280),
			'photo',
			0
		);
		expect(leftRight.percent).toBeCloseTo(60, 6);
		expect(topBottom.percent).toBeCloseTo((100 * 12) / 32, 6);
	});
	test('the band follows from how exactly guides are laid', () => {
		const { leftRight } = centringOfGuides(quad(0, 0, 200, 300), quad(20, 20, 180, 280), 'scan', 1);
		// Each width is off by √2; of 20 + 20 that is 2 × 100 × √(2 × 20² × 2) / 40².
		expect(leftRight.offBy).toBeCloseTo((2 * 100 * 40) / 1600, 9);
	});
});
