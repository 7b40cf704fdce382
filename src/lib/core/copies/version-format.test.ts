import { expect, test } from 'vitest';
import { formatOfVersion } from './version-format.ts';

// The stock of a swatch card is an assumption of ours; the rest follows from what a checklist says.
test.each([
	['nothing is said', {}, undefined],
	['its section’s stock', { format: { stockPt: 20 } }, { stockPt: 20 }],
	['its parallel’s own stock', { format: { stockPt: 20 }, parallelPt: 35 }, { stockPt: 35 }],
	[
		'a size of its own stays',
		{ format: { widthMm: 70 }, parallelPt: 35 },
		{ widthMm: 70, stockPt: 35 }
	],
	['a swatch without stock', { swatch: 'with' }, { stockPt: 100 }],
	['a level without its swatch', { swatch: 'without' }, undefined],
	['a swatch in stated stock', { swatch: 'with', parallelPt: 130 }, { stockPt: 130 }]
] as const)('the format of a version: %s', (_, stock, format) => {
	expect(formatOfVersion({ swatch: null, ...stock })).toEqual(format);
});
