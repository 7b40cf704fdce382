import fc from 'fast-check';
import { expect, test } from 'vitest';
import { pairGroups } from './pair-groups.ts';
import { likeness, preferLabels, type LabelledGroup } from './prefer-labels.ts';

const CAPACITY = 9;
const drawn = (most: number) =>
	fc
		.array(
			fc.record({
				size: fc.integer({ min: 1, max: 9 }),
				label: fc.constantFrom('N', 'S', 'W', undefined)
			}),
			{ maxLength: most }
		)
		.map((rows) =>
			rows.map(({ size, label }, i): LabelledGroup => ({
				key: `g${i}`,
				size,
				...(label === undefined ? {} : { label })
			}))
		);
const pagesOf = (groups: readonly LabelledGroup[]) => {
	const byKey = new Map(groups.map((group) => [group.key, group]));
	return pairGroups(groups, CAPACITY).pages.map((page) =>
		page.groups.flatMap(({ key }) => byKey.get(key) ?? [])
	);
};

/** The best likeness of all ways with so many pages, by giving each group every page. */
function bestByTrying(groups: readonly LabelledGroup[], pages: number): number {
	let best = -1;
	for (let code = 0; code < pages ** groups.length; code++) {
		const laid: LabelledGroup[][] = Array.from({ length: pages }, () => []);
		let rest = code;
		for (const group of groups) {
			laid[rest % pages]?.push(group);
			rest = Math.floor(rest / pages);
		}
		const fits = laid.every((page) => page.reduce((sum, { size }) => sum + size, 0) <= CAPACITY);
		if (fits) best = Math.max(best, likeness(laid.filter((page) => page.length > 0)));
	}
	return best;
}

test('for few groups no plan with the fewest pages has more of a label together, by trying all', () => {
	fc.assert(
		fc.property(drawn(6), (groups) => {
			const pages = pagesOf(groups);
			expect(
				pages
					.flat()
					.map(({ key }) => key)
					.sort()
			).toEqual(groups.map(({ key }) => key).sort());
			if (groups.length > 0) expect(likeness(pages)).toBe(bestByTrying(groups, pages.length));
		}),
		{ numRuns: 150 }
	);
});

test('for many groups no page is too full, none is lost, none is added, and two pages cannot be bettered', () => {
	fc.assert(
		fc.property(drawn(40), (groups) => {
			const plain = pairGroups(
				groups.map(({ key, size }) => ({ key, size })),
				CAPACITY
			).pages;
			const pages = pagesOf(groups);
			expect(pages.length).toBeLessThanOrEqual(plain.length);
			expect(pages.flat()).toHaveLength(groups.length);
			for (const page of pages) {
				expect(page.reduce((sum, { size }) => sum + size, 0)).toBeLessThanOrEqual(CAPACITY);
			}
			expect(likeness(preferLabels(pages, CAPACITY))).toBe(likeness(pages));
		}),
		{ numRuns: 60 }
	);
});

test('left-overs of one group share a page where that costs none', () => {
	const groups = [
		{ key: 'a', size: 5, label: 'N' },
		{ key: 'b', size: 3, label: 'S' },
		{ key: 'c', size: 4, label: 'N' },
		{ key: 'd', size: 3, label: 'N' },
		{ key: 'e', size: 6, label: 'S' },
		{ key: 'f', size: 6, label: 'N' }
	];
	expect(
		pagesOf(groups).map((page) =>
			page
				.map(({ key }) => key)
				.sort()
				.join('')
		)
	).toEqual(['ac', 'be', 'df']);
	expect(preferLabels([], CAPACITY)).toEqual([]);
});
