/** What is collected of a release beside its cards, and what several of them are called. */
export const COLLECTIBLES = {
	wrapper: 'wrappers',
	box: 'boxes',
	poster: 'posters',
	album: 'albums',
	book: 'books',
	other: 'other things'
} as const;
export type CollectibleKind = keyof typeof COLLECTIBLES;
export const COLLECTIBLE_KINDS = Object.keys(COLLECTIBLES) as readonly CollectibleKind[];

export interface Collectible {
	/** Stable within the release. */
	readonly key: string;
	readonly kind: CollectibleKind;
	readonly name: string;
	readonly note?: string;
}

/** Something suspected to exist: a card, a finish, a variation that nobody has shown yet. */
export interface Hunt {
	/** Stable within the release. */
	readonly key: string;
	/** "Keeper's Ink 31, never seen" */
	readonly name: string;
	/** Key of the section it would belong to. */
	readonly section?: string;
	readonly note?: string;
	/** Who says so. */
	readonly source?: string;
	/** ISO 8601: the day on which, and the place where it was last looked for. */
	readonly lastLooked?: string;
	readonly lookedWhere?: string;
}
