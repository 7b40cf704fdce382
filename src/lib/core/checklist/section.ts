import type { Card } from './card.ts';
import type { Edition } from './edition.ts';

export const SECTION_KINDS = ['base', 'subset', 'insert', 'extra'] as const;
/** `extra`: promo, sticker, give-away, re-issue, over-size card: what packs or the list do not tell. */
export type SectionKind = (typeof SECTION_KINDS)[number];

/** A part of a numbering sold at another time: its first and last number. */
export interface Series {
	readonly name: string;
	readonly from: string;
	readonly to: string;
}

/** Odds of a section in one kind of pack: `cards` of them in `packs` packs (1:6 is one in six). */
export interface Odds {
	readonly packType: string;
	readonly cards: number;
	readonly packs: number;
}

export const CARD_SHAPES = ['rectangle', 'die cut', 'round'] as const;

/** What the cards of a section are made like; a standard card is 63.5 × 88.9 mm. */
export interface CardFormat {
	readonly widthMm?: number;
	readonly heightMm?: number;
	/** Thickness in points, 1 pt = 0.001 in. */
	readonly stockPt?: number;
	readonly shape?: (typeof CARD_SHAPES)[number];
}

/** Cards that belong side by side: a picture in a grid, or a strip that is cut by hand. */
export interface Arrangement {
	readonly kind: 'puzzle' | 'strip';
	readonly columns: number;
	readonly rows: number;
}

/** A run of the checklist. */
export interface Section {
	readonly key: string;
	readonly name: string;
	readonly kind: SectionKind;
	/** The section whose numbering this one lives in; absent where it has its own. */
	readonly numberedIn?: string;
	/** Whether the set's own checklist card has it. */
	readonly listed: boolean;
	/** How many cards the checklist card says there are. */
	readonly statedTotal?: number;
	/** Copies printed of each base card here, where they are numbered. */
	readonly printRun?: number;
	/** Series of the numbering, named by the section that owns it. */
	readonly series: readonly Series[];
	readonly odds: readonly Odds[];
	readonly format?: CardFormat;
	readonly arrangement?: Arrangement;
	/** The same cards as other sections, with changes: stored as the rule; `cards` then holds what is added. */
	readonly edition?: Edition;
	/** Other releases that this section belongs to as well, by key. */
	readonly alsoIn: readonly string[];
	readonly note?: string;
	readonly cards: readonly Card[];
}

const ODDS = /^(\d{1,4}):(\d{1,6})$/;

/**
 * Reads stated odds, "1:6"; null where the text is no odds.
 *
 * @example [parseOdds('1:6'), parseOdds('1 in 6')] // [{ cards: 1, packs: 6 }, null]
 */
export function parseOdds(text: string): { readonly cards: number; readonly packs: number } | null {
	const match = ODDS.exec(text.trim());
	const cards = Number(match?.[1] ?? 0);
	const packs = Number(match?.[2] ?? 0);
	return cards > 0 && packs > 0 ? { cards, packs } : null;
}

/** Odds as a pack states them: "1:6". */
export function formatOdds(odds: { readonly cards: number; readonly packs: number }): string {
	return `${odds.cards}:${odds.packs}`;
}
