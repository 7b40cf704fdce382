import { fillRows, type RowRun } from './fill-rows.ts';

export interface Respacing {
	/** The rows that are stood anew, from–to, both included. */
	readonly from: number;
	readonly to: number;
	readonly rows: readonly (readonly RowRun[])[];
	/** Runs that change their row. */
	readonly moved: readonly string[];
}

/**
 * Makes room where a row has become too full: the fewest neighbouring rows that hold everything
 * between them are stood anew, so that as little as possible moves. Null where nothing is too full;
 * `undefined` where even all rows together are.
 */
export function respace(
	rows: readonly (readonly RowRun[])[],
	rowUm: number
): Respacing | null | undefined {
	const lengths = rows.map((row) => row.reduce((sum, { um }) => sum + um, 0));
	const full = lengths.findIndex((length) => length > rowUm);
	if (full < 0) return null;
	for (let size = 2; size <= rows.length; size++) {
		const found = Array.from({ length: size }, (_, i) => full - i)
			.filter((from) => from >= 0 && from + size <= rows.length)
			.flatMap((from) => standAnew(rows.slice(from, from + size), from, rowUm))
			.sort((a, b) => a.broken - b.broken || a.moved.length - b.moved.length);
		const [best] = found;
		if (best) {
			const { broken: _, ...respacing } = best;
			return respacing;
		}
	}
	return undefined;
}

/** Some rows stood anew, with how many runs that breaks; none where they do not hold everything. */
function standAnew(
	own: readonly (readonly RowRun[])[],
	from: number,
	rowUm: number
): readonly (Respacing & { readonly broken: number })[] {
	const filled = fillRows(own.flat(), rowUm, own.length);
	if (filled.boxes > 1) return [];
	const rows = own.map((_, i) => filled.rows[i] ?? []);
	const before = new Map(own.flatMap((row, i) => row.map(({ key }) => [key, i] as const)));
	const moved = rows.flatMap((row, i) =>
		row.filter(({ key }) => before.get(key) !== i).map(({ key }) => key)
	);
	const to = from + own.length - 1;
	return [{ from, to, rows, moved: [...new Set(moved)], broken: filled.brokenOverRows.length }];
}
