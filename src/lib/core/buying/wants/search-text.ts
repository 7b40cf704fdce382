import { bad, good, type Outcome, type Problem } from '../../problem.ts';

/** What a search text is made of. */
export interface SearchParts {
	readonly year: string;
	readonly maker: string;
	readonly set: string;
	readonly section: string;
	readonly finish: string;
	readonly number: string;
	readonly title: string;
	readonly subject: string;
	readonly variant: string;
}
export const SEARCH_WORDS = [
	'year',
	'maker',
	'set',
	'section',
	'finish',
	'number',
	'title',
	'subject',
	'variant'
] as const satisfies readonly (keyof SearchParts)[];

/** The template where nobody has made another. */
export const USUAL_SEARCH = '{year} {maker} {set} {section} {finish} {number} {subject}';

type Piece = { readonly text: string } | { readonly word: keyof SearchParts };

/**
 * Reads a template: text with words of `SEARCH_WORDS` in braces. All problems at once.
 *
 * @example parseSearchTemplate('{year} #{number}') // { ok: true, value: [{ word: 'year' }, { text: ' #' }, { word: 'number' }], notes: [] }
 */
export function parseSearchTemplate(template: string): Outcome<readonly Piece[]> {
	const problems: Problem[] = [];
	const pieces: Piece[] = [];
	for (const match of template.matchAll(/\{([^{}]*)\}|[^{}]+|[{}]/g)) {
		const [text, name] = match;
		const place = { start: match.index, end: match.index + text.length };
		if (name === undefined && /^[{}]$/.test(text)) {
			problems.push({ ...place, message: `a "${text}" stands alone`, remedy: 'Write {year}.' });
			continue;
		}
		const word = SEARCH_WORDS.find((known) => known === name?.trim().toLowerCase());
		if (name === undefined) pieces.push({ text });
		else if (word) pieces.push({ word });
		else {
			const remedy = `Words are ${SEARCH_WORDS.join(', ')}.`;
			problems.push({ ...place, message: `"{${name}}" is none of its words`, remedy });
		}
	}
	if (problems.length === 0 && !pieces.some((piece) => 'word' in piece)) {
		problems.push({ message: 'the template names nothing of a card', remedy: 'Write {number}.' });
	}
	return problems.length > 0 ? bad(problems) : good(pieces);
}

/**
 * The text to search for a card with. What is empty leaves no gap, and no word stands twice in a row
 * ("Base" of a set called "… Base").
 */
export function searchText(pieces: readonly Piece[], parts: SearchParts): string {
	const text = pieces.map((piece) => ('text' in piece ? piece.text : parts[piece.word])).join('');
	return text
		.replace(/\s+/g, ' ')
		.replace(/(^|\s)(\S+)(?: \2)+(?=\s|$)/gu, '$1$2')
		.trim();
}
