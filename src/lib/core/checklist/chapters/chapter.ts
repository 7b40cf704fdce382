import type { Card } from '../card.ts';
import type { Evidence } from '../confidence.ts';
import type { Difficulty } from '../difficulty.ts';
import type { Odds } from '../odds.ts';
import type { SectionKind } from '../section.ts';
import type { Variant, VariantKindName } from '../variant.ts';

/** How often cards of a chapter were made in a finish: so many of them with this run. */
export interface ChapterRun {
	/** Copies of each; null: they bear none. */
	readonly printRun: number | null;
	/** Whether the run is a guess and not stamped. */
	readonly isEstimate: boolean;
	readonly cards: number;
}

/** A finish in which cards of a chapter were made. */
export interface ChapterFinish {
	/** null: the base finish. */
	readonly parallelKey: string | null;
	readonly name: string;
	/** What it looks like. */
	readonly look?: string;
	readonly howToTell?: string;
	readonly channel?: string;
	/** Thickness in points and shape, where they are others than the section's. */
	readonly stockPt?: number;
	readonly shape?: string;
	/** Cards that were made in it. */
	readonly cards: number;
	readonly runs: readonly ChapterRun[];
	/** Which cards hold a swatch in it, and of which that is not known: "1–16", "every card"; empty: none. */
	readonly withSwatch: string;
	readonly swatchUnknown: string;
}

/** A deviation that some cards of a chapter have. */
export interface ChapterQuirk extends Evidence {
	readonly key: string;
	readonly kind: VariantKindName;
	readonly name: string;
	readonly regularName?: string;
	readonly howToTell?: string;
	/** "27, 31", as people list cards. */
	readonly cards: string;
	readonly believed?: Variant['believed'];
	/** Cards that have it. */
	readonly known: number;
}

/** An edition, as it differs from what it repeats. */
export interface ChapterEdition {
	/** Names of the sections it repeats. */
	readonly of: readonly string[];
	readonly without: readonly string[];
	readonly changes: number;
	readonly added: number;
	readonly from?: string;
}

/** A section, as it is told: what it is, how it is known, what was made of it. */
export interface Chapter extends Evidence {
	readonly key: string;
	readonly name: string;
	readonly kind: SectionKind;
	/** Name of the section in whose numbering it lives. */
	readonly numberedIn?: string;
	readonly edition?: ChapterEdition;
	readonly isListed: boolean;
	readonly cards: number;
	/** Cards in its numbering, with those of subsets that live in it. */
	readonly inNumbering: number;
	/** "1–10, 13–96", as people list cards. */
	readonly numbers: string;
	readonly statedTotal?: number;
	readonly note?: string;
	readonly howToTell?: string;
	readonly difficulty?: Difficulty;
	/** Letters by place in the strip; "" where it is not known, null where there are none. */
	readonly lettering?: readonly (string | null)[];
	/** Odds with the name of their pack. */
	readonly odds: readonly (Odds & { readonly pack: string })[];
	/** Names of the packs in which alone it comes. */
	readonly onlyIn: readonly string[];
	readonly finishes: readonly ChapterFinish[];
	/** Rookies and key cards. */
	readonly keyCards: readonly Card[];
	readonly quirks: readonly ChapterQuirk[];
}

/** Something of a release that is not certain. */
export interface Doubt extends Evidence {
	readonly what: string;
}

/** A release part by part, in the order in which people tell it. */
export interface ReleaseChapters {
	readonly parts: readonly Chapter[];
	/** Told as differences, after the parts. */
	readonly editions: readonly Chapter[];
	/** Names of sections that the printed list omits. */
	readonly omitted: readonly string[];
	readonly doubts: readonly Doubt[];
}
