import type { Card } from './card.ts';
import type { CardFormat } from './card-format.ts';
import type { Difficulty } from './difficulty.ts';
import type { Odds } from './odds.ts';
import type { Evidence } from './confidence.ts';
import type { Edition } from './edition.ts';
import type { Swatch } from './swatch.ts';
import type { Tell } from './tell.ts';

export const SECTION_KINDS = ['base', 'subset', 'insert', 'extra'] as const;
/** `extra`: promo, sticker, give-away, re-issue, over-size card: what packs or the list do not tell. */
export type SectionKind = (typeof SECTION_KINDS)[number];

/** A part of a numbering sold at another time: its first and last number. */
export interface Series {
	readonly name: string;
	readonly from: string;
	readonly to: string;
}

/** Cards that belong side by side: a picture in a grid, or a strip that is cut by hand. */
export interface Arrangement {
	readonly kind: 'puzzle' | 'strip';
	readonly columns: number;
	readonly rows: number;
}

/** What is known of a section beside its place in the checklist. */
export interface SectionDetails extends Evidence {
	/** How its cards are told from those of other sections. */
	readonly howToTell?: string;
	readonly difficulty?: Difficulty;
	/** Keys of the pack types in which alone it comes. */
	readonly onlyIn?: readonly string[];
	/** Key of the section whose card one of this takes the place of in a pack; null: it comes on top; left out: of a usual card of the pack. */
	readonly takesPlaceOf?: string | null;
	/** Whether its base finish holds a swatch; left out: none is in question. */
	readonly swatch?: Swatch;
	/** There is no plain version: its cards exist in their parallels only. */
	readonly noBaseFinish?: true;
	/** What its base finish looks like: "dull stock, no colour". */
	readonly baseLook?: string;
	/** What its cards show in their base finish: features by which they are told from others. */
	readonly tells?: readonly Tell[];
	/** Letters along the edge by place in the strip, from the first: a text, "" where it is not known, null where that place has none. */
	readonly lettering?: readonly (string | null)[];
}

/** The fields of `SectionDetails`, by name. */
export const SECTION_DETAILS = [
	'howToTell',
	'difficulty',
	'onlyIn',
	'takesPlaceOf',
	'swatch',
	'noBaseFinish',
	'baseLook',
	'lettering',
	'tells',
	'confidence',
	'source',
	'lookedAt',
	'found'
] as const satisfies readonly (keyof SectionDetails)[];

/** A run of the checklist. */
export interface Section extends SectionDetails {
	readonly key: string;
	readonly name: string;
	readonly kind: SectionKind;
	/** The section whose numbering this one lives in; absent where it has its own. */
	readonly numberedIn?: string;
	/** Whether the set's own checklist card has it. */
	readonly listed: boolean;
	/** How many cards the checklist card says there are. */
	readonly statedTotal?: number;
	/** Copies printed of each base card here, where they are numbered. */
	readonly printRun?: number;
	/** Series of the numbering, named by the section that owns it. */
	readonly series: readonly Series[];
	readonly odds: readonly Odds[];
	readonly format?: CardFormat;
	readonly arrangement?: Arrangement;
	/** The same cards as other sections, with changes: stored as the rule; `cards` then holds what is added. */
	readonly edition?: Edition;
	/** Other releases that this section belongs to as well, by key. */
	readonly alsoIn: readonly string[];
	readonly note?: string;
	readonly cards: readonly Card[];
}
