import { compareCardNumbers, compareTitles } from '../checklist/compare-card-numbers.ts';

/** Where a divider stands: shelf by shelf, box by box, row by row is the order in which one walks. */
export interface DividerPlace {
	/** "Long box 4", in walking order. */
	readonly box: string;
	/** From 1. */
	readonly row: number;
	readonly divider: string;
	/** Key of the set behind it. */
	readonly set: string;
	/** Numbers that stand there, in any order; doubles count. */
	readonly numbers: readonly (string | null)[];
	/** Titles of cards without a number. */
	readonly titles?: readonly string[];
}

/** A card to put away, or to pull. */
export interface StackCard {
	readonly key: string;
	readonly set: string;
	readonly number: string | null;
	readonly title: string;
}

/** A line of a slip: where a card goes, between which neighbours as they stand then. */
export interface SlipPlace {
	readonly card: string;
	readonly box: string;
	readonly row: number;
	readonly divider: string;
	/** Number or title of the neighbours; null: the divider, or nothing behind. */
	readonly after: string | null;
	readonly before: string | null;
}

export interface Slip {
	readonly lines: readonly SlipPlace[];
	/** Cards of sets that stand nowhere yet. */
	readonly homeless: readonly string[];
}

/**
 * The order in which a stack is put away, and where each card goes: between the neighbours that stand
 * there then, cards of the same stack included. Places are given in walking order.
 */
export function putAway(cards: readonly StackCard[], places: readonly DividerPlace[]): Slip {
	const { byPlace, homeless } = sortIntoPlaces(cards, places);
	const lines = places.flatMap((place, i) => {
		const own = byPlace.get(i) ?? [];
		if (own.length === 0) return [];
		const standing = inOrder([
			...place.numbers.map((number) => ({ number, title: '' })),
			...(place.titles ?? []).map((title) => ({ number: null, title }))
		]);
		return inOrder(own).map((card): SlipPlace => {
			const at = endOf(standing, card);
			const after = nameOf(standing[at - 1]);
			const before = nameOf(standing[at]);
			standing.splice(at, 0, card);
			return {
				card: card.key,
				box: place.box,
				row: place.row,
				divider: place.divider,
				after,
				before
			};
		});
	});
	return { lines, homeless };
}

/** The same walk to take cards out: each behind its divider, with the neighbours it stands between. */
export function pullList(cards: readonly StackCard[], places: readonly DividerPlace[]): Slip {
	const { byPlace, homeless } = sortIntoPlaces(cards, places);
	const lines = places.flatMap((place, i) =>
		inOrder(byPlace.get(i) ?? []).map((card): SlipPlace => {
			const others = inOrder(
				place.numbers
					.filter((number) => number !== card.number)
					.map((number) => ({ number, title: '' }))
			);
			const at = endOf(others, card);
			return {
				card: card.key,
				box: place.box,
				row: place.row,
				divider: place.divider,
				after: nameOf(others[at - 1]),
				before: nameOf(others[at])
			};
		})
	);
	return { lines, homeless };
}

type Standing = Pick<StackCard, 'number' | 'title'>;

/** A set that is broken over rows stands in several places: a card goes where its number does. */
function sortIntoPlaces(cards: readonly StackCard[], places: readonly DividerPlace[]) {
	const bySet = new Map<string, number[]>();
	places.forEach(({ set }, i) => bySet.set(set, [...(bySet.get(set) ?? []), i]));
	const byPlace = new Map<number, StackCard[]>();
	const homeless: string[] = [];
	for (const card of cards) {
		const own = bySet.get(card.set);
		if (!own) {
			homeless.push(card.key);
			continue;
		}
		// The last part that begins before the card; of none, the first.
		const at =
			own.findLast((i) => {
				const numbers = places[i]?.numbers ?? [];
				return numbers.some((number) => compareCardNumbers(number, card.number) <= 0);
			}) ?? own[0];
		if (at !== undefined) byPlace.set(at, [...(byPlace.get(at) ?? []), card]);
	}
	return { byPlace, homeless };
}

function inOrder<Card extends Standing>(cards: readonly Card[]): Card[] {
	return [...cards].sort(compare);
}

function compare(a: Standing, b: Standing): number {
	return (
		compareCardNumbers(a.number, b.number) ||
		(a.number === null ? compareTitles(a.title, b.title) : 0)
	);
}

/** Behind all that stand before a card or are its equals. */
function endOf(standing: readonly Standing[], card: Standing): number {
	let low = 0;
	let high = standing.length;
	while (low < high) {
		const middle = (low + high) >> 1;
		const there = standing[middle];
		if (there && compare(there, card) <= 0) low = middle + 1;
		else high = middle;
	}
	return low;
}

function nameOf(card: Standing | undefined): string | null {
	return card ? (card.number ?? card.title) : null;
}
