import { cardUm } from '../measuring/stock.ts';
import { BOX_KINDS, type BoxKind } from './box-kind.ts';

/** A set or part of one that stands together: its cards, of one stock. */
export interface BoxedSet {
	/** Cards that are there, doubles included. */
	readonly cards: number;
	/** Numbers it has in all, and how many of them are there. */
	readonly need: number;
	readonly have: number;
	readonly stockPt?: number;
}

/** When a set gets a box of its own. */
export interface BoxRules {
	/** Share of the box that the complete set fills, at least. */
	readonly leastFill: number;
	/** Share of the set that is there, at least. */
	readonly leastHave: number;
	/** So many cards or fewer are strays behind the year's divider. */
	readonly mostStrays: number;
}

export const USUAL_BOX_RULES: BoxRules = { leastFill: 0.55, leastHave: 0.6, mostStrays: 2 };

export const BOX_CHOICES = ['own box', 'shared', 'stray'] as const;
export interface BoxChoice {
	readonly choice: (typeof BOX_CHOICES)[number];
	/** Key of the box kind, of an own box. */
	readonly kind: string | null;
	/** Shares of the box, now and when complete; of an own box. */
	readonly fillNow: number | null;
	readonly fillComplete: number | null;
	readonly rule: string;
}

/** What a divider takes of a row, in micrometres. An assumption of ours. */
export const DIVIDER_UM = 800;

/** How long a set is in a row when complete, in micrometres: doubles and what is missing included. */
export function completeUm({ cards, need, have, stockPt }: BoxedSet): number {
	return DIVIDER_UM + (cards + need - have) * cardUm(stockPt);
}

/**
 * Where a set goes: into the smallest box that holds it whole when complete, if it fills that well
 * enough and enough of it is there; else into a shared long box; a few cards are strays.
 */
export function chooseBox(
	set: BoxedSet,
	rules: BoxRules = USUAL_BOX_RULES,
	kinds: readonly BoxKind[] = BOX_KINDS
): BoxChoice {
	const none = { kind: null, fillNow: null, fillComplete: null };
	if (set.cards <= rules.mostStrays) {
		return { ...none, choice: 'stray', rule: `${rules.mostStrays} cards or fewer` };
	}
	const whole = completeUm(set);
	const roomOf = ({ rows, rowMm }: BoxKind) => rows * rowMm * 1000;
	const [box] = kinds
		.filter((kind) => kind.rows === 1 && !kind.isForHolders && roomOf(kind) >= whole)
		.sort((a, b) => roomOf(a) - roomOf(b));
	if (!box) return { ...none, choice: 'shared', rule: 'no box of one row holds it whole' };
	const fillComplete = whole / roomOf(box);
	const share = set.need === 0 ? 1 : set.have / set.need;
	if (fillComplete < rules.leastFill) {
		return {
			...none,
			choice: 'shared',
			rule: `fills ${percent(fillComplete)} of the smallest box`
		};
	}
	if (share < rules.leastHave) {
		return { ...none, choice: 'shared', rule: `${percent(share)} of the set is there` };
	}
	const now = DIVIDER_UM + set.cards * cardUm(set.stockPt);
	return {
		choice: 'own box',
		kind: box.key,
		fillNow: now / roomOf(box),
		fillComplete,
		rule: `complete it fills ${percent(fillComplete)} of the smallest box, and ${percent(share)} is there`
	};
}

function percent(share: number): string {
	return `${Math.round(100 * share)} %`;
}
