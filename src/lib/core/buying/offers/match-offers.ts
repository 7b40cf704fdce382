import type { HoldingRow } from '../../holdings/holding-row.ts';
import { matchHoldings, type MatchedSet } from '../../holdings/match-holdings.ts';
import type { Release } from '../../checklist/release.ts';
import type { PriceBreak } from './price-breaks.ts';

/** A row of a seller's list: which card, and what it costs. */
export interface OfferRow {
	readonly line: number;
	/** The card as the list names it, with quantity, condition and grade. */
	readonly card: HoldingRow;
	/** One card first, then lots. Empty: the price was not understood. */
	readonly breaks: readonly PriceBreak[];
	/** What of the price is not understood; empty: nothing. */
	readonly wrong: string;
}

/** An offer out of a list. */
export interface MatchedOffer {
	readonly line: number;
	readonly version: string;
	readonly quantity: number;
	readonly condition: HoldingRow['fields']['condition'] | null;
	readonly grade: number | null;
	readonly house: string | null;
	readonly breaks: readonly PriceBreak[];
	readonly note: string | null;
}

export interface OffersMatch {
	readonly sets: readonly MatchedSet[];
	readonly offers: readonly MatchedOffer[];
	/** Rows that wait to be settled, each with the reason. */
	readonly review: readonly { readonly line: number; readonly reason: string }[];
}

/**
 * Gives the rows of a seller's list to the cards of checklists, as holdings are matched: nothing is dropped, nothing
 * guessed silently. A row whose price is not understood is to be settled as well.
 *
 * @param choices name of a set → key of the release that a person chose for it, '' for none
 */
export function matchOffers(
	rows: readonly OfferRow[],
	releases: readonly Release[],
	choices: Readonly<Record<string, string>> = {}
): OffersMatch {
	const { sets, matched, unmatched } = matchHoldings(
		rows.map(({ card }) => card),
		releases,
		choices
	);
	const rowOf = new Map(rows.map((row) => [row.line, row]));
	const reasons = new Map(unmatched.map(({ line, reason }) => [line, reason]));
	for (const { line, wrong } of rows) {
		if (wrong === '') continue;
		const other = reasons.get(line);
		reasons.set(line, other === undefined ? wrong : `${other}; ${wrong}`);
	}
	const offers = matched.flatMap(({ line, version, fields }): readonly MatchedOffer[] => {
		const { breaks = [] } = rowOf.get(line) ?? {};
		if (reasons.has(line)) return [];
		const { quantity, condition = null, grade = null, house = null, serial, attributes } = fields;
		const note = [serial, ...attributes, fields.note].filter(Boolean).join('; ') || null;
		return [{ line, version, quantity, condition, grade, house, breaks, note }];
	});
	const review = [...reasons].map(([line, reason]) => ({ line, reason }));
	return { sets, offers, review: review.sort((a, b) => a.line - b.line) };
}
