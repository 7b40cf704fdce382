import { cardUm } from '../../measuring/stock.ts';
import { BOX_KINDS, type BoxKind } from '../kinds/box-kind.ts';

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
	/** Share by which the cards of a full box may be pressed together; left out: the usual one. */
	readonly give?: number;
}

/** Cards stand with a little air between them: a full box takes one in a hundred more. An assumption of ours. */
export const USUAL_GIVE = 0.01;

export const USUAL_BOX_RULES: BoxRules = {
	leastFill: 0.55,
	leastHave: 0.6,
	mostStrays: 2,
	give: USUAL_GIVE
};

export const BOX_CHOICES = ['own box', 'small box', 'shared', 'stray'] as const;
export interface BoxChoice {
	readonly choice: (typeof BOX_CHOICES)[number];
	/** Key of the box kind, of an own box, or of a small one that stands in a larger one. */
	readonly kind: string | null;
	/** Shares of the box, now and when complete; of an own box. */
	readonly fillNow: number | null;
	readonly fillComplete: number | null;
	readonly rule: string;
}

/** What a divider takes of a row, in micrometres. An assumption of ours. */
export const DIVIDER_UM = 800;

/**
 * How long a set is when complete, in micrometres, doubles and what is missing included: in a box of its
 * own, where no divider parts it from others.
 *
 * @throws RangeError where more numbers are there than cards, or than it has
 * @example completeUm({ cards: 10, need: 12, have: 10, stockPt: 10 }) // 3048
 */
export function completeUm({ cards, need, have, stockPt }: BoxedSet): number {
	if (have > cards || have > need) {
		throw new RangeError(`completeUm: ${have} of ${need} numbers are there in ${cards} cards`);
	}
	return (cards + need - have) * cardUm(stockPt);
}

/**
 * Where a set goes: into the smallest box that holds it whole when complete, if it fills that well
 * enough and enough of it is there; else into a shared long box; a few cards are strays. A box of its
 * own has no divider to pay for, and its cards give a little.
 *
 * @example ● 660 cards of 15 pt fit a box of 550, 500 of standard stock one of 500. Common practice, no
 * source.
 * @throws RangeError where more numbers are there than cards, or than the set has
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
	const give = rules.give ?? USUAL_GIVE;
	const pressedUm = whole / (1 + give);
	const [box] = kinds
		.filter(
			(kind) =>
				kind.rows === 1 && !kind.isForHolders && !kind.isSmall && roomOf(kind) >= pressedUm - 0.5
		)
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
	const now = set.cards * cardUm(set.stockPt);
	const pressed = whole > roomOf(box) + 0.5 ? `, pressed by ${percent(give)} at most` : '';
	return {
		choice: 'own box',
		kind: box.key,
		fillNow: now / roomOf(box),
		fillComplete,
		rule: `complete it fills ${percent(fillComplete)} of the smallest box, and ${percent(share)} is there${pressed}`
	};
}

/**
 * The small box in which a tiny set stands among others of the kind in a larger box: chosen as a box of its
 * own is; null: no small one holds it, or it would be too empty there.
 *
 * @throws RangeError as `chooseBox`
 */
export function chooseSmallBox(
	set: BoxedSet,
	rules: BoxRules,
	kinds: readonly BoxKind[]
): BoxChoice | null {
	const small = kinds.filter(({ isSmall }) => isSmall).map((kind) => ({ ...kind, isSmall: false }));
	const choice = chooseBox(set, rules, small);
	return choice.choice === 'own box' ? { ...choice, choice: 'small box' } : null;
}

function percent(share: number): string {
	return `${Math.round(100 * share)} %`;
}
