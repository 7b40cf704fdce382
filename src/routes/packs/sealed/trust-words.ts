import type { SealedTrust } from '$lib/core/packs/sealed/compare-sealed';

/** How sure it is that something sealed was never opened, in words. */
export const TRUST_WORDS: Readonly<Record<SealedTrust, string>> = {
	certain: 'certain: from the maker’s case',
	likely: 'likely: a known source',
	doubtful: 'doubtful: may be resealed',
	resealed: 'resealed: it shows'
};
