import { sum } from 'd3-array';
import { bad, good, type Outcome, type Problem } from '../problem.ts';
import { featureName, featuresOf, tooManyTells, type Feature } from './features.ts';
import { afterSeeing } from './posterior.ts';
import { bestOrder, gainOf, isSettled, NOTHING, outcomes } from './question-order.ts';
import type { Candidate, Look, Reliability } from '../checklist/tell.ts';

/** What was seen; null: one cannot tell. */
export interface Answer {
	readonly feature: string;
	readonly value: string | null;
}

/** Something to look at next. */
export interface Question {
	readonly feature: string;
	readonly where: Look;
	readonly reliability: Reliability;
	readonly seconds: number;
	/** What may be seen, the likeliest first; a value null: something else. */
	readonly values: readonly {
		readonly value: string | null;
		/** How likely it is seen. */
		readonly chance: number;
		/** Candidates that are left then, the likeliest first. */
		readonly leaves: readonly string[];
	}[];
	/** How much less unsure one is after it, in bits, on average. */
	readonly gain: number;
}

/** How far one is in telling candidates apart, and what to look at next. */
export interface Telling {
	/** The likeliest first. */
	readonly candidates: readonly { readonly key: string; readonly chance: number }[];
	/** Whether one of them is as sure as is asked for. */
	readonly isSettled: boolean;
	/** Null: settled, or nothing left to look at. */
	readonly question: Question | null;
	/** Seconds to an answer by the best order of questions, on average. */
	readonly seconds: number;
	/** Whether that order was found by going through all of them, or step by step by gain a second. */
	readonly isExact: boolean;
	/** Features by which the two likeliest differ, the cheapest first: what would settle it. */
	readonly settles: readonly string[];
}

/** From here on a candidate is taken for what the card is. An assumption of ours. */
export const SURE = 0.95;
/** Candidates that are likely to be named after an answer. */
const MOST_LEFT = 8;

/**
 * What to look at next to tell candidates apart with the least effort: the question that begins the order
 * with the fewest seconds to an answer on average, until one candidate is `sure` or nothing tells more.
 * For few features that is exact; for many the one that takes the most unsureness a second.
 * No candidate, weights that sum to nothing, and answers that no candidate explains are problems.
 */
export function nextQuestion(
	candidates: readonly Candidate[],
	answers: readonly Answer[] = [],
	sure: number = SURE
): Outcome<Telling> {
	const tooMany = tooManyTells(candidates);
	if (tooMany) return bad([tooMany]);
	const features = featuresOf(candidates);
	const weights = candidates.map(({ weight = 1 }) => weight);
	const all = sum(weights);
	if (all <= 0) {
		const remedy = 'Give at least one candidate with a weight above 0.';
		return bad([{ field: 'candidates', message: 'there is nothing it may be', remedy }]);
	}
	let chances: readonly number[] = weights.map((weight) => weight / all);
	const asked = new Set<string>();
	const problems: Problem[] = [];
	answers.forEach(({ feature: name, value }, i) => {
		const feature = features.find((known) => featureName(known.name) === featureName(name));
		const pointer = `/answers/${i}`;
		if (!feature) {
			const remedy = 'Name a feature that a candidate tells of.';
			problems.push({ pointer, message: `nothing is told by "${name}"`, remedy });
			return;
		}
		if (asked.has(feature.name)) {
			const remedy = 'Answer each once.';
			problems.push({ pointer, message: `"${name}" is answered twice`, remedy });
			return;
		}
		asked.add(feature.name);
		if (value === null) return;
		const seen = feature.values.findIndex((known) => featureName(known) === featureName(value));
		const after = afterSeeing(feature, chances, seen);
		if (after) chances = after;
		else {
			const remedy = 'Look again, or add what else it may be.';
			problems.push({ pointer, message: `no candidate shows "${value}" there`, remedy });
		}
	});
	if (problems.length > 0) return bad(problems);

	const left = features.filter(({ name }) => !asked.has(name));
	const order = bestOrder(left, chances, sure);
	const ranked = rank(candidates, chances);
	return good({
		candidates: ranked,
		isSettled: isSettled(chances, sure),
		question: order.first ? asQuestion(order.first, candidates, chances) : null,
		seconds: order.seconds,
		isExact: order.isExact,
		settles: settlesOf(left, candidates, ranked)
	});
}

function rank(candidates: readonly Candidate[], chances: readonly number[]) {
	return candidates
		.map(({ key }, i) => ({ key, chance: chances[i] ?? 0 }))
		.sort((a, b) => b.chance - a.chance);
}

function asQuestion(
	feature: Feature,
	candidates: readonly Candidate[],
	chances: readonly number[]
): Question {
	const { name, where, reliability, seconds, values } = feature;
	return {
		feature: name,
		where,
		reliability,
		seconds,
		values: outcomes(feature, chances)
			.sort((a, b) => b.chance - a.chance)
			.map(({ value, chance, after }) => ({
				value: values[value] ?? null,
				chance,
				leaves: rank(candidates, after)
					.filter((left) => left.chance > 0.001)
					.slice(0, MOST_LEFT)
					.map(({ key }) => key)
			})),
		gain: gainOf(feature, chances)
	};
}

function settlesOf(
	features: readonly Feature[],
	candidates: readonly Candidate[],
	[first, second]: readonly { readonly key: string; readonly chance: number }[]
): readonly string[] {
	if (!first || !second || second.chance <= NOTHING) return [];
	const placeOf = (key: string) => candidates.findIndex((candidate) => candidate.key === key);
	const [a, b] = [placeOf(first.key), placeOf(second.key)];
	return features
		.filter(({ shown }) => {
			const [left, right] = [shown[a] ?? null, shown[b] ?? null];
			return left !== null && right !== null && left !== right;
		})
		.sort((x, y) => x.seconds - y.seconds)
		.map(({ name }) => name);
}
