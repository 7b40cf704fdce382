/**
 * The numbers that never fall and lie nearest to some values: least sum of weighted squares (pooling adjacent violators;
 * Barlow, Bartholomew, Bremner, Brunk 1972, Statistical Inference under Order Restrictions, 1.2).
 *
 * @param weights above 0, as many as values
 * @throws RangeError where they are not
 * @example isotonicFit([3, 7, 5, 9, 8, 7, 10], [1, 1, 1, 1, 1, 1, 1]) // [3, 6, 6, 8, 8, 8, 10]
 */
export function isotonicFit(
	values: readonly number[],
	weights: readonly number[]
): readonly number[] {
	const isWrong = weights.length !== values.length || weights.some((weight) => !(weight > 0));
	if (isWrong) {
		throw new RangeError(`isotonicFit: weights ${weights.join(', ')} of ${values.length} values`);
	}
	const blocks: { mean: number; weight: number; count: number }[] = [];
	for (const [i, value] of values.entries()) {
		let block = { mean: value, weight: weights[i] ?? 1, count: 1 };
		for (let last = blocks.at(-1); last && last.mean > block.mean; last = blocks.at(-1)) {
			blocks.pop();
			const weight = last.weight + block.weight;
			const mean = (last.mean * last.weight + block.mean * block.weight) / weight;
			block = { mean, weight, count: last.count + block.count };
		}
		blocks.push(block);
	}
	return blocks.flatMap(({ mean, count }) => Array<number>(count).fill(mean));
}
