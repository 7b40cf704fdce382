import { sum } from 'd3-array';
import { openArea } from '../odds/complete-in-draws.ts';
import { expectedPacks } from '../odds/missing-chain.ts';

/** A card that hides one of its tiles at random; a full set of them earns its prize. */
export interface HidingCard {
	/** Different tiles that a copy of it may hide, each as likely as the others. */
	readonly tiles: number;
	/** Of them so many are not here yet; 0: its prize is earned. */
	readonly missing: number;
	/** Copies at hand that nobody has opened. */
	readonly unopened: number;
}

/** What opening the copies of a card promises. */
export interface TileOdds {
	/** Copies of it on average until its set is full. */
	readonly copies: number;
	/** The chance that the copies at hand fill it. */
	readonly chance: number;
}

/** How many copies to open: for one prize, and for all. */
export interface HiddenTiles {
	readonly cards: readonly TileOdds[];
	/** The card whose prize takes the fewest copies, by its place, and how many; null: nothing is missing. */
	readonly nearest: { readonly card: number; readonly copies: number } | null;
	/** Of the copies at hand: the chance of a prize at least, and prizes on average. */
	readonly chanceOfPrize: number;
	readonly prizes: number;
	/** Copies on average where each is chosen: the first prize, and all of them. */
	readonly chosen: { readonly first: number; readonly all: number };
	/** The same where copies come at random, each card as often as the others: bought unseen, or out of packs. */
	readonly random: { readonly first: number; readonly all: number };
}

/**
 * How many copies of cards with hidden tiles to open for a prize, and for all. A set of one card is n·H(n) (Feller, vol. 1,
 * ch. IX); copies that come at random are followed as Poisson processes, in which every tile comes by itself (Flajolet,
 * Gardy and Thimonier 1992, from memory), by an integral with about nine right digits.
 *
 * @throws RangeError for a card with no tiles, or more missing than there are
 */
export function hiddenTiles(cards: readonly HidingCard[]): HiddenTiles {
	const wrong = cards.find(
		({ tiles, missing, unopened }) =>
			!(tiles >= 1) || !(missing >= 0 && missing <= tiles) || !(unopened >= 0)
	);
	if (wrong) throw new RangeError(`hiddenTiles: ${wrong.missing} of ${wrong.tiles} tiles missing`);
	const odds = cards.map(({ tiles, missing, unopened }): TileOdds => ({
		copies: expectedPacks(tiles, missing, SINGLY),
		chance: chanceOfSet(tiles, missing, unopened)
	}));
	const open = cards.flatMap((card, i) =>
		card.missing > 0 ? [{ ...card, card: i, copies: odds[i]?.copies ?? 0 }] : []
	);
	const [nearest] = open.toSorted((a, b) => a.copies - b.copies);
	return {
		cards: odds,
		nearest: nearest ? { card: nearest.card, copies: nearest.copies } : null,
		chanceOfPrize: open.length === 0 ? 0 : -Math.expm1(sum(open, (each) => logNone(each))),
		prizes: sum(open, ({ card }) => odds[card]?.chance ?? 0),
		chosen: { first: nearest?.copies ?? 0, all: sum(odds, ({ copies }) => copies) },
		random: randomCopies(cards)
	};
}

const SINGLY = [{ count: 1, chance: 1 }];

/** The log of the chance that the copies at hand do not fill its set. */
const logNone = ({ tiles, missing, unopened }: HidingCard) =>
	Math.log1p(-chanceOfSet(tiles, missing, unopened));

/** The chance that so many copies, opened one by one, bring all missing tiles. */
function chanceOfSet(tiles: number, missing: number, copies: number): number {
	if (missing === 0) return 1;
	/** Chances by tiles missing still; each copy changes them from few missing to many, in place. */
	const left = new Float64Array(missing + 2);
	left[missing] = 1;
	for (let opened = 0; opened < copies; opened++) {
		for (let j = 0; j <= missing; j++) {
			left[j] = (left[j] as number) * (1 - j / tiles) + ((left[j + 1] as number) * (j + 1)) / tiles;
		}
	}
	return left[0] ?? 0;
}

function randomCopies(cards: readonly HidingCard[]): HiddenTiles['random'] {
	const open = cards.filter(({ missing }) => missing > 0);
	if (open.length === 0) return { first: 0, all: 0 };
	const rateOf = ({ tiles }: HidingCard) => 1 / (cards.length * tiles);
	/** The log of the chance that a card's set is full at a time. */
	const full = (card: HidingCard, time: number) =>
		card.missing * Math.log(-Math.expm1(-time * rateOf(card)));
	const slowest = Math.min(...open.map(rateOf));
	const none = (time: number) =>
		Math.exp(sum(open, (card) => Math.log(-Math.expm1(Math.min(-1e-300, full(card, time))))));
	const some = (time: number) => -Math.expm1(sum(open, (card) => full(card, time)));
	return { first: openArea(none, slowest), all: openArea(some, slowest) };
}
