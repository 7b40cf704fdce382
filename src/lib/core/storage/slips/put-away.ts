import { bisector } from 'd3-array';
import { compareFiled, type Titled } from '../../checklist/filed-title.ts';
import { cardNumberOrder, type Comparison } from '../../checklist/numbers/compare-card-numbers.ts';

/** Where a divider stands: shelf by shelf, box by box, row by row is the order in which one walks. */
export interface DividerPlace {
	/** "Long box 4", in walking order. */
	readonly box: string;
	/** From 1. */
	readonly row: number;
	readonly divider: string;
	/** Key of the set behind it. */
	readonly set: string;
	/** The storage class or value tier that the box is for; left out: sets. */
	readonly keptIn?: string;
	/** Where the box stands, where that is in a larger one: "in Long box 3, row 2". */
	readonly inside?: string;
	/** Numbers that stand there, in any order; doubles count. */
	readonly numbers: readonly (string | null)[];
	/** Titles of cards without a number, with what they are sorted as where that is something else. */
	readonly titles?: readonly (string | Titled)[];
}

/** A card to put away, or to pull. */
export interface StackCard extends Titled {
	readonly key: string;
	readonly set: string;
	/** The storage class or value tier in whose boxes it is kept; left out: with its set. */
	readonly keptIn?: string;
	readonly number: string | null;
}

/** A line of a slip: where a card goes, between which neighbours as they stand then. */
export interface SlipPlace {
	readonly card: string;
	readonly box: string;
	readonly row: number;
	readonly divider: string;
	/** The larger box in which the box stands; left out: in none. */
	readonly inside?: string;
	/** Number or title of the neighbours; null: the divider, or nothing behind. */
	readonly after: string | null;
	readonly before: string | null;
}

export interface Slip {
	readonly lines: readonly SlipPlace[];
	/** Cards of sets that stand nowhere, or in no box for their class. */
	readonly homeless: readonly string[];
	/** Cards to pull that are not there, though others of their set are. */
	readonly absent: readonly string[];
}

/** A card as it is known in a row: by its number, or by its title where it has none. */
interface Standing extends Titled {
	readonly number: string | null;
}

/** A set as it stands, perhaps behind several dividers. */
interface StandingSet {
	readonly compare: Comparison<Standing>;
	/** What stands behind each of its dividers, in order; by place in the walk. */
	readonly rows: Map<number, Standing[]>;
	/** All of it in order, with the divider each stands behind. */
	readonly all: readonly { readonly card: Standing; readonly place: number }[];
}

/**
 * The order in which a stack is put away, and where each card goes: between the neighbours that stand
 * there then, cards of the same stack included. Of several dividers of its set a card goes behind the one
 * where its like stands, else where the card before it does, else where the one behind it does. Places
 * are given in walking order.
 */
export function putAway(cards: readonly StackCard[], places: readonly DividerPlace[]): Slip {
	const hands = new Map<readonly Standing[], Hand>();
	return walk(cards, places, (set, card) => {
		const place = placeFor(set, card);
		const row = set.rows.get(place) ?? [];
		const hand = goOn(hands, row, (standing) => set.compare(standing, card) <= 0);
		const gap = { after: nameOf(hand.behind), before: nameOf(row[hand.at]) };
		// It stands there from now on: the next card of the stack comes behind it.
		hand.behind = card;
		return { place, ...gap };
	});
}

/**
 * The same walk to take cards out: each behind the divider where it stands, with the neighbours it stands
 * between then, those that were pulled before it gone. What is not there is told.
 */
export function pullList(cards: readonly StackCard[], places: readonly DividerPlace[]): Slip {
	const hands = new Map<readonly Standing[], Hand>();
	return walk(cards, places, (set, card) => {
		for (const [place, row] of set.rows) {
			const hand = goOn(hands, row, (standing) => set.compare(standing, card) < 0);
			const neighbour = row[hand.at];
			if (neighbour === undefined || set.compare(neighbour, card) !== 0) continue;
			hand.at++;
			// Doubles beside it are no neighbours to find it by.
			const next = bisector<Standing, Standing>(set.compare).right(row, card, hand.at);
			return { place, after: nameOf(hand.behind), before: nameOf(row[next]) };
		}
		return null;
	});
}

/** How far the hand is in a row: stacks are gone through in the order of their rows, so it never goes back. */
interface Hand {
	/** The card it comes to next. */
	at: number;
	/** The last one it went by that stands there still. */
	behind: Standing | undefined;
}

function goOn(
	hands: Map<readonly Standing[], Hand>,
	row: readonly Standing[],
	isBefore: (standing: Standing) => boolean
): Hand {
	const hand = hands.get(row) ?? { at: 0, behind: undefined };
	hands.set(row, hand);
	for (let next = row[hand.at]; next && isBefore(next); next = row[++hand.at]) hand.behind = next;
	return hand;
}

type Step = { readonly place: number } & Pick<SlipPlace, 'after' | 'before'>;

/** Goes through a stack set by set, in order, and gives the lines in the order in which one walks. */
function walk(
	cards: readonly StackCard[],
	places: readonly DividerPlace[],
	take: (set: StandingSet, card: StackCard) => Step | null
): Slip {
	const homeless: string[] = [];
	const absent: string[] = [];
	const placesOf = new Map<string, number[]>();
	places.forEach((place, at) => push(placesOf, standKey(place), at));
	const stacks = new Map<string, StackCard[]>();
	for (const card of cards) {
		const key = standKey(card);
		if (placesOf.has(key)) push(stacks, key, card);
		else homeless.push(card.key);
	}
	const lines: (SlipPlace & { readonly place: number })[] = [];
	for (const [key, stack] of stacks) {
		const set = standingSet(placesOf.get(key) ?? [], places, stack);
		for (const card of [...stack].sort(set.compare)) {
			const step = take(set, card);
			if (step === null) {
				absent.push(card.key);
				continue;
			}
			const { box, row, divider, inside } = places[step.place] as DividerPlace;
			const where = inside === undefined ? {} : { inside };
			lines.push({ card: card.key, box, row, divider, ...where, ...step });
		}
	}
	return {
		lines: lines.sort((a, b) => a.place - b.place).map(({ place: _, ...line }) => line),
		homeless,
		absent
	};
}

/** A set stands apart in the boxes of each class. */
const standKey = ({ set, keptIn = '' }: { readonly set: string; readonly keptIn?: string }) =>
	JSON.stringify([keptIn, set]);

function standingSet(
	setPlaces: readonly number[],
	places: readonly DividerPlace[],
	stack: readonly StackCard[]
): StandingSet {
	const behind = setPlaces.map((place): Standing[] => {
		const { numbers, titles = [] } = places[place] as DividerPlace;
		return [
			...numbers.map((number) => ({ number, title: '' })),
			...titles.map((titled) => ({
				number: null,
				...(typeof titled === 'string' ? { title: titled } : titled)
			}))
		];
	});
	const numbers = [...behind.flat(), ...stack].map(({ number }) => number);
	const byNumber = cardNumberOrder(numbers);
	const compare: Comparison<Standing> = (a, b) =>
		byNumber(a.number, b.number) || (a.number === null ? compareFiled(a, b) : 0);
	const rows = new Map(setPlaces.map((place, i) => [place, (behind[i] ?? []).sort(compare)]));
	const all =
		setPlaces.length < 2
			? []
			: [...rows]
					.flatMap(([place, row]) => row.map((card) => ({ card, place })))
					.sort((a, b) => compare(a.card, b.card));
	return { compare, rows, all };
}

/** Behind which divider of its set a card goes. */
function placeFor({ rows, all, compare }: StandingSet, card: Standing): number {
	const [only = 0] = rows.keys();
	if (all.length === 0) return only;
	const at = bisector<{ readonly card: Standing; readonly place: number }, Standing>(
		(standing, other) => compare(standing.card, other)
	).right(all, card);
	// The last one up to it: its like, or the card before it; with none, the one behind it.
	return (all[at - 1] ?? all[at])?.place ?? only;
}

function nameOf(card: Standing | undefined): string | null {
	return card ? (card.number ?? card.title) : null;
}

function push<Key, Value>(map: Map<Key, Value[]>, key: Key, value: Value): void {
	const list = map.get(key);
	if (list) list.push(value);
	else map.set(key, [value]);
}
