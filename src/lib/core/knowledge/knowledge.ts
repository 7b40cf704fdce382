import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import type { Condition } from '../copies/condition.ts';
import type { PhotoSide } from '../copies/photo-side.ts';
import type { PriceKind } from '../worth/prices/price-point.ts';

/** A picture of what one need not own, as a file of knowledge names it. */
export interface KnownPicture {
	/** Key of what it shows: a section in a finish, or a version (`lookAlike`). */
	readonly of: string;
	readonly side: PhotoSide;
	readonly source?: string;
	/** SHA-256 of the picture, in hex: the same picture is known again by it. */
	readonly hash: string;
}

/** A price of a version, as a file of knowledge states it; of one card, in minor units of its currency. */
export interface KnownPrice {
	readonly version: string;
	readonly kind: PriceKind;
	readonly lowMinor: number;
	readonly highMinor: number;
	/** ISO 4217 */
	readonly currency: string;
	/** ISO 8601 day */
	readonly saidOn: string;
	readonly source?: string;
	readonly condition?: Condition;
	readonly grade?: number;
	readonly isAuthentic?: true;
	readonly house?: string;
	readonly reason?: string;
}

/** What is easily mistaken for each other. */
export interface KnownLookAlikes {
	readonly name: string;
	readonly keys: readonly string[];
	readonly note?: string;
}

/** What one collector has learnt of a release; never what is owned of it. */
export interface Knowledge {
	/** Its checklist with tells, odds, errors and what is hunted for. */
	readonly checklist: ReleaseDraft;
	readonly pictures: readonly KnownPicture[];
	readonly prices: readonly KnownPrice[];
	readonly lookAlikes: readonly KnownLookAlikes[];
}

/** Kinds of knowledge, in the order in which they are learnt. */
export const KNOWLEDGE_KINDS = [
	'release',
	'sections',
	'cards',
	'finishes',
	'odds and runs',
	'errors and variations',
	'tells',
	'beside the cards',
	'hunts',
	'look-alikes',
	'pictures',
	'prices'
] as const;
export type KnowledgeKind = (typeof KNOWLEDGE_KINDS)[number];

/** A line in which two collectors' knowledge of a release differs. */
export interface Difference {
	/** Names the thing, and the field of it: `sections/base/cards/base-7#title`. */
	readonly id: string;
	readonly kind: KnowledgeKind;
	/** "27 Quiet Harbour Light: title" */
	readonly what: string;
	/** What is known here, in words; null: nothing is. */
	readonly mine: string | null;
	readonly theirs: string;
	/** Who says so; null: whoever the file is from. */
	readonly source: string | null;
	/** ISO 8601 day on which it was said; null: the day of the file. */
	readonly on: string | null;
}
