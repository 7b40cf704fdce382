import type { Problem } from '../problem.ts';
import {
	LOOKS,
	RELIABILITIES,
	type Candidate,
	type Look,
	type Reliability
} from '../checklist/tell.ts';

/** What can be looked at, with what each candidate shows there. */
export interface Feature {
	readonly name: string;
	readonly where: Look;
	readonly reliability: Reliability;
	/** Seconds that it takes to look. */
	readonly seconds: number;
	/** Every value that some candidate shows, in the order in which they come. */
	readonly values: readonly string[];
	/** By candidate, as an index into `values`; null: nobody knows. */
	readonly shown: readonly (number | null)[];
}

/** The same feature is named the same, whatever its capitals and blanks. */
export const featureName = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');

/** The same for many: each text is looked at once. */
function namer(): (text: string) => string {
	const names = new Map<string, string>();
	return (text) => {
		const known = names.get(text);
		if (known !== undefined) return known;
		const name = featureName(text);
		names.set(text, name);
		return name;
	};
}

/** Features times candidates that are laid side by side. */
const MOST_CELLS = 2_000_000;
/** Steps to weigh every value of every feature against every candidate. */
const MOST_STEPS = 20_000_000;

/** What is too much to be compared; null: it is not. */
export function tooManyTells(candidates: readonly Candidate[]): Problem | null {
	const values = new Map<string, Set<string>>();
	const nameOf = namer();
	for (const { tells } of candidates) {
		for (const { feature, value, otherwise = '' } of tells) {
			const name = nameOf(feature);
			const known = values.get(name) ?? new Set<string>();
			values.set(name, known.add(nameOf(value)).add(nameOf(otherwise)));
		}
	}
	const steps = [...values.values()].reduce((sum, { size }) => sum + size, 0) * candidates.length;
	return values.size * candidates.length > MOST_CELLS || steps > MOST_STEPS
		? {
				field: 'candidates',
				pointer: '/candidates',
				message: `${candidates.length} candidates with ${values.size} features are too much to compare`,
				remedy: 'Give fewer candidates, or only the features that tell them apart.'
			}
		: null;
}

/**
 * The features of candidates, in the order in which they come. Of one that several tell of, the dearest
 * look and the poorest reliability count. A candidate that says nothing of it shows what the others say
 * that is shown otherwise, where they agree.
 */
export function featuresOf(candidates: readonly Candidate[]): readonly Feature[] {
	interface Found {
		readonly name: string;
		where: Look;
		reliability: Reliability;
		readonly otherwise: Set<string>;
		readonly said: Map<number, string>;
	}
	const found = new Map<string, Found>();
	const nameOf = namer();
	candidates.forEach(({ tells }, i) => {
		for (const { feature, value, otherwise, where = 'front', reliability = 'certain' } of tells) {
			const key = nameOf(feature);
			const known = found.get(key) ?? {
				name: feature.trim(),
				where,
				reliability,
				otherwise: new Set(),
				said: new Map<number, string>()
			};
			found.set(key, known);
			if (LOOKS[where].seconds > LOOKS[known.where].seconds) known.where = where;
			if (RELIABILITIES[reliability].chance < RELIABILITIES[known.reliability].chance) {
				known.reliability = reliability;
			}
			if (otherwise !== undefined) known.otherwise.add(otherwise.trim());
			if (!known.said.has(i)) known.said.set(i, value.trim());
		}
	});
	return [...found.values()].map(({ name, where, reliability, otherwise, said }): Feature => {
		const [only] = otherwise;
		const usual = otherwise.size === 1 ? only : undefined;
		const values: string[] = [];
		const places = new Map<string, number>();
		const placeOf = (value: string) => {
			const name = nameOf(value);
			const known = places.get(name);
			if (known !== undefined) return known;
			places.set(name, values.length);
			return values.push(value) - 1;
		};
		const shown = candidates.map((_, i) => {
			const value = said.get(i) ?? usual;
			return value === undefined ? null : placeOf(value);
		});
		return { name, where, reliability, seconds: LOOKS[where].seconds, values, shown };
	});
}
