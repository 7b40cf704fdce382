import type { SectionKind } from '../section.ts';
import type { VariantKindName } from '../variant.ts';

/** Numbers from one to another; a single number has both the same. */
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
	/** Of an edition: numbers it leaves out. */
	readonly without: readonly NumberRun[];
}

/** One entry of a parallel's list: a section, all of them, or a run of numbers; made so often, or not at all. */
export interface RunTarget {
	readonly section?: string;
	readonly run?: NumberRun;
	readonly isExcluded: boolean;
	readonly printRun?: number;
}

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
	  };
