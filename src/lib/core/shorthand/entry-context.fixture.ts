import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import { indexCards } from './card-index.ts';
import type { EntryContext } from './entry-context.ts';
import { vocabularyOf } from './vocabulary.ts';

/** What a line is read against: a release, its base chosen, nothing owned; `rest` says otherwise. */
export function contextOf(draft: ReleaseDraft, rest: Partial<EntryContext> = {}): EntryContext {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return {
		release: outcome.value,
		index: indexCards(outcome.value),
		vocabulary: vocabularyOf(outcome.value),
		numberingKey: 'base',
		parallelKey: null,
		owned: new Map(),
		...rest
	};
}

const numbers = (from: number, to: number, prefix = '') =>
	Array.from({ length: to - from + 1 }, (_, i) => ({
		number: `${prefix}${from + i}`,
		title: `Card ${prefix}${from + i}`
	}));

const FINISHES: ReleaseDraft = {
	release: { name: 'R', maker: 'M', year: '1994' },
	sections: [
		{ name: 'Base', cards: numbers(1, 80) },
		{ name: "Keeper's Ink", kind: 'insert', cards: numbers(1, 5) },
		{ name: 'Fresnel', kind: 'insert', cards: numbers(1, 3, 'F') }
	],
	parallels: [
		{ name: 'Verdigris', runs: [{ sections: ['base'], printRun: 65 }] },
		{ name: 'First Beam', runs: [{ sections: ['base', 'fresnel'], printRun: 10 }] },
		{ name: 'Brass', runs: [{ sections: ['base', 'fresnel'] }] }
	],
	variants: [
		{ kind: 'error', name: 'home town', sections: ['base'], cards: ['27'] },
		{ kind: 'short print', name: 'SP', sections: ['base'], cards: ['28'] }
	]
};

/** Base 1–80, two inserts, finishes on base or on both, a variant and a short print. */
export const finishesContext = (rest: Partial<EntryContext> = {}) => contextOf(FINISHES, rest);
