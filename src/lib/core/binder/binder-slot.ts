import type { Arrangement } from '../checklist/section.ts';
import type { CardFormat } from '../checklist/card-format.ts';

/** The card's place in a picture that several cards form. */
export interface PuzzlePlace extends Pick<Arrangement, 'columns' | 'rows'> {
	/** Which picture. */
	readonly key: string;
	/** From 1, row by row; left out: a title or extra card that goes with the picture. */
	readonly place?: number;
}

/** A slot as the binder sees it. */
export interface BinderSlot {
	readonly key: string;
	readonly number: string | null;
	readonly title: string;
	/** What it is filed by in the alphabet; left out: its title. */
	readonly sortAs?: string;
	readonly rarity?: string;
	/** Whom it shows, for subject pages and rows; left out: its title. */
	readonly subject?: string;
	/** Subjects of one group are rather laid together. */
	readonly group?: string;
	/** The numbering and finish it is filed under: its block in number order. */
	readonly block: string;
	/** Names the block where another may be called the same; left out: `block`. */
	readonly blockKey?: string;
	/** The numbering alone, where `block` names a finish too: its block when parallels lie in rows. */
	readonly numbering?: string;
	/** Names the numbering where another may be called the same; left out: `numbering`. */
	readonly numberingKey?: string;
	/** The goal under which it is laid, where the binder holds several. */
	readonly goal?: string;
	/** Year of its release: for the order by newest release. */
	readonly year?: string;
	/** ISO 8601 date on which what fills it arrived; left out: nothing has. */
	readonly arrivedOn?: string;
	/** Whether it is a variant of a card that has a slot of its own. */
	readonly isVariant?: boolean;
	/** Whether there is a card for it; left out: there is. */
	readonly isFilled?: boolean;
	/** Size and stock; left out: a standard card. */
	readonly format?: CardFormat;
	readonly puzzle?: PuzzlePlace;
}
