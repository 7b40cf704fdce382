import type { Condition } from '../copies/condition.ts';

/** What of a card is looked at besides its centring. */
export const ASPECTS = ['corners', 'edges', 'surface'] as const;
export type Aspect = (typeof ASPECTS)[number];

/** How far gone an aspect is, what it looks like, and the best word that such a card still gets. */
export interface AspectLevel {
	readonly key: string;
	readonly lookFor: string;
	readonly word: Condition;
}

/**
 * What is looked for, the best first. Common practice, no source: collectors differ, and the table is the user's to change.
 */
export const ASPECT_LEVELS: Readonly<Record<Aspect, readonly AspectLevel[]>> = {
	corners: [
		{ key: 'sharp', lookFor: 'Comes to a point, also under a lens.', word: 'mint' },
		{
			key: 'touched',
			lookFor: 'A trace of white that only a close look shows.',
			word: 'near mint'
		},
		{
			key: 'soft',
			lookFor: 'The point is gone, the layers still hold together.',
			word: 'excellent'
		},
		{ key: 'rounded', lookFor: 'Round at arm’s length, layers fray.', word: 'very good' },
		{ key: 'worn', lookFor: 'Worn well into the border, or bent.', word: 'good' },
		{ key: 'missing', lookFor: 'Paper is gone.', word: 'poor' }
	],
	edges: [
		{ key: 'clean', lookFor: 'One line of colour, front and back.', word: 'mint' },
		{
			key: 'touched',
			lookFor: 'A speck of white on a dark border; such come from the pack.',
			word: 'near mint'
		},
		{ key: 'chipped', lookFor: 'Several specks, or a rough cut.', word: 'excellent' },
		{ key: 'notched', lookFor: 'A dent from a band or a divider.', word: 'very good' },
		{ key: 'frayed', lookFor: 'Layers come apart along the edge.', word: 'good' },
		{ key: 'torn', lookFor: 'A tear, or trimmed: measure the size.', word: 'poor' }
	],
	surface: [
		{ key: 'clean', lookFor: 'Gloss unbroken when the light runs over it.', word: 'mint' },
		{
			key: 'speck',
			lookFor: 'A print dot, or a scratch seen only in slanting light.',
			word: 'near mint'
		},
		{
			key: 'scratched',
			lookFor: 'Scratches, wax or gum that show straight on.',
			word: 'excellent'
		},
		{
			key: 'scuffed',
			lookFor: 'Gloss gone, a light crease that breaks no colour, a stain on the back.',
			word: 'very good'
		},
		{ key: 'creased', lookFor: 'A crease through the colour, a stain on the front.', word: 'good' },
		{ key: 'written on', lookFor: 'Ink, tape, a pinhole, paper torn off.', word: 'poor' }
	]
};

/** The worst centring that a word still allows: the wider border's part of both, in percent, on the front and on the back. */
export interface CentringLimit {
	readonly word: Condition;
	readonly frontPercent: number;
	readonly backPercent: number;
}

/** The best first. Common practice, no source: houses and sellers differ, and the table is the user's to change. */
export const CENTRING_LIMITS: readonly CentringLimit[] = [
	{ word: 'mint', frontPercent: 60, backPercent: 75 },
	{ word: 'near mint', frontPercent: 70, backPercent: 90 },
	{ word: 'excellent', frontPercent: 80, backPercent: 95 },
	{ word: 'very good', frontPercent: 90, backPercent: 100 },
	{ word: 'good', frontPercent: 95, backPercent: 100 },
	{ word: 'poor', frontPercent: 100, backPercent: 100 }
];
