import { at } from '../at.ts';
import { preferLabels } from './prefer-labels.ts';

/** All versions of one subject, which shall lie on one page. */
export interface SubjectGroup {
	readonly key: string;
	/** How many pockets it takes. */
	readonly size: number;
	/** Groups with the same label are rather laid together: a team, a release. */
	readonly label?: string;
}

/** A page with the groups that share it. A group larger than a page fills whole ones first. */
export interface SharedPage {
	readonly groups: readonly { readonly key: string; readonly pockets: number }[];
	readonly empty: number;
}

export interface Pairing {
	readonly pages: readonly SharedPage[];
	/** No arrangement has fewer pages than this (Martello and Toth's bound L2). */
	readonly leastPages: number;
	/** Whether it is certain that no arrangement has fewer pages. */
	readonly isExact: boolean;
}

/** Steps of the search after which the best found is taken: some 60 groups need far fewer. */
const MOST_STEPS = 200_000;
/** Of more pages than these no better packing is looked for: the search goes as deep as there are pages. */
const MOST_PAGES = 1000;

/**
 * Lays subjects out on pages so that the fewest pages are used and no group is split: 4 + 5 fill one
 * page of nine. It is bin packing (NP-hard); the number of pages is found exactly by completing one
 * page after the other (Korf, 2002) as long as the search stays small, else by best fit decreasing,
 * which needs at most 11/9 of the fewest pages, and 4 more (Johnson et al., 1974; sources from memory).
 * Of the arrangements with so few pages one is taken in which groups of one label lie together: the best for a
 * few groups, a good one for many (`preferLabels`); then those near in the order given.
 *
 * @param capacity pockets of a page, at least 1
 * @throws RangeError where the capacity or a size is no whole number ≥ 1, or a key stands twice
 */
export function pairGroups(groups: readonly SubjectGroup[], capacity: number): Pairing {
	requireWhole('capacity', capacity);
	const seen = new Set<string>();
	for (const { key, size } of groups) {
		requireWhole(`size of "${key}"`, size);
		if (seen.has(key)) throw new RangeError(`pairGroups: group "${key}" stands twice`);
		seen.add(key);
	}
	const whole = groups.flatMap(({ key, size }) =>
		Array.from({ length: Math.floor(size / capacity) }, (): SharedPage => ({
			groups: [{ key, pockets: capacity }],
			empty: 0
		}))
	);
	const rest = groups
		.map((group, order) => ({ ...group, order, size: group.size % capacity }))
		.filter(({ size }) => size > 0);
	const sizes = rest.map(({ size }) => size);
	const bound = leastPagesFor(sizes, capacity);
	const { pages: patterns, isExact } = packSizes(sizes, capacity, bound);
	return {
		pages: [...whole, ...assignGroups(rest, patterns, capacity)],
		leastPages: whole.length + bound,
		isExact
	};
}

/** Martello and Toth's lower bound L2 (1990) on the pages that sizes need. */
export function leastPagesFor(sizes: readonly number[], capacity: number): number {
	let least = 0;
	const thresholds = new Set([0, ...sizes.filter((size) => 2 * size <= capacity)]);
	for (const threshold of thresholds) {
		const large = sizes.filter((size) => size > capacity - threshold);
		const middle = sizes.filter((size) => size <= capacity - threshold && 2 * size > capacity);
		const small = sizes.filter((size) => 2 * size <= capacity && size >= threshold);
		const room = middle.length * capacity - sum(middle);
		const over = Math.max(0, Math.ceil((sum(small) - room) / capacity));
		least = Math.max(least, large.length + middle.length + over);
	}
	return least;
}

/** Sizes as pages of sizes: exact where the search is small enough. */
function packSizes(
	sizes: readonly number[],
	capacity: number,
	bound: number
): { readonly pages: readonly (readonly number[])[]; readonly isExact: boolean } {
	const greedy = bestFitDecreasing(sizes, capacity);
	if (greedy.length === bound) return { pages: greedy, isExact: true };
	if (greedy.length > MOST_PAGES) return { pages: greedy, isExact: false };
	const counts = new Array<number>(capacity + 1).fill(0);
	for (const size of sizes) counts[size] = (counts[size] ?? 0) + 1;
	let steps = 0;
	for (let pages = bound; pages < greedy.length; pages++) {
		const failed = new Set<string>();
		const found = complete(pages);
		if (found) return { pages: found, isExact: true };
		if (steps > MOST_STEPS) return { pages: greedy, isExact: false };

		/** Packs what is left into so many pages; null where that cannot be, or the search is given up. */
		function complete(left: number): (readonly number[])[] | null {
			const largest = counts.findLastIndex((count) => count > 0);
			if (largest < 1) return [];
			const total = counts.reduce((all, count, size) => all + count * size, 0);
			if (left === 0 || total > left * capacity || ++steps > MOST_STEPS) return null;
			const state = `${left} ${counts.join()}`;
			if (failed.has(state)) return null;
			for (const page of pagesWith(largest)) {
				for (const size of page) counts[size] = (counts[size] ?? 0) - 1;
				const others = complete(left - 1);
				for (const size of page) counts[size] = (counts[size] ?? 0) + 1;
				if (others) return [page, ...others];
			}
			failed.add(state);
			return null;
		}
	}
	return { pages: greedy, isExact: true };

	/** The fullest ways to complete a page that begins with the largest size; fuller ones first. */
	function pagesWith(largest: number): readonly (readonly number[])[] {
		const ways: number[][] = [];
		const left = [...counts];
		left[largest] = (left[largest] ?? 0) - 1;
		const grow = (page: number[], room: number, most: number) => {
			if (++steps > MOST_STEPS) return;
			let isFull = true;
			for (let size = Math.min(room, most); size >= 1; size--) {
				if ((left[size] ?? 0) === 0) continue;
				isFull = false;
				left[size] = (left[size] ?? 0) - 1;
				grow([...page, size], room - size, size);
				left[size] = (left[size] ?? 0) + 1;
			}
			if (isFull) ways.push(page);
		};
		grow([largest], capacity - largest, largest);
		return ways.sort((a, b) => sum(b) - sum(a) || a.length - b.length);
	}
}

/** Largest first, each onto the fullest page that still takes it. */
function bestFitDecreasing(
	sizes: readonly number[],
	capacity: number
): readonly (readonly number[])[] {
	const pages: number[][] = [];
	/** Pages by how many pockets they have left. */
	const byRoom = Array.from({ length: capacity + 1 }, (): number[][] => []);
	for (const size of [...sizes].sort((a, b) => b - a)) {
		let room = size;
		while (room < capacity && byRoom[room]?.length === 0) room++;
		const page = byRoom[room]?.pop() ?? [];
		if (page.length === 0) pages.push(page);
		page.push(size);
		byRoom[room - size]?.push(page);
	}
	return pages;
}

type Waiting = SubjectGroup & { readonly order: number };

/** Groups of one size in their order, and the one nearest to a place that is not taken yet. */
interface Shelf {
	readonly groups: Waiting[];
	readonly nearest: (order: number) => Waiting | undefined;
}

/** Skips over what is taken with pointers that grow shorter as they are used: near to constant time. */
function openShelf(taken: ReadonlySet<Waiting>): Shelf {
	const groups: Waiting[] = [];
	const jumps = { 1: new Map<number, number>(), [-1]: new Map<number, number>() };
	const skip = (from: number, by: 1 | -1): number => {
		const passed: number[] = [];
		let at = from;
		for (let group = groups[at]; group && taken.has(group); group = groups[at]) {
			passed.push(at);
			at = jumps[by].get(at) ?? at + by;
		}
		for (const state of passed) jumps[by].set(state, at);
		return at;
	};
	return {
		groups,
		nearest(order) {
			let low = 0;
			let high = groups.length;
			while (low < high) {
				const middle = (low + high) >> 1;
				if (at(groups, middle).order < order) low = middle + 1;
				else high = middle;
			}
			const [before, after] = [groups[skip(low - 1, -1)], groups[skip(low, 1)]];
			if (!before || !after) return before ?? after;
			return after.order - order < order - before.order ? after : before;
		}
	};
}

/** Gives each place of the pages a group of its size: with the label of the first, then the nearest. */
function assignGroups(
	groups: readonly Waiting[],
	patterns: readonly (readonly number[])[],
	capacity: number
): readonly SharedPage[] {
	const taken = new Set<Waiting>();
	const shelves = new Map<string, Shelf>();
	for (const group of groups) {
		for (const name of [`${group.size}`, `${group.size} ${group.label ?? ''}`]) {
			const shelf = shelves.get(name) ?? openShelf(taken);
			shelf.groups.push(group);
			shelves.set(name, shelf);
		}
	}
	const take = (size: number, near: Waiting | undefined): Waiting => {
		const order = near?.order ?? -1;
		const kin = near?.label === undefined ? undefined : shelves.get(`${size} ${near.label}`);
		const group = kin?.nearest(order) ?? shelves.get(`${size}`)?.nearest(order);
		if (!group) throw new RangeError(`pairGroups: no group of ${size} is left`);
		taken.add(group);
		return group;
	};
	const laid = patterns.map((sizes) => {
		const [largest = 0, ...others] = sizes;
		const first = take(largest, undefined);
		return [first, ...others.map((size) => take(size, first))];
	});
	return preferLabels(laid, capacity)
		.map((shared) => ({
			order: at(shared, 0).order,
			page: {
				groups: shared.map(({ key, size }) => ({ key, pockets: size })),
				empty: capacity - sum(shared.map(({ size }) => size))
			}
		}))
		.sort((a, b) => a.order - b.order)
		.map(({ page }) => page);
}

function sum(numbers: readonly number[]): number {
	return numbers.reduce((total, value) => total + value, 0);
}

function requireWhole(what: string, value: number): void {
	if (!Number.isInteger(value) || value < 1) {
		throw new RangeError(`pairGroups: the ${what} is ${value}`);
	}
}
