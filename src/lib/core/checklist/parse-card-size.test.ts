import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { parseCardSize } from './parse-card-size.ts';

describe('sizes of cards', () => {
	// 1 in = 25.4 mm exactly (international yard and pound agreement, 1959).
	test.each<[string, ReturnType<typeof parseCardSize>]>([
		['63.5 × 88.9 mm', { widthMm: 63.5, heightMm: 88.9 }],
		['63.5x88.9', { widthMm: 63.5, heightMm: 88.9 }],
		['63.5 mm × 88.9 mm', { widthMm: 63.5, heightMm: 88.9 }],
		['2.5 x 3.5 in', { widthMm: 63.5, heightMm: 88.9 }],
		['2 1/2 × 3 1/2 inches', { widthMm: 63.5, heightMm: 88.9 }],
		['2.5" x 3.5"', { widthMm: 63.5, heightMm: 88.9 }],
		['1 7/16 x 2 5/8 in', { widthMm: 36.51, heightMm: 66.68 }],
		['1/2 * .5 in', { widthMm: 12.7, heightMm: 12.7 }],
		['? × 67', { heightMm: 67 }],
		['36 × ? mm', { widthMm: 36 }],
		['? × ?', {}]
	])('%s', (text, size) => {
		expect(parseCardSize(text)).toEqual(size);
	});

	test.each([
		'',
		'big',
		'63.5',
		'63.5 ×',
		'× 88.9',
		'63.5 mm × 3.5 in',
		'0 × 10',
		'1/0 × 2 in',
		'1001 × 10 mm',
		'40 × 60 in',
		'-1 × 2',
		'1 2 × 3',
		'1.2.3 × 4'
	])('"%s" is none', (text) => {
		expect(parseCardSize(text)).toBeNull();
	});

	test('for all sizes in hundredths of a millimetre, what is written is read', () => {
		const side = fc.integer({ min: 1, max: 100_000 }).map((hundredths) => hundredths / 100);
		fc.assert(
			fc.property(side, side, (widthMm, heightMm) => {
				expect(parseCardSize(`${widthMm} × ${heightMm} mm`)).toEqual({ widthMm, heightMm });
			})
		);
	});
});
