import type { Card } from './card.ts';

export const SECTION_KINDS = ['base', 'subset', 'insert'] as const;
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

/** A run of the checklist. */
export interface Section {
	readonly key: string;
	readonly name: string;
	readonly kind: SectionKind;
	/** The section whose numbering this one lives in; absent where it has its own. */
	readonly numberedIn?: string;
	/** Copies printed of each base card here, where they are numbered. */
	readonly printRun?: number;
	/** Series of the numbering, named by the section that owns it. */
	readonly series: readonly Series[];
	readonly odds: readonly Odds[];
	readonly note?: string;
	readonly cards: readonly Card[];
}

const ODDS = /^(\d{1,4}):(\d{1,6})$/;

/** Reads stated odds, "1:6"; null where the text is no odds. */
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
