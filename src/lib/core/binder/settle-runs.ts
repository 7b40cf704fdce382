import { least, range } from 'd3-array';
import { chooseTargets } from './choose-targets.ts';
import type { Lying } from './plan-moves.ts';

/** A section in which blanks may stand anywhere. */
export interface FreeRun {
	/** Its pockets in order. */
	readonly pockets: readonly string[];
	/** The cards that are to lie in them, in order. */
	readonly items: readonly string[];
}

/** Places of the cards of each section, by rank. */
type Places = readonly (readonly number[])[];

/**
 * How many cards are looked at in all while places for blanks are tried, which only rings of cards that change
 * places among themselves ask for: a tenth of a second at most.
 */
const MOST_LOOKS = 200_000;

/**
 * Where the cards of sections are to lie so that the fewest steps are taken: most of them stay, and blanks
 * stand where they open rings, because a ring costs one hand-hold more. Exact where the blanks can
 * stand in no more ways than 200,000 by the number of cards, all sections together; above that blanks are moved one at a time from
 * two good starts, and a hand-hold too many may be left.
 *
 * @param fixed what is to lie in other pockets, whose places are given
 * @returns the cards of the sections, each with its pocket, section by section
 * @throws RangeError where a section has more cards than pockets
 */
export function settleRuns(
	runs: readonly FreeRun[],
	now: readonly Lying[],
	fixed: readonly Lying[] = []
): readonly Lying[] {
	const lies = new Map(now.map(({ item, pocket }) => [item, pocket]));
	const named = (places: Places) =>
		runs.flatMap(({ items, pockets }, run) =>
			items.flatMap((item, rank) => {
				const pocket = pockets[places[run]?.[rank] ?? -1];
				return pocket === undefined ? [] : [{ item, pocket }];
			})
		);
	const costOf = (places: Places) => stepsOf(lies, [...fixed, ...named(places)]);
	const start = runs.map((run) => mostStay(run, lies));
	const { inRings } = costOf(start);
	if (inRings.size === 0) return named(start);
	const cards = fixed.length + runs.reduce((sum, { items }) => sum + items.length, 0);
	const most = Math.floor(MOST_LOOKS / cards);
	const hasRing = ({ items }: FreeRun) => items.some((item) => inRings.has(item));
	const tried = everyWay(runs, start, most, () => true) ??
		everyWay(runs, start, most, hasRing) ?? [
			improve(runs, start, most / 2, costOf),
			improve(
				runs,
				runs.map((run) => mostStayFromBehind(run, lies)),
				most / 2,
				costOf
			)
		];
	return named(least([start, ...tried], (places) => costOf(places).steps) ?? start);
}

function mostStay(
	{ pockets, items }: FreeRun,
	lies: ReadonlyMap<string, string>
): readonly number[] {
	const places = new Map(pockets.map((pocket, i) => [pocket, i]));
	return chooseTargets(
		items.map((item) => places.get(lies.get(item) ?? '') ?? null),
		pockets.length
	);
}

/** The same with what moves close before the card behind it, not close behind the card before it. */
function mostStayFromBehind({ pockets, items }: FreeRun, lies: ReadonlyMap<string, string>) {
	const mirrored = { pockets: pockets.toReversed(), items: items.toReversed() };
	return mostStay(mirrored, lies)
		.map((place) => pockets.length - 1 - place)
		.reverse();
}

/** All ways for the blanks of some sections to stand; null where they are too many. */
function everyWay(
	runs: readonly FreeRun[],
	start: Places,
	most: number,
	isAsked: (run: FreeRun) => boolean
): readonly Places[] | null {
	let ways: Places[] = [[]];
	for (const [i, run] of runs.entries()) {
		const chosen = isAsked(run)
			? waysToRise(run.items.length, run.pockets.length, most / ways.length)
			: [start[i] ?? []];
		if (chosen === null) return null;
		ways = ways.flatMap((before) => chosen.map((places) => [...before, places]));
	}
	return ways;
}

/** Every way to give so many cards rising places; null where there are more than `most`. */
function waysToRise(cards: number, places: number, most: number): number[][] | null {
	let ways: number[][] = [[]];
	for (let rank = 0; rank < cards; rank++) {
		const last = places - cards + rank;
		ways = ways.flatMap((way) =>
			range((way.at(-1) ?? -1) + 1, last + 1).map((next) => [...way, next])
		);
		if (ways.length > most) return null;
	}
	return ways;
}

/** Moves one blank after the other to where that saves a step, until none does. */
function improve(
	runs: readonly FreeRun[],
	start: Places,
	most: number,
	costOf: (places: Places) => ReturnType<typeof stepsOf>
): Places {
	let best = start;
	let cost = costOf(best);
	let trials = 0;
	while (cost.inRings.size > 0) {
		let found: Places | undefined;
		for (const places of blankMoves(runs, best, cost.inRings)) {
			if (trials++ >= most) break;
			if (costOf(places).steps < cost.steps) {
				found = places;
				break;
			}
		}
		if (!found) break;
		best = found;
		cost = costOf(best);
	}
	return best;
}

/** Places with one blank moved within a section that has a card of a ring: the cards between move up by one. */
function* blankMoves(
	runs: readonly FreeRun[],
	places: Places,
	inRings: ReadonlySet<string>
): Generator<Places> {
	for (const [run, { items, pockets }] of runs.entries()) {
		if (!items.some((item) => inRings.has(item))) continue;
		const taken = places[run] ?? [];
		const isTaken = new Set(taken);
		const blanks = range(0, pockets.length).filter((place) => !isTaken.has(place));
		for (const place of taken) {
			for (const blank of blanks) {
				const moved = [...taken.filter((other) => other !== place), blank].sort((a, b) => a - b);
				yield places.map((old, i) => (i === run ? moved : old));
			}
		}
	}
}

/** Moves of cards that lie somewhere, and one more for each ring; the cards in rings. */
function stepsOf(lies: ReadonlyMap<string, string>, target: readonly Lying[]) {
	const holds = new Map([...lies].map(([item, pocket]) => [pocket, item]));
	const goal = new Map(target.map(({ item, pocket }) => [item, pocket]));
	const seen = new Set<string>();
	const inRings = new Set<string>();
	let steps = 0;
	for (const { item: first, pocket } of target) {
		const lying = lies.get(first);
		if (lying === undefined || lying === pocket || seen.has(first)) continue;
		const chain: string[] = [];
		let item: string | undefined = first;
		while (item !== undefined && goal.has(item) && !seen.has(item)) {
			seen.add(item);
			chain.push(item);
			item = holds.get(goal.get(item) ?? '');
		}
		steps += chain.length;
		// Closed on its own first card: nothing in it has an empty pocket to begin with.
		if (item === first) {
			steps += 1;
			for (const card of chain) inRings.add(card);
		}
	}
	return { steps, inRings };
}
