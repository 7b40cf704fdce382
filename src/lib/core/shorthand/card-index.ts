import { ascending, bisector } from 'd3-array';
import { normalCardNumber, parseCardNumber, runStem } from '../checklist/numbers/card-number.ts';
import { hasLetters, letterPlace } from '../checklist/numbers/letter-number.ts';
import { numberingsOf, type NumberedCard, type Numbering } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';

export interface IndexedCard extends NumberedCard {
	readonly numbering: Numbering;
}

/** Finds the cards of a release by what people type. */
export interface CardIndex {
	readonly numberings: readonly Numbering[];
	readonly byNumber: ReadonlyMap<string, readonly IndexedCard[]>;
	readonly byTitle: ReadonlyMap<string, readonly IndexedCard[]>;
	/** Prefixes in use, as printed: "F". */
	readonly prefixes: readonly string[];
	/** For runs of numbers: see `cardsBetween`. */
	readonly runs: RunIndex;
}

export function normalTitle(title: string): string {
	return title.normalize('NFKC').replace(/[‘’]/g, "'").replace(/\s+/g, ' ').trim().toLowerCase();
}

export function indexCards(release: Release): CardIndex {
	const byNumber = new Map<string, IndexedCard[]>();
	const byTitle = new Map<string, IndexedCard[]>();
	const prefixes = new Set<string>();
	const numberings = numberingsOf(release);
	for (const numbering of numberings) {
		for (const found of numbering.cards) {
			const indexed = { ...found, numbering };
			const { number, title } = found.card;
			for (const other of [...(number === null ? [] : [number]), ...found.card.otherNumbers]) {
				push(byNumber, normalCardNumber(other), indexed);
			}
			if (number !== null) {
				const { prefix } = parseCardNumber(number);
				if (prefix) prefixes.add(prefix);
			}
			if (title) push(byTitle, normalTitle(title), indexed);
		}
	}
	return { numberings, byNumber, byTitle, prefixes: [...prefixes], runs: indexRuns(numberings) };
}

/** A card with its place among those of one run: digits, then what stands behind them ("12" < "12a"). */
interface RunEntry extends RunNumber {
	readonly found: NumberedCard;
}

interface RunNumber {
	readonly stem: string;
	readonly digits: number;
	readonly suffix: string;
}

/** Cards by numbering and by what the numbers of a run share, each run in order. */
export type RunIndex = ReadonlyMap<Numbering, ReadonlyMap<string, readonly RunEntry[]>>;

function indexRuns(numberings: readonly Numbering[]): RunIndex {
	return new Map(
		numberings.map((numbering) => {
			const runs = new Map<string, RunEntry[]>();
			const isLettered = hasLetters(numbering.cards.map(({ card }) => card.number));
			for (const found of numbering.cards) {
				if (found.card.number === null) continue;
				const number = readRunNumber(found.card.number, isLettered);
				if (number) push(runs, number.stem, { found, ...number });
			}
			for (const run of runs.values()) run.sort(compareEntries);
			return [numbering, runs];
		})
	);
}

/** A number as a place in a run; null where it has none. */
function readRunNumber(text: string, isLettered: boolean): RunNumber | null {
	const letter = isLettered ? letterPlace(text) : null;
	if (letter !== null) return { stem: 'letters', digits: letter, suffix: '' };
	const number = parseCardNumber(text);
	if (number.digits === null) return null;
	const { digits, suffix } = number;
	return { stem: runStem({ ...number, suffix: '' }), digits, suffix: suffix.toUpperCase() };
}

/**
 * The cards of a numbering from one number to another, both ends included, in order: "1" to "40" takes
 * 12a along, but not 40a; "12b" to "12c" takes these two. Null where the numbers are not of one run.
 */
export function cardsBetween(
	{ runs }: CardIndex,
	numbering: Numbering,
	from: string,
	to: string
): readonly NumberedCard[] | null {
	const isLettered = runs.get(numbering)?.has('letters') ?? false;
	const low = readRunNumber(from, isLettered);
	const high = readRunNumber(to, isLettered);
	if (!low || !high || low.stem !== high.stem) return null;
	const run = runs.get(numbering)?.get(low.stem) ?? [];
	const first = byNumber.left(run, low);
	const behind = byNumber.right(run, high);
	return run.slice(first, behind).map(({ found }) => found);
}

function compareEntries(a: RunNumber, b: RunNumber): number {
	return a.digits - b.digits || ascending(a.suffix, b.suffix);
}

const byNumber = bisector<RunEntry, RunNumber>(compareEntries);

function push<Value>(map: Map<string, Value[]>, key: string, value: Value): void {
	const list = map.get(key);
	if (list) list.push(value);
	else map.set(key, [value]);
}
