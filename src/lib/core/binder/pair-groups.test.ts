import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { leastPagesFor, pairGroups, type SubjectGroup } from './pair-groups.ts';

const groupsOf = (sizes: readonly number[], labels: readonly string[] = []): SubjectGroup[] =>
	sizes.map((size, i) => ({
		key: `g${String(i).padStart(2, '0')}`,
		size,
		...(labels[i] ? { label: labels[i] } : {})
	}));

/** The fewest pages, by trying every page for every group. */
function fewestByTrying(sizes: readonly number[], capacity: number): number {
	let best = sizes.length;
	const visit = (at: number, rooms: readonly number[]): void => {
		if (rooms.length >= best) return;
		const size = sizes[at];
		if (size === undefined) {
			best = rooms.length;
			return;
		}
		rooms.forEach((room, i) => {
			if (room >= size)
				visit(
					at + 1,
					rooms.map((left, j) => (j === i ? left - size : left))
				);
		});
		visit(at + 1, [...rooms, capacity - size]);
	};
	visit(0, []);
	return best;
}

describe('subjects on pages of nine', () => {
	// ● Four versions of a subject in one year and five in the next fill exactly one 9-pocket page.
	// Common practice, no source.
	test('4 + 5 = 9: as many pages as there are subjects', () => {
		const sizes = Array.from({ length: 30 }, (_, i) => (i % 2 === 0 ? 4 : 5));
		const { pages, leastPages, isExact } = pairGroups(groupsOf(sizes), 9);
		expect([pages.length, leastPages, isExact]).toEqual([15, 15, true]);
		expect(pages.every(({ empty, groups }) => empty === 0 && groups.length === 2)).toBe(true);
		// Neighbours lie together.
		expect(pages[0]?.groups.map(({ key }) => key)).toEqual(['g01', 'g00']);
	});

	test('a label counts before the alphabet', () => {
		const groups = groupsOf([5, 4, 4, 5], ['north', 'south', 'north', 'south']);
		const pages = pairGroups(groups, 9).pages.map((page) => page.groups.map(({ key }) => key));
		expect(pages).toEqual([
			['g00', 'g02'],
			['g03', 'g01']
		]);
	});

	test.each<[string, number[], number, number]>([
		['none', [], 9, 0],
		['one', [4], 9, 1],
		['a full page', [9], 9, 1],
		['larger than a page: whole pages, and the rest shares one', [20, 7], 9, 3],
		['three threes', [3, 3, 3], 9, 1],
		['six and threes', [6, 6, 3, 3], 9, 2],
		// First fit decreasing takes three pages (4 3, 3 2 2, 2); by hand, 4 2 2 and 3 3 2 do.
		['where the greedy way fails', [4, 3, 3, 2, 2, 2], 8, 2],
		['one pocket', [1, 1, 1], 1, 3]
	])('%s', (_, sizes, capacity, count) => {
		const { pages, isExact } = pairGroups(groupsOf(sizes), capacity);
		expect([pages.length, isExact]).toEqual([count, true]);
	});
});

// The bound is Martello and Toth's L2 (1990, from memory). The case is ours, worked by hand: of 300 in
// pages of 100 the sum asks for 3; with 33 as threshold 70 and 60 take a page each, 149 less the 40
// left beside 60 need two more.
test('the lower bound of a worked example', () => {
	const sizes = [70, 60, 50, 33, 33, 33, 11, 7, 3];
	expect(leastPagesFor(sizes, 100)).toBe(4);
	expect(pairGroups(groupsOf(sizes), 100).pages).toHaveLength(4);
});

describe('for all groups', () => {
	test('few ones: as few pages as trying every way gives', () => {
		const sizes = fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 9 });
		fc.assert(
			fc.property(sizes, fc.constantFrom(9, 12), (all, capacity) => {
				const { pages, leastPages, isExact } = pairGroups(groupsOf(all), capacity);
				expect(isExact).toBe(true);
				expect(pages.length).toBe(fewestByTrying(all, capacity));
				expect(leastPages).toBeLessThanOrEqual(pages.length);
			}),
			{ numRuns: 200 }
		);
	});

	test('sixty: none is split or lost, no page overflows, and the number of pages is exact', () => {
		const sizes = fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 50, maxLength: 60 });
		fc.assert(
			fc.property(sizes, fc.constantFrom(4, 8, 9, 12), (all, capacity) => {
				const groups = groupsOf(all);
				const { pages, leastPages, isExact } = pairGroups(groups, capacity);
				expect(isExact).toBe(true);
				expect(pages.length).toBeGreaterThanOrEqual(leastPages);
				for (const page of pages) {
					const used = page.groups.reduce((total, { pockets }) => total + pockets, 0);
					expect(used + page.empty).toBe(capacity);
					expect(page.empty).toBeGreaterThanOrEqual(0);
				}
				for (const { key, size } of groups) {
					const parts = pages.flatMap((page) => page.groups.filter((group) => group.key === key));
					expect(parts.reduce((total, { pockets }) => total + pockets, 0)).toBe(size);
					// Only what is larger than a page is on more than one, and then fills all but the last.
					expect(parts.filter(({ pockets }) => pockets < capacity).length).toBeLessThanOrEqual(1);
				}
			}),
			{ numRuns: 60 }
		);
	});
});

test('large pages and many groups come to an end, and say whether they are exact', () => {
	const sizes = Array.from({ length: 900 }, (_, i) => 7 + ((i * 37) % 61));
	const { pages, leastPages, isExact } = pairGroups(groupsOf(sizes), 200);
	expect(pages.length).toBeGreaterThanOrEqual(leastPages);
	// Best fit decreasing at the worst: at most 11/9 of the fewest and 4, which the bound may only undercut.
	expect(pages.length).toBeLessThanOrEqual(Math.floor((11 * leastPages) / 9) + 4);
	if (pages.length === leastPages) expect(isExact).toBe(true);
	expect(pages.flatMap((page) => page.groups)).toHaveLength(900);
});

test('a hundred thousand subjects come to an end as well: none is lost, none split', () => {
	const labels = ['Keepers', 'Ferries', 'Moths'];
	const groups = Array.from({ length: 100_000 }, (_, i) => ({
		key: String(i),
		size: 1 + ((i * 7919) % 8),
		label: labels[i % 3] ?? ''
	}));
	const { pages, leastPages } = pairGroups(groups, 9);
	expect(new Set(pages.flatMap((page) => page.groups.map(({ key }) => key))).size).toBe(100_000);
	expect(pages.length).toBeLessThanOrEqual((11 * leastPages) / 9 + 4);
	for (const page of pages) {
		const laid = page.groups.reduce((sum, { pockets }) => sum + pockets, 0);
		if (laid + page.empty !== 9) expect(page).toEqual('nine pockets');
	}
});

test.each<[string, SubjectGroup[], number, RegExp]>([
	['no pockets', [], 0, /capacity is 0/],
	['half a card', [{ key: 'a', size: 0.5 }], 9, /size of "a" is 0.5/],
	['a group twice', groupsOf([1]).concat(groupsOf([2])), 9, /"g00" stands twice/]
])('%s is refused', (_, groups, capacity, message) => {
	expect(() => pairGroups(groups, capacity)).toThrow(message);
});
