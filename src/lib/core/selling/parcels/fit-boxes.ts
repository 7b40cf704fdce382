import { firstFit, type Placement } from './first-fit.ts';
import { isTooMuch } from './volume-bound.ts';
import { turnedWays, type Sides, type Size, type Turning } from './turned-box.ts';

/** A box that has to go into a parcel. */
export interface FitBox extends Size {
	readonly key: string;
	readonly turning: Turning;
}

/** `gave up`: neither a packing nor a proof was found within the steps that were allowed. */
export type FitVerdict = 'fits' | 'does not fit' | 'gave up';

export interface Fit {
	readonly verdict: FitVerdict;
	/** In the order in which they are laid in: what lies below comes first. */
	readonly placements: readonly Placement[];
	/** Steps of the search. */
	readonly steps: number;
}

/** Steps after which the search gives up: about a second. */
export const MOST_FIT_STEPS = 90_000;

const AXES = [0, 1, 2] as const;

/** One box of the search, with its ways to lie. */
interface Piece {
	readonly key: string;
	/** Boxes of one size and turning share it. */
	readonly kind: string;
	readonly ways: readonly Sides[];
}

/** What is decided: how each piece lies, and for pairs which comes first along which axis. */
interface State {
	readonly sides: readonly Sides[];
	/** Arcs of each axis: the first piece ends before the second begins. */
	readonly arcs: readonly (readonly (readonly [number, number])[])[];
}

/**
 * Whether boxes go into a parcel, each turned as it may be, and how. Exact by relations (after Pisinger and Sigurd 2007): two boxes
 * never share a place, so one lies before, beside or below the other; a pair that still overlaps at the earliest places takes
 * each of these in turn, and a branch ends where a chain of boxes grows longer than the parcel. Boxes come in one by one, the largest
 * first, by volume, then by their longest side, then by their largest face.
 *
 * @param most steps after which it gives up
 */
export function fitBoxes(boxes: readonly FitBox[], parcel: Size, most = MOST_FIT_STEPS): Fit {
	const whole: Sides = [parcel.lengthMm, parcel.widthMm, parcel.heightMm];
	const pieces = boxes.map((box): Piece => {
		const ways = turnedWays(box, box.turning).filter((way) => isWithin(way, whole));
		return { key: box.key, kind: kindOf(box), ways };
	});
	const isHopeless =
		pieces.some(({ ways }) => ways.length === 0) ||
		isTooMuch(
			pieces.map(({ ways }) => ways),
			whole
		);
	if (isHopeless) return { verdict: 'does not fit', placements: [], steps: 0 };
	const orders = [volumeOf, longestOf, faceOf].map((size) =>
		pieces.toSorted((a, b) => size(b) - size(a) || a.kind.localeCompare(b.kind))
	);
	for (const order of orders) {
		const placements = firstFit(order, whole);
		if (placements) return { verdict: 'fits', placements: inOrder(placements), steps: 0 };
	}
	let steps = 0;
	for (const order of orders) {
		// Each order goes astray elsewhere: three short searches find more than a long one.
		const search = new Search(order, whole, Math.ceil(most / 3));
		const found = search.add({ sides: [], arcs: [[], [], []] });
		steps += search.steps;
		if (found)
			return { verdict: 'fits', placements: placed(order, found, whole), steps: Math.round(steps) };
		if (!search.isOver())
			return { verdict: 'does not fit', placements: [], steps: Math.round(steps) };
	}
	return { verdict: 'gave up', placements: [], steps: Math.round(steps) };
}

/** A search through ways to lie and relations, depth first. */
class Search {
	steps = 0;

	/** What a step costs: looking at all pairs and chains; with ten boxes 1. */
	private readonly cost: number;

	constructor(
		private readonly pieces: readonly Piece[],
		private readonly whole: Sides,
		private readonly most: number
	) {
		this.cost = Math.max(1, (pieces.length / 10) ** 3);
	}

	isOver(): boolean {
		return this.steps > this.most;
	}

	/** Brings the next piece in, in each way it may lie; null: it can't be done, or the search is over. */
	add(state: State): State | null {
		const next = this.pieces[state.sides.length];
		if (!next) return state;
		const before = this.pieces[state.sides.length - 1];
		const last = state.sides.at(-1);
		// Of boxes of one kind those that lie the same way come together: each choice is made once.
		const from =
			before?.kind === next.kind && last
				? next.ways.findIndex((way) => way.every((side, i) => side === last[i]))
				: 0;
		for (const way of next.ways.slice(from)) {
			const found = this.part({ ...state, sides: [...state.sides, way] });
			if (found) return found;
			if (this.isOver()) return null;
		}
		return null;
	}

	/** Parts the pair that has the fewest ways left to be parted, until none overlaps; then the next piece comes in. */
	private part(state: State): State | null {
		this.steps += this.cost;
		if (this.isOver()) return null;
		const starts = earliest(state);
		if (!starts || !fitsAll(starts, state.sides, this.whole)) return null;
		const ends = latest(state, this.whole);
		let least: readonly (readonly [axis: number, first: number, second: number])[] | null = null;
		for (let i = 0; i < state.sides.length; i++) {
			for (let j = i + 1; j < state.sides.length; j++) {
				if (!overlap(i, j, starts, state.sides)) continue;
				const ways = this.partings(i, j, starts, ends, state);
				if (!least || ways.length < least.length) least = ways;
				if (least.length === 0) return null;
			}
		}
		if (!least) return this.add(state);
		for (const [axis, first, second] of least) {
			const arcs = state.arcs.map((some, i) =>
				i === axis ? [...some, [first, second] as const] : some
			);
			const found = this.part({ ...state, arcs });
			if (found) return found;
			if (this.isOver()) return null;
		}
		return null;
	}

	/** The ways in which two pieces can be parted: along each axis, either first. Of two alike the earlier lies first along the parcel. */
	private partings(
		i: number,
		j: number,
		starts: readonly (readonly number[])[],
		ends: readonly (readonly number[])[],
		{ sides }: State
	) {
		const isAlike =
			this.pieces[i]?.kind === this.pieces[j]?.kind &&
			AXES.every((axis) => sides[i]?.[axis] === sides[j]?.[axis]);
		return AXES.flatMap((axis) =>
			[[i, j] as const, ...(isAlike && axis === 0 ? [] : [[j, i] as const])].flatMap(
				([first, second]) => {
					const end = (starts[axis]?.[first] ?? 0) + (sides[first]?.[axis] ?? 0);
					return end <= (ends[axis]?.[second] ?? -1) ? [[axis, first, second] as const] : [];
				}
			)
		);
	}
}

/** The earliest place of each piece along each axis, by longest chains; null: a piece would come before itself. */
function earliest({ sides, arcs }: State): readonly (readonly number[])[] | null {
	const all: number[][] = [];
	for (const axis of AXES) {
		const starts = sides.map(() => 0);
		let isMoved = true;
		for (let round = 0; isMoved; round++) {
			if (round > sides.length) return null;
			isMoved = false;
			for (const [first, second] of arcs[axis] ?? []) {
				const end = (starts[first] ?? 0) + (sides[first]?.[axis] ?? 0);
				if (end > (starts[second] ?? 0)) {
					starts[second] = end;
					isMoved = true;
				}
			}
		}
		all.push(starts);
	}
	return all;
}

/** The latest place of each piece along each axis. */
function latest({ sides, arcs }: State, whole: Sides): readonly (readonly number[])[] {
	return AXES.map((axis) => {
		const starts = sides.map((side) => whole[axis] - side[axis]);
		for (let isMoved = true; isMoved;) {
			isMoved = false;
			for (const [first, second] of arcs[axis] ?? []) {
				const start = (starts[second] ?? 0) - (sides[first]?.[axis] ?? 0);
				if (start < (starts[first] ?? 0)) {
					starts[first] = start;
					isMoved = true;
				}
			}
		}
		return starts;
	});
}

function fitsAll(
	starts: readonly (readonly number[])[],
	sides: readonly Sides[],
	whole: Sides
): boolean {
	return AXES.every((axis) =>
		sides.every((side, i) => (starts[axis]?.[i] ?? 0) + side[axis] <= whole[axis])
	);
}

function overlap(
	i: number,
	j: number,
	starts: readonly (readonly number[])[],
	sides: readonly Sides[]
): boolean {
	return AXES.every((axis) => {
		const [a, b] = [starts[axis]?.[i] ?? 0, starts[axis]?.[j] ?? 0];
		return a < b + (sides[j]?.[axis] ?? 0) && b < a + (sides[i]?.[axis] ?? 0);
	});
}

function placed(pieces: readonly Piece[], state: State, whole: Sides): readonly Placement[] {
	const starts = earliest(state);
	if (!starts || !fitsAll(starts, state.sides, whole)) {
		throw new RangeError('fitBoxes: a packing that was found does not hold');
	}
	return inOrder(
		pieces.map(({ key }, i): Placement => {
			const [alongMm, acrossMm, uprightMm] = state.sides[i] ?? [0, 0, 0];
			const [xMm = 0, yMm = 0, zMm = 0] = starts.map((axis) => axis[i] ?? 0);
			return { key, xMm, yMm, zMm, alongMm, acrossMm, uprightMm };
		})
	);
}

/** What lies below comes first, then what lies further back, then from left to right. */
function inOrder(placements: readonly Placement[]): readonly Placement[] {
	return placements.toSorted((a, b) => a.zMm - b.zMm || a.yMm - b.yMm || a.xMm - b.xMm);
}

function kindOf({ lengthMm, widthMm, heightMm, turning }: FitBox): string {
	return `${lengthMm} ${widthMm} ${heightMm} ${turning}`;
}

function volumeOf({ ways: [way = [0, 0, 0]] }: Piece): number {
	return way[0] * way[1] * way[2];
}

function longestOf({ ways: [way = [0, 0, 0]] }: Piece): number {
	return Math.max(...way);
}

/** The largest side. */
function faceOf({ ways: [way = [0, 0, 0]] }: Piece): number {
	return (way[0] * way[1] * way[2]) / Math.min(...way);
}

function isWithin(way: Sides, whole: Sides): boolean {
	return AXES.every((axis) => way[axis] <= whole[axis]);
}
