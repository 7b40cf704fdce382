export const CARD_MARKS = ['rookie', 'key', 'checklist', 'short print'] as const;
export type CardMark = (typeof CARD_MARKS)[number];

/** One line of the checklist. */
export interface Card {
	/** Stable within the release: what is owned hangs on it, whatever becomes of number and title. */
	readonly key: string;
	/** As printed; null where the card bears none. */
	readonly number: string | null;
	readonly title: string;
	readonly subjects: readonly string[];
	readonly group?: string;
	readonly marks: readonly CardMark[];
	readonly rarity?: string;
}
