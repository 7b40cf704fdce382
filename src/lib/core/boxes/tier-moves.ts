import type { CardFormat } from '../checklist/section.ts';
import { chooseHolder, HOLDER_SORTS, type HolderSort, type HolderTier } from './choose-holder.ts';

/** Cards that bear a word are kept in a tier whatever they are worth. */
export interface NameRule {
	/** Part of a title, a subject, a section's name or a mark; large and small letters are the same. */
	readonly word: string;
	/** Name of the tier. */
	readonly tier: string;
}

export interface TieredCard {
	readonly key: string;
	readonly quantity: number;
	readonly valueMinor?: number;
	readonly format?: CardFormat;
	/** Key of what it is in now; null: nothing. */
	readonly holder: string | null;
	/** Title, subjects, section, marks: what name rules are held against. */
	readonly words: readonly string[];
}

export interface TierMove {
	readonly card: string;
	readonly quantity: number;
	readonly tier: string;
	readonly from: string | null;
	/** Key of the holder it should be in; null: none. */
	readonly to: string | null;
	readonly direction: 'up' | 'down' | 'refit';
	readonly rule: string;
	readonly oddity?: string;
}

/** The tier that a name rule gives a card: of several the first; null: none does. */
function tierByName(words: readonly string[], rules: readonly NameRule[]): string | null {
	const text = words.map((word) => word.toLowerCase());
	const rule = rules.find(({ word }) => text.some((one) => one.includes(word.toLowerCase())));
	return rule?.tier ?? null;
}

/**
 * Which cards should go up or down a tier, as values and rules are now; `refit`: another size of the
 * same sort. What lies in a graded holder stays. The dearest first.
 *
 * @throws RangeError where a name rule names no tier
 */
export function tierMoves(
	cards: readonly TieredCard[],
	tiers: readonly HolderTier[],
	rules: readonly NameRule[] = []
): readonly TierMove[] {
	return [...cards]
		.sort((a, b) => (b.valueMinor ?? 0) - (a.valueMinor ?? 0))
		.flatMap((card): TierMove[] => {
			if (card.holder === 'slab') return [];
			const tier = tierByName(card.words, rules);
			const choice = chooseHolder({ ...card, ...(tier ? { tier } : {}) }, tiers);
			if (choice.holder === card.holder) return [];
			const by = rankOf(sortOf(choice.holder)) - rankOf(sortOf(card.holder));
			return [
				{
					card: card.key,
					quantity: card.quantity,
					tier: choice.tier,
					from: card.holder,
					to: choice.holder,
					direction: by > 0 ? 'up' : by < 0 ? 'down' : 'refit',
					rule: choice.rule,
					...(choice.oddity ? { oddity: choice.oddity } : {})
				}
			];
		});
}

function sortOf(holder: string | null): HolderSort {
	return HOLDER_SORTS.find((sort) => holder?.startsWith(sort)) ?? 'none';
}

const rankOf = (sort: HolderSort): number => HOLDER_SORTS.indexOf(sort);

/**
 * What a card takes of the supplies when it changes its holder: the new one, and a sleeve where it had
 * none, for a rigid holder takes a card in its sleeve. The sleeve stays on it from then on.
 */
export function holdersTaken(from: string | null, to: string | null): readonly string[] {
	if (to === null || to === from) return [];
	const sleeve = from === null ? ['sleeve'] : [];
	return to === 'sleeve' ? sleeve : [...sleeve, to];
}

/** Holders that moves take, by key; less what is on hand, what is to be bought. */
export function holdersToBuy(
	moves: readonly TierMove[],
	onHand: Readonly<Record<string, number>>
): readonly { readonly holder: string; readonly needed: number; readonly buy: number }[] {
	const needed = new Map<string, number>();
	for (const { to, from, quantity } of moves) {
		for (const holder of holdersTaken(from, to)) {
			needed.set(holder, (needed.get(holder) ?? 0) + quantity);
		}
	}
	return [...needed]
		.map(([holder, count]) => ({
			holder,
			needed: count,
			buy: Math.max(0, count - (onHand[holder] ?? 0))
		}))
		.sort((a, b) => (a.holder < b.holder ? -1 : 1));
}

/** What is on hand after a move: what it takes is gone, a rigid holder that is free again comes back. */
export function handAfter(
	onHand: Readonly<Record<string, number>>,
	{ from, to, quantity }: Pick<TierMove, 'from' | 'to' | 'quantity'>
): Readonly<Record<string, number>> {
	const after = { ...onHand };
	const add = (holder: string, count: number) => {
		// What was never counted stays uncounted.
		if (after[holder] !== undefined) after[holder] = Math.max(0, after[holder] + count);
	};
	for (const holder of holdersTaken(from, to)) add(holder, -quantity);
	if (from !== null && from !== 'sleeve' && from !== to) add(from, quantity);
	return after;
}
