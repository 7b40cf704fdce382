import type { PagePocket } from './order-by-hand.ts';
import type { PageKind } from './page-kind.ts';

/** The two pages that lie open together; null is the inside of a cover. */
export interface Spread {
	readonly left: number | null;
	readonly right: number | null;
}

/**
 * The spreads of a binder, volume by volume: the first of each shows its page 1 on the right, the next
 * 2 and 3. Pages are given in order, each with its volume; an empty binder opens to two covers.
 */
export function spreadsOf(
	pages: readonly { readonly page: number; readonly volume: number }[]
): readonly Spread[] {
	if (pages.length === 0) return [{ left: null, right: null }];
	const spreads: Spread[] = [];
	pages.forEach(({ page, volume }, i) => {
		const isRight = page % 2 === 1;
		if (!isRight) spreads.push({ left: page, right: null });
		else if (pages[i - 1]?.volume !== volume) spreads.push({ left: null, right: page });
		else {
			const { left = null } = spreads.pop() ?? {};
			spreads.push({ left, right: page });
		}
	});
	return spreads;
}

/** The index of the spread on which a page lies; 0 where none has it. */
export function spreadOfPage(spreads: readonly Spread[], page: number): number {
	return Math.max(
		0,
		spreads.findIndex(({ left, right }) => left === page || right === page)
	);
}

/**
 * The pocket to which an arrow key leads: from the last column of the left page to the right one and
 * back. Null where there is none that way.
 */
export function neighbour(
	{ left, right }: Spread,
	kindOf: (page: number) => Pick<PageKind, 'rows' | 'columns'>,
	at: PagePocket,
	key: string
): PagePocket | null {
	const { rows, columns } = kindOf(at.page);
	const row = Math.floor(at.pocket / columns);
	const column = at.pocket % columns;
	const inPage = (r: number, c: number) => ({ page: at.page, pocket: r * columns + c });
	const across = (page: number | null, atEnd: boolean): PagePocket | null => {
		if (page === null || page === at.page) return null;
		const other = kindOf(page);
		const r = Math.min(row, other.rows - 1);
		return { page, pocket: r * other.columns + (atEnd ? other.columns - 1 : 0) };
	};
	switch (key) {
		case 'ArrowLeft':
			return column > 0 ? inPage(row, column - 1) : across(left, true);
		case 'ArrowRight':
			return column < columns - 1 ? inPage(row, column + 1) : across(right, false);
		case 'ArrowUp':
			return row > 0 ? inPage(row - 1, column) : null;
		case 'ArrowDown':
			return row < rows - 1 ? inPage(row + 1, column) : null;
		default:
			return null;
	}
}

/** Where a page's pockets lie, with the slots in them. */
interface LaidPage {
	readonly page: number;
	readonly pockets: readonly (string | null)[];
}

/**
 * The pocket of a card number, capitals aside; where several cards bear it, the next one behind a page.
 * Null where none does.
 *
 * @param numberOf the number of the card of a slot; null: it bears none
 */
export function findNumber(
	pages: readonly LaidPage[],
	wanted: string,
	numberOf: (slot: string) => string | null,
	behind: number
): PagePocket | null {
	const number = wanted.trim().toLowerCase();
	if (number === '') return null;
	const found = pages.flatMap(({ page, pockets }) =>
		pockets.flatMap((slot, pocket) =>
			slot !== null && numberOf(slot)?.toLowerCase() === number ? [{ page, pocket }] : []
		)
	);
	return found.find(({ page }) => page > behind) ?? found[0] ?? null;
}
