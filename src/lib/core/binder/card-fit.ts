import type { CardFormat } from '../checklist/card-format.ts';
import { STANDARD_CARD } from '../measuring/card-size.ts';
import { pocketsOf, type PageKind } from './page-kind.ts';

/** What a sleeve adds to a card's width and height. */
const SLEEVE_MM = 2.5;
/** A sleeved card with less than this share of the pocket's width or height slides about in it. */
const SNUG = 0.65;

export type CardFit = 'fits' | 'loose' | 'too large' | 'too thick';

/** How a sleeved card lies in a pocket; a panel may lie on its side. */
export function fitOf(format: CardFormat | undefined, kind: PageKind): CardFit {
	if ((format?.stockPt ?? 0) > kind.thickestPt) return 'too thick';
	const ways = waysToLie(format).filter((way) => goesIn(way, kind));
	if (ways.length === 0) return 'too large';
	const isSnug = ways.some(
		([across, up]) =>
			across + SLEEVE_MM >= SNUG * kind.pocketWidthMm &&
			up + SLEEVE_MM >= SNUG * kind.pocketHeightMm
	);
	return isSnug ? 'fits' : 'loose';
}

/** How far a card reaches across and up in a pocket: upright, or on its side where only so it goes in. */
export function lieIn(
	format: CardFormat | undefined,
	kind: PageKind
): { readonly acrossMm: number; readonly upMm: number } {
	const [upright, turned] = waysToLie(format);
	const [acrossMm, upMm] = !goesIn(upright, kind) && goesIn(turned, kind) ? turned : upright;
	return { acrossMm, upMm };
}

type Way = readonly [across: number, up: number];

function waysToLie(format: CardFormat | undefined): readonly [upright: Way, turned: Way] {
	const width = format?.widthMm ?? STANDARD_CARD.widthMm;
	const height = format?.heightMm ?? STANDARD_CARD.heightMm;
	return [
		[width, height],
		[height, width]
	];
}

function goesIn([across, up]: Way, kind: PageKind): boolean {
	return across + SLEEVE_MM <= kind.pocketWidthMm && up + SLEEVE_MM <= kind.pocketHeightMm;
}

/** Where a card goes that the binder's own pages do not take well. */
export interface OtherPage {
	/** The kind of page; null: none takes it. */
	readonly kind: string | null;
	/** What is wrong with it on the binder's own pages. */
	readonly why: Exclude<CardFit, 'fits'>;
}

/**
 * The page a card goes to where it does not fit the binder's own: the fitting kind with most pockets.
 * A card that only slides about stays where no kind fits better. Null: it fits the binder's own.
 */
export function otherPageFor(
	format: CardFormat | undefined,
	main: PageKind,
	kinds: readonly PageKind[]
): OtherPage | null {
	const why = fitOf(format, main);
	if (why === 'fits') return null;
	const most = (fit: CardFit) =>
		kinds
			.filter((kind) => fitOf(format, kind) === fit)
			.sort((a, b) => pocketsOf(b) - pocketsOf(a))[0];
	const kind = most('fits') ?? (why === 'loose' ? main : most('loose'));
	return { kind: kind?.key ?? null, why };
}
