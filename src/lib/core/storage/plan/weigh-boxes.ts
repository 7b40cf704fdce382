import { boxKindOf, type BoxKind } from '../kinds/box-kind.ts';
import { boxWeight, type BoxWeight } from '../room/box-weight.ts';
import type { PlannedBox, ShelvedSet } from './plan-boxes.ts';

/**
 * What planned boxes weigh with the cards that are there today. Of a set that is broken over boxes each
 * has its share by length, rounded to whole cards; strays stand together.
 *
 * @throws RangeError for an unknown box kind
 */
export function weighBoxes(
	boxes: readonly PlannedBox[],
	sets: readonly ShelvedSet[],
	kinds?: readonly BoxKind[]
): readonly (BoxWeight & { readonly box: number; readonly cards: number })[] {
	const known = new Map(sets.map((set) => [set.key, set]));
	const lengths = new Map<string, number>();
	for (const { sets: keys, um } of boxes.flatMap(({ rows }) =>
		rows.flatMap((row) => row.entries)
	)) {
		for (const key of keys) lengths.set(key, (lengths.get(key) ?? 0) + um);
	}
	return boxes.map(({ box, kind, rows }) => {
		const parts = rows
			.flatMap(({ entries }) => entries)
			.flatMap(({ sets: keys, um }) =>
				keys.flatMap((key) => {
					const set = known.get(key);
					if (!set) return [];
					const count = Math.round((set.cards * um) / (lengths.get(key) || um));
					const { stockPt } = set;
					return [{ count, ...(stockPt === undefined ? {} : { format: { stockPt } }) }];
				})
			);
		const cards = parts.reduce((sum, { count }) => sum + count, 0);
		const small = rows.flatMap(({ entries }) =>
			entries.flatMap(({ smallBox }) =>
				smallBox === undefined ? [] : [boxKindOf(smallBox, kinds)]
			)
		);
		const tareG = [boxKindOf(kind, kinds), ...small].reduce((sum, each) => sum + each.tareG, 0);
		return { box, cards, ...boxWeight(parts, tareG) };
	});
}
