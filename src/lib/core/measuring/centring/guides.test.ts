import fc from 'fast-check';
import { expect, test } from 'vitest';
import { GUIDES, cornersOf, moveGuide, usualGuides } from './guides.ts';
import { centringOfGuides, measureCentring } from './measure-centring.ts';
import { drawSample, SAMPLE_SCANS } from './sample-scans.ts';

const PICTURE = { widthPx: 700, heightPx: 940 };

test('for all moves: a guide moves its own corners only, a side only across itself, and nothing leaves the picture', () => {
	const by = fc.record({
		x: fc.integer({ min: -900, max: 900 }),
		y: fc.integer({ min: -900, max: 900 })
	});
	fc.assert(
		fc.property(fc.constantFrom(...GUIDES), by, (guide, moved) => {
			const before = usualGuides(PICTURE);
			const after = moveGuide(before, guide, moved, PICTURE);
			const other = guide.of === 'outer' ? 'inner' : 'outer';
			expect(after[other]).toEqual(before[other]);
			for (const [corner, point] of Object.entries(after[guide.of])) {
				const old = before[guide.of][corner as keyof typeof after.outer];
				if (!cornersOf(guide).some((each) => each === corner)) expect(point).toEqual(old);
				if (guide.part === 'left' || guide.part === 'right') expect(point.y).toBe(old.y);
				if (guide.part === 'top' || guide.part === 'bottom') expect(point.x).toBe(old.x);
				expect(point.x >= 0 && point.x <= 700 && point.y >= 0 && point.y <= 940).toBe(true);
			}
		})
	);
	// Where nothing is known, the guides say 50:50.
	const usual = usualGuides(PICTURE);
	expect(centringOfGuides(usual.outer, usual.inner, 'scan', 1).leftRight.percent).toBeCloseTo(
		50,
		6
	);
	expect(usualGuides(PICTURE, usual.outer)).toEqual(usual);
});

test.each(SAMPLE_SCANS.filter(({ key }) => key === 'id-1' || key === 'borderless'))(
	'the drawn scan "$name" measures what it says',
	(sample) => {
		const picture = drawSample(sample);
		const { centring, confidence, reasons, size } = measureCentring(
			picture,
			'scan',
			sample.hasId1 ? { by: 'id-1' } : null
		);
		if (!sample.truth) {
			expect(centring).toBeNull();
			expect(confidence).toBe(0);
			expect(reasons.length).toBeGreaterThan(0);
			return;
		}
		expect(Math.abs((centring?.leftRight.percent ?? 0) - sample.truth.leftRight)).toBeLessThan(0.5);
		expect(Math.abs((centring?.topBottom.percent ?? 0) - sample.truth.topBottom)).toBeLessThan(0.5);
		// 375 by 525 px beside 505.5 px for 85.60 mm (ISO/IEC 7810): 2.5 by 3.5 in.
		if (sample.hasId1) {
			expect(size?.widthMm).toBeCloseTo(63.5, 0);
			expect(size?.heightMm).toBeCloseTo(88.9, 0);
		}
	}
);
