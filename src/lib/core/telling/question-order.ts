import { max, sum } from 'd3-array';
import type { Feature } from './features.ts';
import { afterSeeing, chanceSeen, unsureness, valuesSeen } from './posterior.ts';

/** Steps (ways of answering × features × candidates) for the exact order; with more, gain a second decides. */
const MOST_STEPS = 1_000_000;
/** Chances, bits and seconds below this are none. */
export const NOTHING = 1e-9;

/** Whether one candidate is as sure as is wanted. */
export const isSettled = (chances: readonly number[], sure: number) =>
	(max(chances) ?? 0) >= sure - NOTHING;

/** What answers to a question come to: each value that may be seen, with what is left then. */
export function outcomes(feature: Feature, chances: readonly number[]) {
	return valuesSeen(feature).flatMap((value) => {
		const chance = sum(chances, (before, i) =>
			before > 0 ? before * chanceSeen(feature, i, value) : 0
		);
		const after = afterSeeing(feature, chances, value);
		return after && chance > NOTHING ? [{ value, chance, after }] : [];
	});
}

/** How much less unsure one is after it, in bits, on average. */
export function gainOf(feature: Feature, chances: readonly number[]): number {
	const after = sum(
		outcomes(feature, chances),
		({ chance, after: left }) => chance * unsureness(left)
	);
	return unsureness(chances) - after;
}

/** The order of questions that begins with the one to ask. */
export interface Order {
	readonly first: Feature | null;
	readonly seconds: number;
	readonly isExact: boolean;
}

/**
 * The order with the fewest seconds to an answer on average: exact as far as `MOST_STEPS` go, else by gain a second,
 * with the seconds of the likeliest answers.
 */
export function bestOrder(
	features: readonly Feature[],
	chances: readonly number[],
	sure: number
): Order {
	const telling = features.filter((feature) => gainOf(feature, chances) > NOTHING);
	const ways = telling.reduce((product, each) => product * (valuesSeen(each).length + 1), 1);
	if (ways * telling.length * chances.length <= MOST_STEPS) {
		const numbered = telling.map((feature, id) => ({ feature, id }));
		return { ...exactOrder(numbered, chances, sure, new Map(), []), isExact: true };
	}
	return { ...greedyOrder(telling, chances, sure), isExact: false };
}

/** The order with the fewest seconds on average, by going through all: what is known stands in `way`. */
function exactOrder(
	features: readonly { readonly feature: Feature; readonly id: number }[],
	chances: readonly number[],
	sure: number,
	known: Map<string, Omit<Order, 'isExact'>>,
	way: readonly string[]
): Omit<Order, 'isExact'> {
	if (isSettled(chances, sure)) return { first: null, seconds: 0 };
	const name = way.join(' ');
	const before = known.get(name);
	if (before) return before;
	let best: Omit<Order, 'isExact'> = { first: null, seconds: Infinity };
	for (const { feature, id } of features) {
		if (gainOf(feature, chances) <= NOTHING) continue;
		let seconds = feature.seconds;
		const rest = features.filter((each) => each.id !== id);
		for (const { value, chance, after } of outcomes(feature, chances)) {
			if (seconds >= best.seconds) break;
			const gone = [...way, `${id}=${value}`].sort();
			seconds += chance * exactOrder(rest, after, sure, known, gone).seconds;
		}
		if (seconds < best.seconds - NOTHING) best = { first: feature, seconds };
	}
	// Nothing tells more: one has to live with what is left.
	const found = best.first ? best : { first: null, seconds: 0 };
	known.set(name, found);
	return found;
}

/** The most unsureness taken a second, and what following the likeliest answers costs. */
function greedyOrder(
	features: readonly Feature[],
	chances: readonly number[],
	sure: number
): Omit<Order, 'isExact'> {
	let left = [...features];
	let now = chances;
	let first: Feature | null = null;
	let seconds = 0;
	while (!isSettled(now, sure)) {
		const ranked = left
			.map((feature) => ({ feature, worth: gainOf(feature, now) / feature.seconds }))
			.filter(({ worth }) => worth > NOTHING)
			.sort((a, b) => b.worth - a.worth);
		const [best] = ranked;
		if (!best) break;
		first ??= best.feature;
		seconds += best.feature.seconds;
		left = left.filter((feature) => feature !== best.feature);
		const [likeliest] = outcomes(best.feature, now).sort((a, b) => b.chance - a.chance);
		if (!likeliest) break;
		now = likeliest.after;
	}
	return { first, seconds };
}
