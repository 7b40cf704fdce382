import { at } from '../../at.ts';
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

/**
 * Ways to have stood so many runs, by where they end. Kept as plain numbers beside each other: there are
 * hundreds of ways for each of thousands of runs.
 */
interface Front {
	/** Where the last run ends, in micrometres through all rows; rising. */
	readonly ends: number[];
	/** Runs broken over boxes, and over rows, so far; falling, in this order. */
	readonly overBoxes: number[];
	readonly overRows: number[];
	/** The way before it, and where the last run begins. */
	readonly before: number[];
	readonly begins: number[];
}

const emptyFront = (): Front => ({ ends: [], overBoxes: [], overRows: [], before: [], begins: [] });
/** Parts of a micrometre that sums may be off. */
const OFF = 1e-6;

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
	const boxUm = rowUm * rowsABox;
	// Without any gap the runs take the fewest boxes; who leaves more gaps than those hold is out.
	let left = runs.reduce((sum, { um }) => sum + um, 0);
	const room = Math.ceil((left - OFF) / boxUm) * boxUm;
	let last: Front = { ends: [0], overBoxes: [0], overRows: [0], before: [-1], begins: [0] };
	/** Of each run only what leads back to the runs before it. */
	const back: Pick<Front, 'before' | 'begins'>[] = [];
	for (const { um } of runs) {
		left -= um;
		last = next(last, um, room - left, rowUm, rowsABox);
		back.push({ before: last.before, begins: last.begins });
	}
	const boxesOf = (end: number) => Math.ceil((end - OFF) / boxUm);
	const [best] = last.ends
		.map((end, at) => ({
			at,
			end,
			boxes: boxesOf(end),
			overBoxes: last.overBoxes[at] as number,
			overRows: last.overRows[at] as number
		}))
		.sort(
			(a, b) =>
				a.boxes - b.boxes || a.overBoxes - b.overBoxes || a.overRows - b.overRows || a.end - b.end
		);
	if (!best || runs.length === 0) return emptyRows;
	const begins: number[] = [];
	let at = best.at;
	for (const step of back.reverse()) {
		begins.push(step.begins[at] as number);
		at = step.before[at] as number;
	}
	return layOut(begins.reverse(), runs, rowUm, rowsABox);
}

/**
 * The ways with one more run: it begins where the last one ended, or in the next row, or in the next box;
 * what does not fit breaks. Each of the three is in order already, so they are merged, and what another
 * way beats in where it ends and in what it breaks is dropped.
 */
function next(front: Front, um: number, most: number, rowUm: number, rowsABox: number): Front {
	const boxUm = rowUm * rowsABox;
	const kept = emptyFront();
	const count = front.ends.length;
	const place = [0, 0, 0];
	/** Where the run begins on each of the three ways, of the way that is next there; Infinity: none is left. */
	const beginOn = (way: number): number => {
		for (; (place[way] as number) < count; place[way] = (place[way] as number) + 1) {
			const end = front.ends[place[way] as number] as number;
			const row = Math.ceil((end - OFF) / rowUm) * rowUm;
			const box = Math.ceil((end - OFF) / boxUm) * boxUm;
			const begin = way === 0 ? end : way === 1 ? row : box;
			// The same as an earlier way is no way of its own.
			if ((way === 1 && row - end <= OFF) || (way === 2 && box - row <= OFF)) continue;
			if (begin + um <= most + OFF) return begin;
			place[way] = count;
		}
		return Infinity;
	};
	const begins = [beginOn(0), beginOn(1), beginOn(2)] as [number, number, number];
	for (;;) {
		const way =
			begins[0] <= begins[1] ? (begins[0] <= begins[2] ? 0 : 2) : begins[1] <= begins[2] ? 1 : 2;
		const begin = begins[way];
		if (begin === Infinity) return kept;
		const before = place[way] as number;
		const first = Math.floor((begin + OFF) / rowUm);
		const last = Math.max(first, Math.ceil((begin + um - OFF) / rowUm) - 1);
		const borders = Math.floor(last / rowsABox) - Math.floor(first / rowsABox);
		const overBoxes = (front.overBoxes[before] as number) + (borders > 0 ? 1 : 0);
		const overRows = (front.overRows[before] as number) + (last - first > borders ? 1 : 0);
		const end = begin + um;
		const top = kept.ends.length - 1;
		const isFirst = top < 0;
		const fewer =
			isFirst ||
			overBoxes < (kept.overBoxes[top] as number) ||
			(overBoxes === kept.overBoxes[top] && overRows < (kept.overRows[top] as number));
		if (fewer) {
			// Of ways that end at the same place the one that breaks the fewest stays.
			const isSame = !isFirst && end - (kept.ends[top] as number) <= OFF;
			const at = isSame ? top : top + 1;
			kept.ends[at] = end;
			kept.overBoxes[at] = overBoxes;
			kept.overRows[at] = overRows;
			kept.before[at] = before;
			kept.begins[at] = begin;
		}
		place[way] = before + 1;
		begins[way] = beginOn(way);
	}
}

const emptyRows: FilledRows = { rows: [], boxes: 0, brokenOverBoxes: [], brokenOverRows: [] };

function layOut(
	begins: readonly number[],
	runs: readonly RowRun[],
	rowUm: number,
	rowsABox: number
): FilledRows {
	const rows: RowPart[][] = [];
	const brokenOverBoxes: string[] = [];
	const brokenOverRows: string[] = [];
	runs.forEach(({ key, um }, i) => {
		const begin = at(begins, i);
		let row = Math.floor((begin + OFF) / rowUm);
		let used = Math.max(0, begin - row * rowUm);
		let left = um;
		const first = row;
		do {
			while (rows.length <= row) rows.push([]);
			const part = Math.min(left, rowUm - used);
			rows[row]?.push({ key, um: part });
			left -= part;
			if (left > OFF) {
				row++;
				used = 0;
			}
		} while (left > OFF);
		const boxBorders = Math.floor(row / rowsABox) - Math.floor(first / rowsABox);
		if (boxBorders > 0) brokenOverBoxes.push(key);
		if (row - first > boxBorders) brokenOverRows.push(key);
	});
	return { rows, boxes: Math.ceil(rows.length / rowsABox), brokenOverBoxes, brokenOverRows };
}
