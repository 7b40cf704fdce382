import type { Evidence } from './confidence.ts';
import type { CardFormat } from './card-format.ts';
import type { Difficulty } from './difficulty.ts';
import type { Odds } from './odds.ts';

/** Ways by which a card comes to people other than out of a pack. */
export const ORIGIN_KINDS = [
	'magazine',
	'event',
	'book',
	'fixed product',
	'mail-in',
	'gift'
] as const;
export type OriginKind = (typeof ORIGIN_KINDS)[number];

/** Where a card came from, where not out of packs. */
export interface Origin {
	readonly kind: OriginKind;
	/** Which one: "Harbour Post 4/1994" */
	readonly name?: string;
	/** ISO 8601: a day, a month or a year. */
	readonly date?: string;
}

/** What is known of a card beside its line of the checklist; most cards have nothing of it. */
export interface CardDetails extends Evidence {
	readonly note?: string;
	readonly origin?: Origin;
	/** Fixed products that hold it, so that it is cheap: "Lighthouse tin 1995". */
	readonly fixedProducts?: readonly string[];
	/** Keys of the pack types in which alone it comes. */
	readonly onlyIn?: readonly string[];
	/** Words in families: `{ role: ['keeper'], school: ['Marram Point'] }` */
	readonly tags?: Readonly<Record<string, readonly string[]>>;
	/** What it is filed by where its set bears no numbers: a surname. */
	readonly sortAs?: string;
	/** Where it is made otherwise than its section. */
	readonly format?: CardFormat;
	/** Where it is rarer, or easier, than its section. */
	readonly odds?: readonly Odds[];
	readonly difficulty?: Difficulty;
	/** Cards that cannot be told from it, of this release or others: "release/card". */
	readonly sameAs?: readonly string[];
	/** Cards with the same picture: "release/card". */
	readonly samePictureAs?: readonly string[];
}

/** The fields of `CardDetails`, by name. */
export const CARD_DETAILS = [
	'note',
	'origin',
	'fixedProducts',
	'onlyIn',
	'tags',
	'sortAs',
	'format',
	'odds',
	'difficulty',
	'sameAs',
	'samePictureAs',
	'confidence',
	'source',
	'lookedAt',
	'found'
] as const satisfies readonly (keyof CardDetails)[];

/** A card without what is known of it beside its line. */
export function withoutDetails<Card extends CardDetails>(
	card: Card
): Omit<Card, keyof CardDetails> {
	const line: Partial<Card> = { ...card };
	for (const name of CARD_DETAILS) Reflect.deleteProperty(line, name);
	return line as Omit<Card, keyof CardDetails>;
}

/** The fields of one kind that a thing has: what is stored apart from the rest of it. */
export function pickDetails<Thing extends object, Name extends keyof Thing>(
	thing: Thing,
	names: readonly Name[]
): Pick<Thing, Name> {
	return Object.fromEntries(
		names.flatMap((name) => (thing[name] === undefined ? [] : [[name, thing[name]]]))
	) as Pick<Thing, Name>;
}
