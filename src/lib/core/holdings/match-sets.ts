import { plainName } from '../checklist/slug.ts';

/** What of a release tells which one is meant. */
export interface ReleaseHead {
	readonly key: string;
	readonly name: string;
	readonly maker: string;
	readonly year: string;
}

/** A set as a list names it. */
export interface NamedSet {
	readonly year: string;
	readonly maker: string;
	readonly set: string;
}

export interface SetCandidate {
	readonly key: string;
	/** 0 to 1: how much of the words is the same. */
	readonly score: number;
}

/** As sure as this, and so far ahead of the next one, a release is taken without asking. */
const SURE_SCORE = 0.8;
const CLEAR_LEAD = 0.15;
/** Below this two names have nothing to do with each other. */
const LEAST_SCORE = 0.34;

/**
 * The releases that a set named in a list may be, most likely first. Words are compared, whatever
 * their order, and pairs of letters, so that "Harbor Lites" is near "Harbour Lights"; another year
 * counts against it, the same maker for it. An approximation: `score` says how far it goes.
 */
export function matchSet(
	named: NamedSet,
	releases: readonly ReleaseHead[]
): readonly SetCandidate[] {
	const [inName = ''] = /\b(?:18|19|20)\d{2}\b/.exec(named.set) ?? [];
	const year = named.year || inName;
	const wanted = wordsOf(`${named.set} ${named.set.includes(year) ? '' : year}`);
	return releases
		.map(({ key, name, maker, year: releaseYear }) => {
			const words = wordsOf(`${name} ${name.includes(releaseYear) ? '' : releaseYear}`);
			const likeness = Math.max(diceOf(wanted, words), diceOf(wordsOf(named.set), wordsOf(name)));
			const isOtherYear = year !== '' && !year.startsWith(releaseYear.slice(0, 4));
			const isSameMaker = named.maker !== '' && diceOf(wordsOf(named.maker), wordsOf(maker)) > 0.6;
			const score = likeness * (isOtherYear ? 0.6 : 1) + (isSameMaker ? 0.05 : 0);
			return { key, score: Math.min(1, Math.round(score * 1000) / 1000) };
		})
		.filter(({ score }) => score >= LEAST_SCORE)
		.sort((a, b) => b.score - a.score || (a.key < b.key ? -1 : 1));
}

/** The release that is meant beyond doubt; null where a person has to choose. */
export function sureOf(candidates: readonly SetCandidate[]): string | null {
	const [first, second] = candidates;
	if (!first || first.score < SURE_SCORE) return null;
	return first.score - (second?.score ?? 0) >= CLEAR_LEAD ? first.key : null;
}

/** How alike two names are, 0 to 1, whatever the order of their words. */
export function likeness(a: string, b: string): number {
	return diceOf(wordsOf(a), wordsOf(b));
}

function wordsOf(text: string): readonly string[] {
	return plainName(text).split('-').filter(Boolean);
}

/** Dice's coefficient (Dice, 1945) over pairs of letters, words counted apart. */
function diceOf(a: readonly string[], b: readonly string[]): number {
	const pairs = (words: readonly string[]) =>
		words.flatMap((word) =>
			word.length < 2
				? [word]
				: Array.from({ length: word.length - 1 }, (_, i) => word.slice(i, i + 2))
		);
	const left = pairs(a);
	const right = pairs(b);
	if (left.length + right.length === 0) return 0;
	const free = [...right];
	const shared = left.filter((pair) => {
		const at = free.indexOf(pair);
		if (at >= 0) free.splice(at, 1);
		return at >= 0;
	}).length;
	return (2 * shared) / (left.length + right.length);
}
