import { expect, test } from 'vitest';
import { readOutline } from '../../checklist/outline/read-outline.ts';
import { thicknessFinder, type MeasuredCopy } from './copy-thickness.ts';

const { release } = readOutline(
	'release R, M, 1994\nbase B: 1-3, 20 pt\ninsert I: F1-F2\nparallel P: all'
);
const thick = {
	...release,
	sections: release.sections.map((section) => ({
		...section,
		...(section.name === 'I' ? { swatch: 'with' as const } : {}),
		cards: section.cards.map((card) =>
			card.number === '2' ? { ...card, format: { stockPt: 40 } } : card
		)
	})),
	parallels: release.parallels.map((parallel) => ({ ...parallel, stockPt: 35 }))
};

// 1 pt = 0.001 in = 0.0254 mm exactly. Holders and the stock of swatch cards are assumptions of ours.
test.each<[MeasuredCopy, object | null]>([
	[
		{ version: 'r-1994/b-1' },
		{ stockPt: 20, source: 'section', cardMm: 0.508, keptMm: 0.508, rowMm: 0.508, quantity: 1 }
	],
	[
		{ version: 'r-1994/b-2', quantity: 10 },
		{ stockPt: 40, source: 'card', cardMm: 1.016, rowMm: 10.16 }
	],
	[{ version: 'r-1994/b-2~p' }, { stockPt: 35, source: 'parallel' }],
	[{ version: 'r-1994/i-f1' }, { stockPt: 100, source: 'swatch', cardMm: 2.54 }],
	[
		{ version: 'r-1994/b-1', stockPt: 55, holder: 'sleeve' },
		{ stockPt: 55, source: 'measured', cardMm: 1.397, keptMm: 1.497 }
	],
	[{ version: 'r-1994/b-9' }, null]
])('%j', (copy, thickness) => {
	const found = thicknessFinder(thick)(copy);
	if (thickness === null) expect(found).toBeNull();
	else {
		const rounded = Object.fromEntries(
			Object.entries(found ?? {}).map(([name, value]) => [
				name,
				typeof value === 'number' ? Math.round(value * 1e6) / 1e6 : value
			])
		);
		expect(rounded).toMatchObject(thickness);
	}
});
