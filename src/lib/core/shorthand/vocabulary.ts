import { distance } from 'fastest-levenshtein';
import type { Release } from '../checklist/release.ts';
import { plainName } from '../checklist/slug.ts';
import { VARIANT_KIND_NAMES } from '../checklist/variant.ts';
import { CONDITIONS, type Condition } from '../copies/condition.ts';
import { SHORT_CONDITIONS } from '../copies/condition-word.ts';

/** What a word of the entry line may mean. */
export type Meaning =
	| { readonly kind: 'parallel'; readonly key: string; readonly name: string }
	| { readonly kind: 'section'; readonly key: string; readonly name: string }
	| { readonly kind: 'condition'; readonly condition: Condition; readonly name: string }
	/** The variant of each card that bears this name, or is of this kind. */
	| { readonly kind: 'variant'; readonly name: string };

/** The words that an entry line may use for a release. */
export interface Vocabulary {
	/** Phrases as they are compared, with what they mean; the first of equals counts. */
	readonly meanings: ReadonlyMap<string, Meaning>;
	/** The most words that a phrase has. */
	readonly longest: number;
}

/** Words as they are compared: small letters, no marks. */
export function normalPhrase(text: string): string {
	return plainName(text).replaceAll('.', '');
}

export function vocabularyOf(release: Release): Vocabulary {
	const meanings = new Map<string, Meaning>();
	const learn = (phrase: string, meaning: Meaning) => {
		const normal = normalPhrase(phrase);
		if (!meanings.has(normal)) meanings.set(normal, meaning);
	};
	for (const { key, name } of release.parallels) learn(name, { kind: 'parallel', key, name });
	for (const { key, name } of release.sections) learn(name, { kind: 'section', key, name });
	for (const { name } of release.variants) learn(name, { kind: 'variant', name });
	for (const name of VARIANT_KIND_NAMES) learn(name, { kind: 'variant', name });
	for (const condition of CONDITIONS) {
		learn(condition, { kind: 'condition', condition, name: condition });
	}
	for (const [word, condition] of Object.entries(SHORT_CONDITIONS)) {
		learn(word, { kind: 'condition', condition, name: condition });
	}
	const longest = [...meanings.keys()].reduce(
		(most, phrase) => Math.max(most, phrase.split('-').length),
		1
	);
	return { meanings, longest };
}

/** The known phrase that is nearest to a mistyped one: at most two letters off, a third of it; null where none is. */
export function nearestPhrase({ meanings }: Vocabulary, typed: string): string | null {
	const word = normalPhrase(typed);
	let best: { readonly name: string; readonly off: number } | null = null;
	for (const [phrase, { name }] of meanings) {
		const off = distance(word, phrase);
		if (off <= Math.min(2, Math.floor(word.length / 3)) && off < (best?.off ?? 3)) {
			best = { name, off };
		}
	}
	return best?.name ?? null;
}
