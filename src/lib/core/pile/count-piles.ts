import type { NextPile, PileChoice } from './judge-pile-card.ts';

/** A pile that cards were put on. */
export interface PileCount extends Pick<NextPile, 'kind' | 'name'> {
	readonly count: number;
}

/** Cards by the pile on which they lie, in the order in which the piles were begun. */
export function countPiles(choices: readonly PileChoice[]): readonly PileCount[] {
	const piles = new Map<string, PileCount>();
	for (const {
		pile: { kind, name }
	} of choices) {
		const key = `${kind} ${name}`;
		piles.set(key, { kind, name, count: (piles.get(key)?.count ?? 0) + 1 });
	}
	return [...piles.values()];
}
