import type { StopPlan } from './when-to-stop.ts';

/** What to do, in a word. */
export type StopAdvice =
	/** Singles cost less. */
	| { readonly sort: 'none' }
	/** Extra copies bring more than a pack costs: as many as there are. */
	| { readonly sort: 'all' }
	/** So many whole boxes, then singles. */
	| { readonly sort: 'boxes'; readonly boxes: number }
	| { readonly sort: 'packs'; readonly packs: number };

/** Whole boxes are told where they cost no more than this part over the best number of packs: packs come in boxes. */
const AS_GOOD = 0.02;

/**
 * What a plan for packs and boxes of one kind advises.
 *
 * @param stop its options are `pack` and, where the packs come in boxes, `box`
 */
export function stopAdvice({ options, isNone }: StopPlan): StopAdvice {
	const single = options.find(({ key }) => key === 'pack');
	const box = options.find(({ key }) => key === 'box');
	if (isNone || !single || single.best.packs === 0) return { sort: 'none' };
	if (single.isAtMost) return { sort: 'all' };
	const most = single.best.totalMinor + AS_GOOD * Math.abs(single.best.totalMinor);
	return box && box.best.packs > 0 && box.best.totalMinor <= most
		? { sort: 'boxes', boxes: box.best.packs / box.next.packs }
		: { sort: 'packs', packs: single.best.packs };
}
