import type { CardFormat } from '../../checklist/card-format.ts';
import { cardUm } from '../../measuring/stock.ts';
import { cardG } from './box-weight.ts';
import { holderKindOf, type HolderKind } from '../kinds/holder-kind.ts';

/** What one card with its holder takes and weighs, in micrometres and milligrams. */
export interface CardBulk {
	readonly um: number;
	readonly mg: number;
}

/** The holder a card is taken to be in: a graded one is in its grading house's, though none is named. */
export function holderOf(card: {
	readonly holder: string | null;
	readonly isGraded: boolean;
}): string | null {
	return card.holder ?? (card.isGraded ? 'slab' : null);
}

/** @throws RangeError for an unknown holder */
export function cardBulk(
	format: CardFormat | null,
	holder: string | null,
	added: readonly HolderKind[] = []
): CardBulk {
	const kind = holder === null ? null : holderKindOf(holder, added);
	return {
		um: cardUm(format?.stockPt) + (kind?.addsUm ?? 0),
		mg: Math.round(1000 * (cardG(format ?? {}) + (kind?.addsG ?? 0)))
	};
}
