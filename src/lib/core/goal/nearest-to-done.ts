import type { ProgressRow } from './progress.ts';

/**
 * The section that is done soonest: begun, not complete, and short of the fewest cards; of equal
 * ones the larger, then the first. Null where nothing is begun or everything is complete.
 */
export function nearestToDone<Row extends Pick<ProgressRow, 'have' | 'need'>>(
	rows: readonly Row[]
): Row | null {
	const open = rows.filter(({ have, need }) => have > 0 && have < need);
	return open.reduce<Row | null>((best, row) => {
		if (best === null) return row;
		const less = row.need - row.have - (best.need - best.have);
		return less < 0 || (less === 0 && row.need > best.need) ? row : best;
	}, null);
}
