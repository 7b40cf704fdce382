import { at } from '../at.ts';
import type { BinderPage } from './binder-page.ts';

/** A pocket of a plan: its page's running number, and the pocket from 0. */
export interface PagePocket {
	readonly page: number;
	readonly pocket: number;
}

/** The order that a plan shows, pocket by pocket over pages of one kind; '' for a free pocket. */
export function orderOf(pages: readonly BinderPage[], kind: string): readonly string[] {
	return ownPages(pages, kind).flatMap(({ pockets }) => pockets.map((slot) => slot ?? ''));
}

/**
 * The order after what lies in two pockets has changed places; null where one of them is not on a page
 * of that kind, or both are empty.
 */
export function swapInOrder(
	pages: readonly BinderPage[],
	kind: string,
	first: PagePocket,
	other: PagePocket
): readonly string[] | null {
	const order = [...orderOf(pages, kind)];
	const [a, b] = [placeOf(pages, kind, first), placeOf(pages, kind, other)];
	if (a === null || b === null || (order[a] === '' && order[b] === '')) return null;
	[order[a], order[b]] = [at(order, b), at(order, a)];
	return order;
}

/** Pages that show cards of their own or nothing: backs of one-sided leaves hold none. */
function ownPages(pages: readonly BinderPage[], kind: string): readonly BinderPage[] {
	return pages.filter((page) => page.kind === kind && page.use !== 'backs');
}

function placeOf(pages: readonly BinderPage[], kind: string, at: PagePocket): number | null {
	let before = 0;
	for (const { page, pockets } of ownPages(pages, kind)) {
		if (page === at.page) {
			const isThere = Number.isInteger(at.pocket) && at.pocket >= 0 && at.pocket < pockets.length;
			return isThere ? before + at.pocket : null;
		}
		before += pockets.length;
	}
	return null;
}
