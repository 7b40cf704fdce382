/**
 * Where one has to look to see a feature, from the cheapest on: cheap and certain tells first, then the ruler,
 * then comparison with a known copy (common practice, no source). Seconds are an assumption of ours.
 */
export const LOOKS = {
	front: { seconds: 1, words: 'look at the front', meaning: 'It is seen on the front.' },
	back: { seconds: 2, words: 'turn it over', meaning: 'It is seen on the back.' },
	light: {
		seconds: 4,
		words: 'turn it in the light',
		meaning: 'Only the light shows it: gloss, foil.'
	},
	ruler: { seconds: 15, words: 'lay a ruler on it', meaning: 'It is measured: size, border.' },
	gauge: { seconds: 20, words: 'measure its thickness', meaning: 'It takes a thickness gauge.' },
	'known copy': {
		seconds: 45,
		words: 'lay it beside a known copy',
		meaning: 'It is seen beside a copy that is known.'
	}
} as const satisfies Record<
	string,
	{ readonly seconds: number; readonly words: string; readonly meaning: string }
>;
export type Look = keyof typeof LOOKS;
export const LOOK_NAMES = Object.keys(LOOKS) as readonly Look[];

/**
 * How far a feature may be trusted: the chance that what is seen is what the card has. Of hand-cut cards the
 * size says little, so trust the mark, not the ruler (common practice, no source; the figures are ours).
 */
export const RELIABILITIES = {
	certain: { chance: 1, meaning: 'What is seen settles it.' },
	good: { chance: 0.97, meaning: 'It is seldom misread.' },
	fair: { chance: 0.85, meaning: 'It is misread, or missing, now and then.' },
	poor: { chance: 0.65, meaning: 'It varies: the size of a card that was cut by hand.' }
} as const satisfies Record<string, { readonly chance: number; readonly meaning: string }>;
export type Reliability = keyof typeof RELIABILITIES;
export const RELIABILITY_NAMES = Object.keys(RELIABILITIES) as readonly Reliability[];

/** A feature and its value by which a section, finish, variant, edition or issue is known. */
export interface Tell {
	/** "name on the back", "maker's mark", "border" */
	readonly feature: string;
	/** "BRASS", "none", "yellow" */
	readonly value: string;
	/** What the others show there, of which nothing is said. Left out: not known. */
	readonly otherwise?: string;
	/** Left out: the front. */
	readonly where?: Look;
	/** Left out: certain. */
	readonly reliability?: Reliability;
	/** It holds for cards of these groups only. */
	readonly groups?: readonly string[];
	/** It holds for cards at these places of their strip only. */
	readonly places?: readonly number[];
	/** It holds for cards only that bear one of these words, in each family named: a role, a school. */
	readonly tags?: Readonly<Record<string, readonly string[]>>;
}

/** Something that a card in the hand may be, and what it would show. */
export interface Candidate {
	readonly key: string;
	readonly name?: string;
	/** How likely it is before one looks, beside the others; left out: 1. */
	readonly weight?: number;
	/** A feature once. */
	readonly tells: readonly Tell[];
}
