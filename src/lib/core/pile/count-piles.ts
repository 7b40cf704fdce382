import type { PileChoice } from './judge-pile-card.ts';
import type { NextPile } from './next-pile.ts';

/** A pile that cards were put on. */
export interface PileCount extends Omit<NextPile, 'why'> {
	readonly count: number;
}

/** Cards by the pile on which they lie, in the order in which the piles were begun. */
export function countPiles(choices: readonly PileChoice[]): readonly PileCount[] {
	const piles = new Map<string, PileCount>();
	for (const { pile } of choices) {
		const { why: _, ...on } = pile;
		const key = `${on.kind} ${on.name}`;
		piles.set(key, { ...on, count: (piles.get(key)?.count ?? 0) + 1 });
	}
	return [...piles.values()];
}
