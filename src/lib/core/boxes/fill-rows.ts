/** A run of cards that stands together in rows. */
export interface RowRun {
	readonly key: string;
	/** How long it is with its divider and its growth slack, in micrometres. */
	readonly um: number;
}

/** A part of a run in a row; `of` is the run's length. */
export interface RowPart {
	readonly key: string;
	readonly um: number;
}

export interface FilledRows {
	/** Row by row, through all boxes. */
	readonly rows: readonly (readonly RowPart[])[];
	readonly boxes: number;
	/** Runs that lie over the border of two boxes, and over that of two rows of one box. */
	readonly brokenOverBoxes: readonly string[];
	readonly brokenOverRows: readonly string[];
}

interface State {
	readonly row: number;
	/** Micrometres used of it. */
	readonly used: number;
	readonly overBoxes: number;
	readonly overRows: number;
	/** The state before the last run, and where that run begins. */
	readonly before: State | null;
	readonly from: { readonly row: number; readonly used: number };
}

/**
 * Fills rows in order like the lines of a paragraph: the fewest boxes, then the fewest runs broken over
 * boxes, then the fewest broken over rows, then the fewest rows. A dynamic programme: of all ways to
 * have stood so many runs only those are kept that end earlier or break fewer (to end earlier is never
 * worse, for a gap may be left).
 *
 * @param rowUm length of a row; @param rowsABox how many rows a box has
 * @throws RangeError where a row has no length or a box no row
 */
export function fillRows(runs: readonly RowRun[], rowUm: number, rowsABox: number): FilledRows {
	if (!(rowUm > 0) || !(rowsABox >= 1)) {
		throw new RangeError(`fillRows: rows of ${rowUm}, ${rowsABox} a box`);
	}
	const start = { row: 0, used: 0 };
	let front: readonly State[] = [
		{ ...start, overBoxes: 0, overRows: 0, before: null, from: start }
	];
	// Without any gap the runs take the fewest boxes; who leaves more gaps than those hold is out.
	let left = runs.reduce((sum, { um }) => sum + um, 0);
	const room = Math.ceil(left / (rowUm * rowsABox)) * rowUm * rowsABox;
	for (const { um } of runs) {
		left -= um;
		front = fewest(
			front
				.flatMap((state) => ways(state, um, rowUm, rowsABox))
				.filter(({ row, used }) => row * rowUm + used + left <= room)
		);
	}
	const boxesOf = ({ row, used }: State) => Math.ceil((used > 0 ? row + 1 : row) / rowsABox);
	const best = [...front].sort(
		(a, b) =>
			boxesOf(a) - boxesOf(b) ||
			a.overBoxes - b.overBoxes ||
			a.overRows - b.overRows ||
			a.row - b.row ||
			a.used - b.used
	)[0];
	return best ? layOut(best, runs, rowUm, rowsABox) : emptyRows;
}

const emptyRows: FilledRows = { rows: [], boxes: 0, brokenOverBoxes: [], brokenOverRows: [] };

/** A run begins where the last one ended, or in the next row, or in the next box; what does not fit breaks. */
function ways(state: State, um: number, rowUm: number, rowsABox: number): readonly State[] {
	const begins = [{ row: state.row, used: state.used }];
	if (state.used > 0) begins.push({ row: state.row + 1, used: 0 });
	const nextBox = (Math.floor(state.row / rowsABox) + 1) * rowsABox;
	if (nextBox > state.row + 1 || (state.used === 0 && state.row % rowsABox !== 0)) {
		begins.push({ row: nextBox, used: 0 });
	}
	return begins
		.filter(({ used }) => used < rowUm)
		.map((from): State => {
			const end = from.used + um;
			const rowsOn = Math.max(0, Math.ceil(end / rowUm) - 1);
			const last = from.row + rowsOn;
			const borders = rowsOn;
			const boxBorders = Math.floor(last / rowsABox) - Math.floor(from.row / rowsABox);
			return {
				row: last,
				used: end - rowsOn * rowUm,
				overBoxes: state.overBoxes + (boxBorders > 0 ? 1 : 0),
				overRows: state.overRows + (borders > boxBorders ? 1 : 0),
				before: state,
				from
			};
		});
}

/** States that no other beats in where it ends and in what it breaks. */
function fewest(states: readonly State[]): readonly State[] {
	const inOrder = [...states].sort(
		(a, b) =>
			a.row - b.row || a.used - b.used || a.overBoxes - b.overBoxes || a.overRows - b.overRows
	);
	const kept: State[] = [];
	for (const state of inOrder) {
		const last = kept.at(-1);
		const isBetter =
			!last ||
			state.overBoxes < last.overBoxes ||
			(state.overBoxes === last.overBoxes && state.overRows < last.overRows);
		if (isBetter) kept.push(state);
	}
	return kept;
}

function layOut(end: State, runs: readonly RowRun[], rowUm: number, rowsABox: number): FilledRows {
	const begins: { readonly row: number; readonly used: number }[] = [];
	for (let state: State = end; state.before; state = state.before) begins.unshift(state.from);
	const rows: RowPart[][] = [];
	const brokenOverBoxes: string[] = [];
	const brokenOverRows: string[] = [];
	runs.forEach(({ key, um }, i) => {
		let { row, used } = begins[i] ?? { row: 0, used: 0 };
		let left = um;
		const first = row;
		do {
			while (rows.length <= row) rows.push([]);
			const part = Math.min(left, rowUm - used);
			rows[row]?.push({ key, um: part });
			left -= part;
			if (left > 0) {
				row++;
				used = 0;
			}
		} while (left > 0);
		const boxBorders = Math.floor(row / rowsABox) - Math.floor(first / rowsABox);
		if (boxBorders > 0) brokenOverBoxes.push(key);
		if (row - first > boxBorders) brokenOverRows.push(key);
	});
	return { rows, boxes: Math.ceil(rows.length / rowsABox), brokenOverBoxes, brokenOverRows };
}
