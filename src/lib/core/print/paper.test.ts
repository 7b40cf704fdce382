import { expect, test } from 'vitest';
import { mmToPt, PAPERS } from './paper.ts';

// ISO 216: A4 is 1/16 m² at √2 : 1, rounded to whole millimetres. ANSI/ASME Y14.1: size A is 8.5 × 11 in.
test('paper is as large as the standards say', () => {
	const [a4, letter] = PAPERS;
	const short = Math.sqrt(1_000_000 / 16 / Math.SQRT2);
	expect(a4).toMatchObject({
		widthMm: Math.round(short),
		heightMm: Math.round(short * Math.SQRT2)
	});
	expect(mmToPt(25.4)).toBe(72);
	expect(mmToPt(letter?.widthMm ?? 0)).toBeCloseTo(8.5 * 72, 9);
	expect(mmToPt(letter?.heightMm ?? 0)).toBeCloseTo(11 * 72, 9);
});
