import type { CardFormat } from '../checklist/card-format.ts';

/**
 * `here`: its card lies in it, or is to. `stand-in`: a spare lies for one kept elsewhere. `elsewhere`:
 * a placeholder says where its card is. `missing`: there is none yet.
 */
export type PocketState = 'here' | 'stand-in' | 'elsewhere' | 'missing';

/** What a pocket holds or waits for. */
export interface PocketFace {
	readonly slot: string;
	/** The card's key with its release's, for its picture. */
	readonly seed: string;
	readonly releaseKey: string;
	readonly cardKey: string;
	readonly number: string | null;
	readonly title: string;
	readonly group: string;
	/** Section and finish it belongs to. */
	readonly place: string;
	readonly finish: string | null;
	readonly printRun: number | null;
	readonly state: PocketState;
	/** Where the card is that was pulled out. */
	readonly kept?: string;
	/** Hash of the copy's photo, its front. */
	readonly photo?: string;
	/** Hash of the photo of its back. */
	readonly backPhoto?: string;
	readonly format?: CardFormat;
}

const WORDS: Readonly<Record<PocketState, string>> = {
	here: 'here',
	'stand-in': 'a stand-in',
	elsewhere: 'kept elsewhere',
	missing: 'missing'
};

/** "27, Quiet Harbour Light, Base, missing" */
export function describePocket({ number, title, place, state, kept }: PocketFace): string {
	const words = kept ? `${WORDS[state]}: ${kept}` : WORDS[state];
	return [number, title, place, words].filter(Boolean).join(', ');
}
