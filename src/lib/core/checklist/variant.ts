import type { Tell } from './tell.ts';
import { normalCardNumber } from './numbers/card-number.ts';
import type { Card } from './card.ts';
import { selects, type CardSelector } from './card-selector.ts';
import type { Evidence } from './confidence.ts';
import type { Section } from './section.ts';
import type { Odds } from './odds.ts';

/** A way in which a card deviates, as data: whether it makes a version of its own. */
interface VariantKind {
	readonly addsVersion: boolean;
	readonly meaning: string;
}

export const VARIANT_KINDS = {
	'image variation': { addsVersion: true, meaning: 'The same number with another picture.' },
	'short print': {
		addsVersion: false,
		meaning: 'Printed far less than its neighbours; not marked.'
	},
	'print variation': {
		addsVersion: true,
		meaning: 'Another printing: gloss, line colour, letters.'
	},
	error: { addsVersion: true, meaning: 'Printed wrong, and put right later.' },
	corrected: {
		addsVersion: true,
		meaning: 'The printing that was put right; where its error is recorded, the regular card is it.'
	},
	uncorrected: {
		addsVersion: false,
		meaning: 'Wrong on every copy, so there is only one version.'
	},
	quirk: { addsVersion: true, meaning: 'An oddity of some copies, in base only.' },
	piece: { addsVersion: true, meaning: 'A part hidden in the card, collected for itself.' }
} as const satisfies Record<string, VariantKind>;

export type VariantKindName = keyof typeof VARIANT_KINDS;
export const VARIANT_KIND_NAMES = Object.keys(VARIANT_KINDS) as VariantKindName[];

/** How often a variation exists in one parallel. */
export interface VariantFinish {
	/** Key of the parallel. */
	readonly parallel: string;
	readonly printRun?: number;
	readonly odds?: readonly Odds[];
}

/** A deviation of a card, a range or whole sections. */
export interface Variant extends CardSelector, Evidence {
	readonly key: string;
	readonly kind: VariantKindName;
	/** "home town", "red line" */
	readonly name: string;
	/** What the regular card is called beside it: "blue line", where this is the red. */
	readonly regularName?: string;
	readonly howToTell?: string;
	/** What it shows, instead of what the regular card does. */
	readonly tells?: readonly Tell[];
	readonly printRun?: number;
	readonly odds?: readonly Odds[];
	/** Parallels in which it exists as well, by key; left out: in base only. */
	readonly inParallels?: readonly string[];
	/** Its run and odds in parallels, where they are told of it apart; it exists in these too. */
	readonly finishes?: readonly VariantFinish[];
	/** How many of its kind are believed to exist, the known ones included; what is not known has no slot. */
	readonly believed?: { readonly least: number; readonly most?: number };
	/** The card that has the other half of a mirrored error (two backs swapped). */
	readonly mirrors?: string;
	/** Of a piece: the card that a full set of a card's pieces earns. */
	readonly earns?: string;
}

/** Keys of the parallels in which a variant exists. */
export function parallelsOf({
	inParallels = [],
	finishes = []
}: Pick<Variant, 'inParallels' | 'finishes'>): readonly string[] {
	return [...new Set([...inParallels, ...finishes.map(({ parallel }) => parallel)])];
}

/** The variants of a card in the order in which they are recorded. */
export function variantsOf(
	variants: readonly Variant[],
	section: Section,
	card: Card
): readonly Variant[] {
	return variants.filter((variant) => selects(variant, section, card));
}

/** The same for card after card: rules that name single cards are looked up, not gone through. */
export function variantFinder(
	variants: readonly Variant[]
): (section: Section, card: Card) => readonly Variant[] {
	const wide = variants.filter(({ cards }) => cards === undefined);
	const named = new Map<string, Variant[]>();
	for (const variant of variants) {
		for (const name of new Set((variant.cards ?? []).flatMap(waysToWrite))) {
			const list = named.get(name);
			if (list) list.push(variant);
			else named.set(name, [variant]);
		}
	}
	const place = new Map(variants.map((variant, i) => [variant, i]));
	return (section, card) => {
		const names = [card.number ?? card.title, ...card.otherNumbers].flatMap(waysToWrite);
		const meant = names.flatMap((name) => named.get(name) ?? []);
		if (meant.length === 0 && wide.length === 0) return [];
		return [...new Set([...meant, ...wide])]
			.filter((variant) => selects(variant, section, card))
			.sort((a, b) => (place.get(a) ?? 0) - (place.get(b) ?? 0));
	};
}

/** As it stands, and as "F01" is written F1. */
function waysToWrite(name: string): readonly string[] {
	return [name, normalCardNumber(name)];
}

/**
 * Those of a card's variants that make a version of their own in a finish. A correction makes none
 * where the error is recorded too: then the regular card is the corrected one.
 */
export function addedVariants(
	variants: readonly Variant[],
	parallelKey: string | null
): readonly Variant[] {
	const hasError = variants.some(({ kind }) => kind === 'error');
	return variants.filter(
		(variant) =>
			VARIANT_KINDS[variant.kind].addsVersion &&
			!(variant.kind === 'corrected' && hasError) &&
			(parallelKey === null || parallelsOf(variant).includes(parallelKey))
	);
}

/**
 * The printings that a card may be of in a finish, besides the regular one: those of its variants that make a
 * version there, but for what is hidden in it.
 */
export function printingsOf(
	variants: readonly Variant[],
	parallelKey: string | null
): readonly Variant[] {
	return addedVariants(variants, parallelKey).filter(({ kind }) => kind !== 'piece');
}
