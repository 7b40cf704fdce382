import type { CardDetails } from './card-details.ts';

export const CARD_MARKS = ['rookie', 'key', 'checklist', 'short print'] as const;
export type CardMark = (typeof CARD_MARKS)[number];

/** One line of the checklist. */
export interface Card extends CardDetails {
	/** Stable within the release: what is owned hangs on it, whatever becomes of number and title. */
	readonly key: string;
	/** As printed; null where the card bears none. */
	readonly number: string | null;
	/** Further numbers on the same card: dual numbers, or a card that counts in two runs. */
	readonly otherNumbers: readonly string[];
	readonly title: string;
	readonly subjects: readonly string[];
	readonly group?: string;
	readonly marks: readonly CardMark[];
	readonly rarity?: string;
	/** Place in the strip, or in the picture that the section's cards form, from 1. */
	readonly place?: number;
	/** A panel still in one piece: the numbers (or titles) of the single cards it comes apart into. */
	readonly panelOf: readonly string[];
}
