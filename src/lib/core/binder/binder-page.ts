import type { CellUse } from './arrange-block.ts';

/** `cards`: it shows cards. `backs`: it shows the backs of the page before. `blank`: nothing. */
export type PageUse = 'cards' | 'backs' | 'blank';

/** A pocket that no slot owns, and what it is for. */
export interface PocketMark {
	readonly pocket: number;
	readonly use: CellUse;
	/** Of a title: the block's name. */
	readonly text?: string;
}

/** One face of a leaf. Odd pages are fronts and lie on the right, even ones are backs. */
export interface BinderPage {
	/** From 1, through all volumes. */
	readonly page: number;
	/** From 1. */
	readonly volume: number;
	/** From 1, in its volume. */
	readonly pageInVolume: number;
	/** Key of the page kind of its leaf. */
	readonly kind: string;
	readonly use: PageUse;
	/** Names of the blocks that lie on it. */
	readonly blocks: readonly string[];
	/** The pocket at which each of them begins on it. */
	readonly opens: readonly number[];
	/** Slot keys row by row; null is a pocket that no slot owns. */
	readonly pockets: readonly (string | null)[];
	readonly marks: readonly PocketMark[];
}
