import { compareMarks } from './school.ts';
import type { RowRun } from './fill-rows.ts';

/** A run with what it is ordered by. */
export interface MarkedRun extends RowRun {
	readonly marks: readonly string[];
}

export interface StandingRow {
	readonly key: string;
	readonly rowUm: number;
	readonly runs: readonly MarkedRun[];
}

/** Where a new run goes: into which row, behind how many of those that stand there then. */
export interface AddedRun {
	readonly run: string;
	readonly row: string;
	readonly at: number;
}

/**
 * Stands new runs between those that are there, in order, without moving any: behind the last that
 * goes before it, in that row or at the front of the next one, where there is room. What finds none is
 * left over, for boxes of its own.
 */
export function addToRows(
	rows: readonly StandingRow[],
	added: readonly MarkedRun[]
): { readonly placed: readonly AddedRun[]; readonly left: readonly MarkedRun[] } {
	const standing = rows.map(({ key, rowUm, runs }) => ({
		key,
		free: rowUm - runs.reduce((sum, { um }) => sum + um, 0),
		runs: [...runs]
	}));
	const placed: AddedRun[] = [];
	const left: MarkedRun[] = [];
	for (const run of [...added].sort((a, b) => compareMarks(a.marks, b.marks))) {
		const before = (other: MarkedRun) => compareMarks(other.marks, run.marks) <= 0;
		const last = standing.findLastIndex(({ runs }) => runs.some(before));
		const at = last < 0 ? 0 : (standing[last]?.runs.findLastIndex(before) ?? -1) + 1;
		const isAtEnd = last >= 0 && at === standing[last]?.runs.length;
		const choices = [
			{ row: Math.max(0, last), at },
			...(isAtEnd ? [{ row: last + 1, at: 0 }] : [])
		];
		const choice = choices.find(({ row }) => (standing[row]?.free ?? -1) >= run.um);
		const standingRow = choice && standing[choice.row];
		if (!choice || !standingRow) {
			left.push(run);
			continue;
		}
		standingRow.runs.splice(choice.at, 0, run);
		standingRow.free -= run.um;
		placed.push({ run: run.key, row: standingRow.key, at: choice.at });
	}
	return { placed, left };
}
