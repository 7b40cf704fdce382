import type { CardFormat } from '../../checklist/card-format.ts';
import { convertMinor, type ExchangeRate } from '../../money/exchange-rates.ts';
import { holderChooser, type HolderTier } from './choose-holder.ts';
import { HOLDER_SORTS, holderKindOf, type HolderKind } from '../kinds/holder-kind.ts';

/** Cards that bear a word are kept in a tier whatever they are worth. */
export interface NameRule {
	/** Part of a title, a subject, a mark, or of the name of a section, finish or variant; large and small letters are the same. */
	readonly word: string;
	/** Name of the tier. */
	readonly tier: string;
}

export interface TieredCard {
	readonly key: string;
	readonly quantity: number;
	readonly valueMinor?: number;
	/** What it is valued in (ISO 4217); left out: what the tiers are stated in. */
	readonly currency?: string;
	readonly format?: CardFormat;
	/** Whether a grading house has put it into a holder of its own, where it stays. */
	readonly isGraded?: boolean;
	/** Key of what it is in now; null: nothing. */
	readonly holder: string | null;
	/** Title, subjects, section, marks, finish, variant: what name rules are held against. */
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
	readonly caution?: string;
}

/** By what besides the tiers cards move. */
export interface TierOptions {
	/** Rules by name; the first that holds counts before any value. */
	readonly names?: readonly NameRule[];
	/** What the tiers are stated in; left out: all values are. */
	readonly currency?: string;
	/** Rates of exchange, by which values in other money are converted. */
	readonly rates?: readonly ExchangeRate[];
	/** Kinds of holders besides the usual ones. */
	readonly holders?: readonly HolderKind[];
}

/** The tier that a name rule gives a card: of several the first; null: none does. */
function tierByName(words: readonly string[], rules: readonly NameRule[]): string | null {
	const text = words.map((word) => word.toLowerCase());
	const rule = rules.find(({ word }) => text.some((phrase) => phrase.includes(word.toLowerCase())));
	return rule?.tier ?? null;
}

/**
 * Which cards should go up or down a tier, as values and rules are now; `refit`: another size of the
 * same sort. What is graded stays, and what is valued in another currency than the tiers to which no
 * kept rate leads, unless a name rule decides. The dearest first.
 *
 * @throws RangeError where a name rule names no tier
 */
export function tierMoves(
	cards: readonly TieredCard[],
	tiers: readonly HolderTier[],
	{ names = [], currency, rates = [], holders = [] }: TierOptions = {}
): readonly TierMove[] {
	const choose = holderChooser(tiers, holders);
	const rankOf = (holder: string | null) => sortRank(holder, holders);
	return cards
		.map((card) => inMoneyOf(card, currency, rates))
		.sort((a, b) => (b.valueMinor ?? 0) - (a.valueMinor ?? 0))
		.flatMap((card): TierMove[] => {
			const now = card.holder === null ? null : holderKindOf(card.holder, holders);
			if (card.isGraded || now?.sort === 'graded') return [];
			const tier = tierByName(card.words, names);
			// Without a rate of exchange, an amount in other money says nothing of a tier.
			const isOther = currency !== undefined && (card.currency ?? currency) !== currency;
			if (isOther && tier === null && card.valueMinor !== undefined) return [];
			const choice = choose(tier ? { ...card, tier } : card);
			// What no holder takes stays in what it is in: that is odd, and no reason to take it out.
			if (choice.holder === card.holder || (choice.oddity && card.holder !== null)) return [];
			const by = rankOf(choice.holder) - rankOf(card.holder);
			return [
				{
					card: card.key,
					quantity: card.quantity,
					tier: choice.tier,
					from: card.holder,
					to: choice.holder,
					direction: by > 0 ? 'up' : by < 0 ? 'down' : 'refit',
					rule: choice.rule,
					...(choice.oddity ? { oddity: choice.oddity } : {}),
					...(choice.caution ? { caution: choice.caution } : {})
				}
			];
		});
}

/** A card valued in the money of the tiers, where a rate leads there; else as it is. */
function inMoneyOf(
	card: TieredCard,
	currency: string | undefined,
	rates: readonly ExchangeRate[]
): TieredCard {
	const { valueMinor, currency: money = currency } = card;
	if (valueMinor === undefined || currency === undefined || money === undefined) return card;
	const converted = convertMinor(valueMinor, money, currency, rates);
	return converted === null ? card : { ...card, valueMinor: converted, currency };
}

/** Sorts of holders rise with what a card is worth; none is the lowest. */
function sortRank(holder: string | null, holders: readonly HolderKind[]): number {
	const sort = holder === null ? 'none' : holderKindOf(holder, holders).sort;
	return HOLDER_SORTS.findIndex((known) => known === sort);
}

/**
 * What a card takes of the supplies when it changes its holder: the new one, and a sleeve where that
 * takes a card in its sleeve and it had none. A case takes the bare card.
 *
 * @example [holdersTaken(null, 'top-loader-35'), holdersTaken('sleeve', 'magnetic-35'), holdersTaken('sleeve', null)] // [['sleeve', 'top-loader-35'], ['magnetic-35'], []]
 */
export function holdersTaken(
	from: string | null,
	to: string | null,
	holders: readonly HolderKind[] = []
): readonly string[] {
	if (to === null || to === from) return [];
	const now = from === null ? null : holderKindOf(from, holders);
	const hasSleeve = now?.sort === 'sleeve' || now?.takes === 'sleeved';
	const next = holderKindOf(to, holders);
	if (next.sort === 'sleeve') return now?.takes === 'sleeved' ? [] : [to];
	return next.takes === 'sleeved' && !hasSleeve ? ['sleeve', to] : [to];
}

/** Holders that moves take, by key; less what is on hand, what is to be bought. */
export function holdersToBuy(
	moves: readonly TierMove[],
	onHand: Readonly<Record<string, number>>,
	holders: readonly HolderKind[] = []
): readonly { readonly holder: string; readonly needed: number; readonly buy: number }[] {
	const needed = new Map<string, number>();
	for (const { to, from, quantity } of moves) {
		for (const holder of holdersTaken(from, to, holders)) {
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
