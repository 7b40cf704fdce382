import { rollup } from 'd3-array';
import type { Placement } from '../../goal/fill-slots.ts';

/** A goal with what fills it. */
export interface FilledGoal {
	/** It keeps its copies for itself: others cannot use them. */
	readonly keepsOwn: boolean;
	readonly placements: readonly Placement[];
}

/**
 * How many cards of each copy no goal needs. Goals share their copies, but those that keep theirs for themselves.
 * Copies that no goal needs at all are whole spares.
 *
 * @param copies keys with how many cards each holds
 * @example spareCards([{ key: 'a', quantity: 3 }], [{ keepsOwn: false, placements: [{ slot: 's', copy: 'a' }] }]) // new Map([['a', 2]])
 */
export function spareCards(
	copies: readonly { readonly key: string; readonly quantity: number }[],
	goals: readonly FilledGoal[]
): ReadonlyMap<string, number> {
	const shared = new Map<string, number>();
	const kept = new Map<string, number>();
	for (const { keepsOwn, placements } of goals) {
		const used = rollup(
			placements,
			(some) => some.length,
			({ copy }) => copy
		);
		for (const [copy, count] of used) {
			if (keepsOwn) kept.set(copy, (kept.get(copy) ?? 0) + count);
			else shared.set(copy, Math.max(shared.get(copy) ?? 0, count));
		}
	}
	return new Map(
		copies.flatMap(({ key, quantity }) => {
			const left = quantity - Math.max(shared.get(key) ?? 0, kept.get(key) ?? 0);
			return left > 0 ? [[key, left] as const] : [];
		})
	);
}
