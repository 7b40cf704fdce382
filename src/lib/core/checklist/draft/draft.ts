import type { Tell } from '../tell.ts';
import type { CardMark } from '../card.ts';
import type { CardSelector } from '../card-selector.ts';
import type { Evidence } from '../confidence.ts';
import type { CardChange } from '../edition.ts';
import type { RunRule } from '../parallel.ts';
import type { Arrangement, SectionDetails, SectionKind } from '../section.ts';
import type { CardFormat } from '../card-format.ts';
import type { Variant, VariantFinish, VariantKindName } from '../variant.ts';
import type { Collectible, Hunt } from '../beside-cards.ts';
import type { CardDetails } from '../card-details.ts';
import type { PackCount, PackGuarantee } from '../release.ts';

/** A thing whose key may be left out. */
type Keyless<Thing extends { readonly key: string }> = Omit<Thing, 'key'> & {
	readonly key?: string;
};

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
		readonly theme?: string;
		readonly note?: string;
	};
	readonly collectibles?: readonly Keyless<Collectible>[];
	readonly hunts?: readonly Keyless<Hunt>[];
	readonly packTypes?: readonly PackTypeDraft[];
	readonly rarities?: readonly string[];
	readonly sections: readonly SectionDraft[];
	readonly parallels?: readonly ParallelDraft[];
	readonly variants?: readonly VariantDraft[];
}

export interface PackTypeDraft {
	readonly key?: string;
	readonly name: string;
	readonly packsPerBox?: number;
	readonly boxesPerCase?: number;
	readonly cardsPerPack?: number;
	readonly form?: string;
	readonly packs?: readonly PackCount[];
	readonly guarantees?: readonly PackGuarantee[];
	readonly priceMinor?: number;
	readonly currency?: string;
}

export interface SectionDraft extends SectionDetails {
	readonly key?: string;
	readonly name: string;
	readonly kind?: SectionKind;
	readonly numberedIn?: string;
	readonly listed?: boolean;
	readonly statedTotal?: number;
	readonly printRun?: number;
	readonly series?: readonly {
		readonly name: string;
		readonly from: string;
		readonly to: string;
	}[];
	/** Pack type → odds: `{ "hobby": "1:6" }` */
	readonly odds?: OddsDraft;
	readonly format?: CardFormat;
	readonly arrangement?: Arrangement;
	readonly edition?: {
		readonly of: readonly string[];
		readonly changes?: readonly CardChange[];
		readonly without?: readonly string[];
		readonly from?: string;
	};
	readonly alsoIn?: readonly string[];
	readonly note?: string;
	readonly cards: readonly CardDraft[];
}

export interface CardDraft extends Omit<CardDetails, 'odds'> {
	readonly odds?: OddsDraft;
	readonly key?: string;
	readonly number?: string | null;
	readonly otherNumbers?: readonly string[];
	readonly title?: string;
	readonly subjects?: readonly string[];
	readonly group?: string;
	readonly marks?: readonly CardMark[];
	readonly rarity?: string;
	readonly place?: number;
	readonly panelOf?: readonly string[];
}

export interface ParallelDraft {
	readonly key?: string;
	readonly name: string;
	readonly channel?: string;
	readonly look?: string;
	readonly palette?: string;
	readonly tells?: readonly Tell[];
	readonly howToTell?: string;
	readonly isBaseFinish?: true;
	readonly stockPt?: number;
	readonly shape?: string;
	readonly runs: readonly RunRuleDraft[];
}

/** Odds by pack type, as text: `{ "hobby": "1:6" }` */
export type OddsDraft = Readonly<Record<string, string>>;

export type RunRuleDraft = Omit<RunRule, 'odds'> & { readonly odds?: OddsDraft };

export interface VariantDraft extends CardSelector, Evidence {
	readonly key?: string;
	readonly kind: VariantKindName;
	readonly name: string;
	readonly regularName?: string;
	readonly tells?: readonly Tell[];
	readonly howToTell?: string;
	readonly printRun?: number;
	readonly odds?: OddsDraft;
	readonly finishes?: readonly (Omit<VariantFinish, 'odds'> & { readonly odds?: OddsDraft })[];
	readonly believed?: Variant['believed'];
	readonly inParallels?: readonly string[];
	readonly mirrors?: string;
	readonly earns?: string;
}
