/** What is recorded, or was found, of a version behind a divider. */
export interface StockLine {
	readonly version: string;
	readonly quantity: number;
}

export interface StockDifference extends StockLine {
	readonly sort: 'not there' | 'not recorded';
}

/**
 * What differs between what is recorded behind a divider and what was found there. A version found
 * once stands for all of it that is recorded, as a run of numbers confirms piles; a count of two or more
 * is taken at its word. Of what is out so many may be lacking: it keeps its place, here or behind another divider.
 *
 * @param out cards that are out, by version
 */
export function takeStock(
	recorded: readonly StockLine[],
	found: readonly StockLine[],
	out: readonly StockLine[] = []
): readonly StockDifference[] {
	const expected = sumUp(recorded);
	const seen = sumUp(found);
	const away = sumUp(out);
	const differences: StockDifference[] = [];
	for (const [version, quantity] of expected) {
		const count = seen.get(version) ?? 0;
		const least = quantity - (away.get(version) ?? 0);
		const isConfirmed = count === 1 || count >= least;
		if (!isConfirmed) differences.push({ version, quantity: least - count, sort: 'not there' });
	}
	for (const [version, quantity] of seen) {
		const more = quantity - (expected.get(version) ?? 0);
		if (more > 0) differences.push({ version, quantity: more, sort: 'not recorded' });
	}
	return differences;
}

function sumUp(lines: readonly StockLine[]): ReadonlyMap<string, number> {
	const sums = new Map<string, number>();
	for (const { version, quantity } of lines) {
		sums.set(version, (sums.get(version) ?? 0) + quantity);
	}
	return sums;
}
