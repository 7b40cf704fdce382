import type { Amount } from '../../money/amount.ts';
import type { CardFormat } from '../card-format.ts';
import type { CardMark } from '../card.ts';
import type { SectionKind } from '../section.ts';
import type { VariantKindName } from '../variant.ts';

/** Numbers from one to another, of one series if they have any; a single number has both the same. */
export interface NumberRun {
	readonly from: string;
	readonly to: string;
}

/** What a section line says behind the colon. */
export interface SectionOptions {
	readonly runs: readonly NumberRun[];
	/** So many cards without numbers. */
	readonly count?: number;
	/** Pack name → odds, "1:6" */
	readonly odds: readonly { readonly pack: string; readonly odds: string }[];
	readonly printRun?: number;
	readonly statedTotal?: number;
	readonly listed?: boolean;
	readonly grid?: { readonly columns: number; readonly rows: number };
	readonly strip?: number;
	/** There is no plain version: its cards exist in parallels only. */
	readonly noBaseFinish?: true;
	/** The section whose card it takes the place of in a pack, by name; null: it comes on top. */
	readonly takesPlaceOf?: string | null;
	/** What its cards are made like, where not like most. */
	readonly format?: CardFormat;
	/** Of an edition: numbers it leaves out. */
	readonly without: readonly NumberRun[];
	/** Of an edition: the number of its first card, from which the others count on. */
	readonly from?: string;
}

/** One entry of a parallel's list: a section, all of them, or a run of numbers; made so often, or not at all. */
export interface RunTarget {
	readonly section?: string;
	readonly run?: NumberRun;
	readonly isExcluded: boolean;
	readonly printRun?: number;
}

/** Cards by number, in one section where they would be those of several. */
export interface CardChoice {
	readonly runs: readonly NumberRun[];
	readonly section?: string;
}

/** How the cards of panels are found: odd numbers two by two, even ones, so many in a row, or by name. */
export type PanelJoin =
	| { readonly kind: 'odd' }
	| { readonly kind: 'even' }
	| { readonly kind: 'in a row'; readonly count: number }
	| { readonly kind: 'cards'; readonly cards: readonly string[] };

export type OutlineLine =
	| { readonly kind: 'comment'; readonly text: string }
	| {
			readonly kind: 'release';
			readonly name: string;
			readonly maker: string;
			readonly year: string;
	  }
	| {
			readonly kind: 'pack';
			readonly name: string;
			readonly cards?: number;
			readonly packs?: number;
			readonly boxes?: number;
			/** What every box holds for certain: "2 Fresnel or Storm Log". */
			readonly guarantees?: readonly string[];
			/** What a pack costs. */
			readonly price?: Amount;
			/** What it is: tin, blister. */
			readonly form?: string;
			/** The packs that it is made of, by name. */
			readonly madeOf?: readonly { readonly count: number; readonly pack: string }[];
	  }
	| ({
			readonly kind: 'section';
			readonly section: SectionKind;
			readonly name: string;
			readonly numberedIn?: string;
			/** An edition: the sections whose cards it repeats. */
			readonly editionOf?: readonly string[];
	  } & SectionOptions)
	| ({ readonly kind: 'series'; readonly name: string } & NumberRun)
	| { readonly kind: 'parallel'; readonly name: string; readonly targets: readonly RunTarget[] }
	| {
			readonly kind: 'variant';
			readonly variant: VariantKindName;
			readonly runs: readonly NumberRun[];
			readonly section?: string;
			readonly name: string;
	  }
	/** What the line above is about: a release or a section. */
	| { readonly kind: 'note'; readonly text: string }
	/** How what the line above records is told: a section, a parallel, a variant. */
	| { readonly kind: 'tell'; readonly text: string }
	| ({ readonly kind: 'mark'; readonly mark: CardMark } & CardChoice)
	| ({ readonly kind: 'tag'; readonly family: string; readonly word: string } & CardChoice)
	| {
			readonly kind: 'panels';
			readonly name: string;
			/** The section whose cards hang together. */
			readonly of: string;
			readonly joins: readonly PanelJoin[];
	  };
