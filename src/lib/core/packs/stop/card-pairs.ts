import { sum } from 'd3-array';
import type { GroupLaw } from '../odds/group-law.ts';

/** How one card comes in a kind of pack. */
export interface CardLaw {
	readonly law: GroupLaw;
	/** The part of its group's cards that are this one. */
	readonly part: number;
	/** Copies a pack, on average. */
	readonly rate: number;
	/** Tries a pack: cards of its group that may be it, where they are drawn singly. */
	readonly tries: number;
}

/** A card with what it costs in the end; or cards that come alike, with what they cost together. */
export interface PricedCard {
	/** By kind of pack; null: that kind never has it. */
	readonly laws: readonly (CardLaw | null)[];
	/** What it costs more where it does not come: a single, less what it would have brought; 0: it is not lacking once. */
	readonly missMinor: number;
	/** What each copy brings. */
	readonly extraMinor: number;
}

/**
 * How much what two cards cost in the end varies together, over so many packs of each kind. A card that is lacking once costs
 * a single where it does not come, and brings what is extra: by the chances that one, the other, both or none comes in a pack.
 * Of cards that are lacking more than once only the copies that come are followed. It is linear in what each of them costs
 * and brings.
 */
export function covarianceOf(
	a: PricedCard,
	b: PricedCard,
	packs: readonly number[],
	isSame: boolean
): number {
	const kinds = packs.flatMap((opened, k) => {
		const [first, second] = [a.laws[k] ?? null, b.laws[k] ?? null];
		return opened > 0 && (first || second) ? [pairIn(first, second, opened, isSame)] : [];
	});
	const copies = sum(kinds, ({ copies: each }) => each) * a.extraMinor * b.extraMinor;
	const [m, n] = [a.missMinor, b.missMinor];
	if (m === 0 && n === 0) return copies;
	// Kinds of packs are opened one by one: neither comes where neither does in any of them.
	const [noneA, noneB, noneBoth] = kinds.reduce(
		([first, second, both], kind) => [
			first * kind.noneA,
			second * kind.noneB,
			both * kind.noneBoth
		],
		[1, 1, 1]
	);
	// A card that does not come, with the copies of the other that do.
	const crossA = noneA * sum(kinds, ({ moreB }) => moreB);
	const crossB = noneB * sum(kinds, ({ moreA }) => moreA);
	const missing = m * n * (noneBoth - noneA * noneB);
	return copies + missing - m * b.extraMinor * crossA - n * a.extraMinor * crossB;
}

/** What two cards do in packs of one kind. */
interface PairInKind {
	/** How much their copies vary together. */
	readonly copies: number;
	/** The chances that one, the other, both do not come. */
	readonly noneA: number;
	readonly noneB: number;
	readonly noneBoth: number;
	/** Copies of one that come more where the other does not come, on average. */
	readonly moreA: number;
	readonly moreB: number;
}

function pairIn(a: CardLaw | null, b: CardLaw | null, packs: number, isSame: boolean): PairInKind {
	const noneA = a ? none(a, packs) : 1;
	const noneB = b ? none(b, packs) : 1;
	if (!a || !b) {
		return { copies: 0, noneA, noneB, noneBoth: noneA * noneB, moreA: 0, moreB: 0 };
	}
	const both = isSame ? meanSquare(a) : together(a, b);
	const more = (first: CardLaw, second: CardLaw) =>
		(isSame ? 0 : packs * comesWithout(first, second, both)) - packs * second.rate;
	return {
		copies: packs * (both - a.rate * b.rate),
		...{ noneA, noneB },
		noneBoth: isSame ? noneA : noneOfBoth(a, b, both, packs),
		moreA: more(b, a),
		moreB: more(a, b)
	};
}

const none = ({ rate, tries }: CardLaw, packs: number): number =>
	Math.exp(packs * tries * Math.log1p(-Math.min(1, rate / tries)));

/** Copies of a card in a pack, squared, on average. */
const meanSquare = ({ rate, tries }: CardLaw): number =>
	rate + tries * (tries - 1) * (rate / tries) ** 2;

/** Copies of both cards in a pack, multiplied, on average. */
function together(a: CardLaw, b: CardLaw): number {
	if (a.law === b.law) {
		const { comes, classes } = a.law.group;
		if (comes.sort === 'odds') return 0;
		const cards = classes.reduce((sum, part) => sum + part.cards, 0);
		const pairs = a.law.draws.reduce(
			(sum, each) => sum + each.chance * each.count * (each.count - 1),
			0
		);
		if (!comes.isAllDifferent) return pairs * a.part * b.part;
		return cards < 2 ? 0 : pairs / (cards * (cards - 1));
	}
	if (a.law.slot && a.law.slot === b.law.slot) return 0;
	const lessens = (taker: CardLaw, host: CardLaw) =>
		taker.law.slot?.takesPlaceOf === host.law.group.key;
	const [taker, host] = lessens(a, b) ? [a, b] : [b, a];
	if (!lessens(taker, host)) return a.rate * b.rate;
	// With it in its place a card of the other fewer comes.
	const chance = taker.law.slot?.chance ?? 0;
	const less = host.rate - host.part * (1 - chance);
	return taker.rate * less;
}

/** Neither comes in a pack. */
function noPack(a: CardLaw, b: CardLaw, both: number): number {
	const { tries } = a;
	// Drawn singly of one group, each try is neither.
	if (a.law === b.law && tries > 1) return (1 - (a.rate + b.rate) / tries) ** tries;
	const once = (law: CardLaw) => 1 - (1 - law.rate / law.tries) ** law.tries;
	const isPlain = tries === 1 && b.tries === 1;
	return 1 - once(a) - once(b) + (isPlain ? both : once(a) * once(b));
}

const noneOfBoth = (a: CardLaw, b: CardLaw, both: number, packs: number): number =>
	Math.max(0, noPack(a, b, both)) ** packs;

/** Copies of the second in a pack in which the first does not come, on average. */
function comesWithout(first: CardLaw, second: CardLaw, both: number): number {
	const noFirst = (1 - first.rate / first.tries) ** first.tries;
	if (noFirst <= 0) return 0;
	const isSingly = first.law === second.law && first.tries > 1;
	const here = isSingly
		? second.rate * (1 - first.rate / first.tries) ** (first.tries - 1)
		: first.tries === 1
			? second.rate - both
			: second.rate * noFirst;
	return here / noFirst;
}
