/** A card that may change hands, once. */
export interface TradeCard {
	readonly key: string;
	/** What it is worth to both, in minor units. */
	readonly minor: number;
	/** It has to be part of the trade. */
	readonly isFixed?: boolean;
}

/** Who gives what. */
export interface Trade {
	readonly give: readonly string[];
	readonly take: readonly string[];
	readonly giveMinor: number;
	readonly takeMinor: number;
}

/** The most cards that can change hands fairly, with other ways to do so. */
export interface TradeMatch {
	/** Null: no trade keeps within the tolerance, but for none at all. */
	readonly best: Trade | null;
	/** Other trades: the most even one of as many cards; fewer cards, but more even; without the dearest card. */
	readonly others: readonly { readonly why: TradeReason; readonly trade: Trade }[];
}
export type TradeReason = 'most even of as many' | 'most even of all' | 'without the dearest';

/** The most that both lists together may be worth, in units of reckoning: past that, cents are too fine. */
const MOST_UNITS = 400_000;

/**
 * The trade in which most cards change hands while what is given and what is taken are worth the same within a
 * tolerance; of equally many the most even one. Exact, by a dynamic programme over the difference in worth. Where both
 * lists are worth more than `MOST_UNITS` minor units it reckons in larger units (rounded), and says so.
 *
 * @throws RangeError for a worth or a tolerance below nothing
 */
export function matchTrades(
	give: readonly TradeCard[],
	take: readonly TradeCard[],
	toleranceMinor: number
): TradeMatch & { readonly unitMinor: number } {
	const cards = [
		...give.map((card) => ({ ...card, sign: 1 })),
		...take.map((card) => ({ ...card, sign: -1 }))
	];
	if (!(toleranceMinor >= 0) || cards.some(({ minor }) => !(minor >= 0))) {
		throw new RangeError('matchTrades: a worth or the tolerance is below nothing');
	}
	const whole = cards.reduce((sum, { minor }) => sum + minor, 0);
	const unitMinor = Math.max(1, Math.ceil(whole / MOST_UNITS));
	const found = search(cards, unitMinor, toleranceMinor);
	const best = found.most;
	if (!best) return { best: null, others: [], unitMinor };
	const others: { why: TradeReason; trade: Trade }[] = [];
	const add = (why: TradeReason, trade: Trade | null) => {
		const isNew =
			trade && ![best, ...others.map((other) => other.trade)].some((known) => isSame(known, trade));
		if (isNew) others.push({ why, trade });
	};
	add('most even of all', found.even);
	const dearest = cards
		.filter(
			({ key, isFixed, sign }) => !isFixed && (sign > 0 ? best.give : best.take).includes(key)
		)
		.reduce<(typeof cards)[number] | null>((a, b) => (a && a.minor >= b.minor ? a : b), null);
	if (dearest) {
		const rest = cards.filter((card) => card !== dearest);
		add('without the dearest', search(rest, unitMinor, toleranceMinor).most);
	}
	return { best, others, unitMinor };
}

type SignedCard = TradeCard & { readonly sign: number };

/** The trade of most cards, and the most even one of any. */
function search(
	cards: readonly SignedCard[],
	unit: number,
	tolerance: number
): { readonly most: Trade | null; readonly even: Trade | null } {
	const worth = cards.map(({ minor }) => Math.round(minor / unit));
	const below = cards.reduce((sum, { sign }, c) => sum + (sign < 0 ? (worth[c] ?? 0) : 0), 0);
	const above = cards.reduce((sum, { sign }, c) => sum + (sign > 0 ? (worth[c] ?? 0) : 0), 0);
	const size = below + above + 1;
	// The most cards for each difference; -1: it cannot be.
	let most = new Int16Array(size).fill(-1);
	most[below] = 0;
	const chosen = cards.map(() => new Uint8Array(size));
	for (const [c, { sign, isFixed }] of cards.entries()) {
		const shift = sign * (worth[c] ?? 0);
		const next = isFixed ? new Int16Array(size).fill(-1) : most.slice();
		for (let d = 0; d < size; d++) {
			const count = most[d] as number;
			if (count < 0 || d + shift < 0 || d + shift >= size) continue;
			if (count + 1 > (next[d + shift] as number)) {
				next[d + shift] = count + 1;
				(chosen[c] as Uint8Array)[d + shift] = 1;
			}
		}
		most = next;
	}
	const within = Math.floor(tolerance / unit + 1e-9);
	let [best, even] = [-1, -1];
	for (let off = 0; off <= within; off++) {
		for (const d of off === 0 ? [below] : [below - off, below + off]) {
			const count = most[d] ?? -1;
			if (count <= 0) continue;
			if (best < 0 || count > (most[best] as number)) best = d;
			if (even < 0) even = d;
		}
	}
	const tradeOf = (end: number): Trade | null => {
		if (end < 0) return null;
		const [given, taken]: [SignedCard[], SignedCard[]] = [[], []];
		let d = end;
		for (let c = cards.length - 1; c >= 0; c--) {
			const card = cards[c];
			if (!card || (chosen[c] as Uint8Array)[d] === 0) continue;
			(card.sign > 0 ? given : taken).push(card);
			d -= card.sign * (worth[c] ?? 0);
		}
		const sum = (some: readonly SignedCard[]) => some.reduce((all, { minor }) => all + minor, 0);
		const keys = (some: readonly SignedCard[]) => some.map(({ key }) => key).reverse();
		return { give: keys(given), take: keys(taken), giveMinor: sum(given), takeMinor: sum(taken) };
	};
	return { most: tradeOf(best), even: tradeOf(even) };
}

function isSame(a: Trade, b: Trade): boolean {
	const of = ({ give, take }: Trade) => [...give, '/', ...take].join('\n');
	return of(a) === of(b);
}
