/** The two pages that lie open together; null is the inside of a cover. */
export interface Spread {
	readonly left: number | null;
	readonly right: number | null;
}

/** How many spreads a binder of so many pages opens to; at least one. */
export function spreadCount(pages: number): number {
	return Math.floor(pages / 2) + 1;
}

/** The spread at an index from 0: the first shows page 1 on the right, the next 2 and 3. */
export function spreadAt(index: number, pages: number): Spread {
	const left = 2 * index;
	const right = left + 1;
	return {
		left: left >= 1 && left <= pages ? left : null,
		right: right <= pages ? right : null
	};
}

/** The index of the spread on which a page lies. */
export function spreadOfPage(page: number): number {
	return Math.floor(page / 2);
}
