import type { Variant } from '../variant.ts';

/** What a finding is about; the words are stable, as they stand in the API. */
export const FINDING_CODES = [
	'does not fit',
	'gap',
	'repeated title',
	'outside its numbering',
	'parallel covers nothing',
	'variant covers nothing',
	'print run above the level below',
	'odds do not fit the pack',
	'stated total differs',
	'swatch or not',
	'mirrored error by half'
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];

/** A change that cannot do harm and puts a finding right. */
export type Mend =
	| { readonly kind: 'add cards'; readonly section: string; readonly numbers: readonly string[] }
	| { readonly kind: 'add variant'; readonly variant: Omit<Variant, 'key' | 'odds' | 'finishes'> }
	| { readonly kind: 'remove parallel'; readonly parallel: string }
	| { readonly kind: 'remove variant'; readonly variant: string };

/** Something that cannot be right, or is odd enough to look at. */
export interface Finding {
	readonly code: FindingCode;
	/** `wrong` cannot be; `odd` may have its reason. */
	readonly weight: 'wrong' | 'odd';
	readonly message: string;
	/** JSON Pointer into the checklist: the place to look at. */
	readonly pointer: string;
	/** Keys of the cards concerned, where it is about cards. */
	readonly cards: readonly string[];
	readonly mend?: Mend;
}
