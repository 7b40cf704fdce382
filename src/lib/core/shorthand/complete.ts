import type { CardIndex } from './card-index.ts';
import { normalPhrase, type Vocabulary } from './vocabulary.ts';

/** A way to go on with the word that is being typed. */
export interface Completion {
	/** What stands in the line instead of the word. */
	readonly text: string;
	readonly what: 'finish' | 'section' | 'condition' | 'variant' | 'synonym' | 'title';
	/** The part of the line it takes the place of. */
	readonly start: number;
	readonly end: number;
}

const WHAT = {
	parallel: 'finish',
	section: 'section',
	condition: 'condition',
	variant: 'variant'
} as const;
const MOST = 6;

/**
 * How the word before the caret may go on: names of the checklist that begin with it, then titles.
 * A word of fewer than two letters, or one that is whole already, gives nothing.
 */
export function complete(
	line: string,
	caret: number,
	{
		vocabulary,
		index,
		synonyms
	}: {
		readonly vocabulary: Vocabulary;
		readonly index: CardIndex;
		readonly synonyms?: ReadonlyMap<string, string>;
	}
): readonly Completion[] {
	const [typed = ''] = /"?[\p{L}][\p{L}\p{M}'’]*$/u.exec(line.slice(0, caret)) ?? [];
	const isTitle = typed.startsWith('"');
	const begun = normalPhrase(typed);
	if (typed.replace('"', '').length < 2) return [];
	const place = { start: caret - typed.length, end: caret };
	const begins = (name: string) =>
		normalPhrase(name).startsWith(begun) && normalPhrase(name) !== begun;
	const words = isTitle
		? []
		: [
				...[...(synonyms?.keys() ?? [])].map((text) => ({ text, what: 'synonym' as const })),
				...[...vocabulary.meanings.values()].map(({ name, kind }) => ({
					text: name.toLowerCase(),
					what: WHAT[kind]
				}))
			];
	const titles = [...index.byTitle.values()].flatMap(([first]) =>
		first && begins(first.card.title)
			? [{ text: `"${first.card.title.replaceAll('"', '""')}"`, what: 'title' as const }]
			: []
	);
	const seen = new Set<string>();
	return [...words.filter(({ text }) => begins(text)), ...titles]
		.filter(({ text }) => !seen.has(text) && seen.add(text))
		.slice(0, MOST)
		.map((word) => ({ ...word, ...place }));
}
