import type { Condition } from '../copies/condition.ts';
import type { Verdict } from '../goal/judge-card.ts';
import type { PileChoice } from './judge-pile-card.ts';
import type { NextPile } from './next-pile.ts';
import { hasPrintings } from './pile-question.ts';
import { findInIndex, type PileIndex } from './pile-index.ts';

/** A card as it was laid on its next pile: what is kept of it. */
export interface LaidCard {
	readonly version: string;
	readonly condition?: Condition | undefined;
	readonly serial?: string | undefined;
	/** Nobody has looked yet which printing it is. */
	readonly isPrintingUnseen?: boolean | undefined;
	readonly next: NextPile;
	readonly verdict: Verdict;
}

/** A choice that was taken, as it is kept; `isLookedAt`: its printing was told. */
export function laidCard(choice: PileChoice, isLookedAt = false): LaidCard {
	const { match, condition, verdict, pile } = choice;
	return {
		version: match.version.key,
		...(condition ? { condition } : {}),
		...(match.serial === undefined ? {} : { serial: match.serial }),
		...(!isLookedAt && hasPrintings(choice) ? { isPrintingUnseen: true } : {}),
		next: pile,
		verdict
	};
}

/** A card that was laid down earlier as a choice again; null where the releases of the pile have it no more. */
export function choiceOfLaid(index: PileIndex, laid: LaidCard): PileChoice | null {
	const found = findInIndex(index, laid.version);
	if (!found) return null;
	const { condition, serial, verdict, next } = laid;
	return {
		match: { ...found, fit: 0, ...(serial === undefined ? {} : { serial }) },
		...(condition ? { condition } : {}),
		verdict,
		reasons: [],
		watch: [],
		pile: next,
		asks: []
	};
}
