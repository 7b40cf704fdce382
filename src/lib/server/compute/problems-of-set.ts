import type { BoxedSet } from '../../core/storage/plan/choose-box.ts';
import type { Problem } from '../../core/problem.ts';

/** What cannot be of a set that is to be boxed: more of its numbers there than cards, or than it has. */
export function problemsOfSet(
	{ cards, need, have }: BoxedSet,
	pointer: string
): readonly Problem[] {
	const limit = Math.min(cards, need);
	if (have <= limit) return [];
	return [
		{
			pointer: `${pointer}/have`,
			field: 'have',
			message: `${have} numbers cannot be there with ${cards} cards of ${need} numbers`,
			remedy: `At most ${limit}: have counts numbers once, doubles are cards.`
		}
	];
}
