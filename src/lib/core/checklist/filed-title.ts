import { compareTitles } from './numbers/compare-card-numbers.ts';

/** What a card without a number is filed by. */
export interface Titled {
	readonly title: string;
	/** What it is sorted as instead of its title: a surname. */
	readonly sortAs?: string;
}

/** A title with what it is sorted as; null: by itself. */
export const titled = (title: string, sortAs: string | null): Titled =>
	sortAs === null ? { title } : { title, sortAs };

/**
 * The order of cards without numbers: by what they are sorted as, else by title; of the same by title.
 *
 * @example [{ title: 'Ada Wren', sortAs: 'Wren' }, { title: 'Fog' }].sort(compareFiled)[0] // { title: 'Fog' }
 */
export function compareFiled(a: Titled, b: Titled): number {
	return compareTitles(a.sortAs ?? a.title, b.sortAs ?? b.title) || compareTitles(a.title, b.title);
}
