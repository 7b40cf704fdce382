/** Odds of a section in one kind of pack: `cards` of them in `packs` packs (1:6 is one in six). */
export interface Odds {
	readonly packType: string;
	readonly cards: number;
	readonly packs: number;
}

const ODDS = /^(\d{1,4})(?::(\d{1,6})|\s+a\s+pack)$/i;
/** A pack and its odds in one text: "Hobby 1:6", "Hobby 9 a pack". */
export const PACK_AND_ODDS = /^(.*?)\s*(?<!\d)(\d+:\d+|\d+\s+a\s+pack)$/i;

/**
 * Reads stated odds: "1:6", or so many in each pack; null where the text is no odds.
 *
 * @example [parseOdds('1:6'), parseOdds('9 a pack'), parseOdds('1 in 6')] // [{ cards: 1, packs: 6 }, { cards: 9, packs: 1 }, null]
 */
export function parseOdds(text: string): { readonly cards: number; readonly packs: number } | null {
	const match = ODDS.exec(text.trim());
	const cards = Number(match?.[1] ?? 0);
	const packs = Number(match?.[2] ?? (match ? 1 : 0));
	return cards > 0 && packs > 0 ? { cards, packs } : null;
}

/** Odds as a pack states them, and as files hold them: "1:6", "9:1". */
export function formatOdds(odds: { readonly cards: number; readonly packs: number }): string {
	return `${odds.cards}:${odds.packs}`;
}
