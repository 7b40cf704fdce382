import type { CardMark } from './card.ts';
import type { SectionKind } from './section.ts';

/**
 * A release as a file states it: keys and lists may be left out, odds are text. `resolveRelease`
 * makes a `Release` of it. `place` tells where in the file a thing stands, for problems.
 */
export interface ReleaseDraft {
	readonly release: {
		readonly key?: string;
		readonly name: string;
		readonly maker: string;
		readonly year: string;
		readonly note?: string;
	};
	readonly packTypes?: readonly PackTypeDraft[];
	readonly rarities?: readonly string[];
	readonly sections: readonly SectionDraft[];
	readonly parallels?: readonly ParallelDraft[];
}

export interface PackTypeDraft {
	readonly key?: string;
	readonly name: string;
	readonly packsPerBox?: number;
	readonly cardsPerPack?: number;
	readonly priceMinor?: number;
	readonly currency?: string;
}

export interface SectionDraft {
	readonly key?: string;
	readonly name: string;
	readonly kind?: SectionKind;
	readonly numberedIn?: string;
	readonly printRun?: number;
	readonly series?: readonly {
		readonly name: string;
		readonly from: string;
		readonly to: string;
	}[];
	/** Pack type → odds: `{ "hobby": "1:6" }` */
	readonly odds?: Readonly<Record<string, string>>;
	readonly note?: string;
	readonly cards: readonly CardDraft[];
}

export interface CardDraft {
	readonly key?: string;
	readonly number?: string | null;
	readonly title?: string;
	readonly subjects?: readonly string[];
	readonly group?: string;
	readonly marks?: readonly CardMark[];
	readonly rarity?: string;
}

export interface ParallelDraft {
	readonly key?: string;
	readonly name: string;
	readonly channel?: string;
	readonly howToTell?: string;
	readonly runs: readonly { readonly sections: readonly string[]; readonly printRun?: number }[];
}
