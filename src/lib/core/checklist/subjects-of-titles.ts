import type { Release } from './release.ts';

/** What parts the subjects in a title: words stand between blanks, signs anywhere. */
export const TITLE_SEPARATORS = ['vs', '/', '&', '+', 'and', 'with'] as const;
export type TitleSeparator = (typeof TITLE_SEPARATORS)[number];

/** The subjects that the title of a card names. */
export interface TitleSubjects {
	readonly card: string;
	readonly number: string | null;
	readonly title: string;
	readonly subjects: readonly string[];
}

/**
 * The subjects in a title, in their order, each once. What stands in brackets says something else.
 *
 * @example subjectsOf('Ada Hale vs. Bram / Cliff (rookie)', ['vs', '/']) // ['Ada Hale', 'Bram', 'Cliff']
 */
export function subjectsOf(
	title: string,
	separators: readonly TitleSeparator[]
): readonly string[] {
	const plain = title.replace(/\([^()]*\)|\[[^[\]]*\]/g, ' ');
	let parts = [plain];
	for (const separator of separators) {
		const mark = /\w/.test(separator)
			? new RegExp(`\\s${separator}\\.?\\s`, 'i')
			: new RegExp(`\\s*[${separator}]\\s*`);
		parts = parts.flatMap((part) => part.split(mark));
	}
	return [...new Set(parts.map((part) => part.replace(/\s+/g, ' ').trim()).filter(Boolean))];
}

/**
 * What cards without subjects (or all, with `overwrite`) would get from their titles, card by card in
 * checklist order; checklist cards, cards without a title and those that have these subjects are left out.
 */
export function subjectsOfTitles(
	release: Release,
	separators: readonly TitleSeparator[],
	{
		sections,
		overwrite = false
	}: { readonly sections?: readonly string[]; readonly overwrite?: boolean } = {}
): readonly TitleSubjects[] {
	return release.sections
		.filter(({ key }) => sections === undefined || sections.includes(key))
		.flatMap(({ cards }) =>
			cards.flatMap((card): TitleSubjects[] => {
				if (!overwrite && card.subjects.length > 0) return [];
				if (card.marks.includes('checklist')) return [];
				const subjects = subjectsOf(card.title, separators);
				const isSame =
					subjects.length === card.subjects.length &&
					subjects.every((subject, i) => subject === card.subjects[i]);
				return isSame || subjects.length === 0
					? []
					: [{ card: card.key, number: card.number, title: card.title, subjects }];
			})
		);
}

/** A release whose cards bear the subjects found in their titles. */
export function withSubjects(release: Release, found: readonly TitleSubjects[]): Release {
	const subjects = new Map(found.map((card) => [card.card, card.subjects]));
	return {
		...release,
		sections: release.sections.map((section) => ({
			...section,
			cards: section.cards.map((card) => ({
				...card,
				subjects: subjects.get(card.key) ?? card.subjects
			}))
		}))
	};
}
