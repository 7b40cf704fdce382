import { median } from 'd3-array';

/** A line through points of which many may be wrong: value = at + slope × place. */
export interface RobustLine {
	readonly at: number;
	readonly slope: number;
	/** The part of the points that lie on it. */
	readonly share: number;
	/** How many lie on it, and their standard deviation from it. */
	readonly count: number;
	readonly deviation: number;
}

/** A value that was found at a place. */
export interface PlacedValue {
	readonly place: number;
	readonly value: number;
}

/** Points that the slope is taken from: all pairs of so many. */
const MOST_FOR_SLOPE = 80;
/** Points that lie further off than this many times the usual distance are not of the line. */
const FAR = 3;

/**
 * The line that most points lie on: the median of all slopes (Theil 1950, Sen 1968), then least squares over the points near
 * it. Up to a quarter of wrong points do no harm. Null: fewer than three points.
 *
 * @param near points within this distance lie on it in any case
 * @example robustLine([{ place: 0, value: 1 }, { place: 1, value: 3 }, { place: 2, value: 5 }, { place: 3, value: 90 }, { place: 4, value: 9 }], 0.5)?.slope // 2
 */
export function robustLine(points: readonly PlacedValue[], near: number): RobustLine | null {
	if (points.length < 3) return null;
	const step = Math.max(1, Math.floor(points.length / MOST_FOR_SLOPE));
	const some = points.filter((_, i) => i % step === 0);
	const slopes = some.flatMap((a, i) =>
		some
			.slice(i + 1)
			.flatMap((b) => (a.place === b.place ? [] : [(b.value - a.value) / (b.place - a.place)]))
	);
	const first = median(slopes);
	if (first === undefined) return null;
	let line = { slope: first, at: median(points, ({ place, value }) => value - first * place) ?? 0 };
	let on = points;
	for (let round = 0; round < 3; round++) {
		const { slope, at } = line;
		const off = ({ place, value }: PlacedValue) => Math.abs(value - at - slope * place);
		const usual = 1.4826 * (median(points, off) ?? 0);
		on = points.filter((point) => off(point) <= Math.max(near, FAR * Math.min(usual, near)));
		line = leastSquares(on) ?? line;
	}
	const { slope, at } = line;
	const squares = on.reduce((sum, { place, value }) => sum + (value - at - slope * place) ** 2, 0);
	return {
		...{ at, slope, share: on.length / points.length, count: on.length },
		deviation: Math.sqrt(squares / Math.max(1, on.length - 2))
	};
}

function leastSquares(points: readonly PlacedValue[]) {
	const n = points.length;
	if (n < 2) return null;
	const mean = (of: (point: PlacedValue) => number) =>
		points.reduce((sum, point) => sum + of(point), 0) / n;
	const [place, value] = [mean((point) => point.place), mean((point) => point.value)];
	const spread = points.reduce((sum, point) => sum + (point.place - place) ** 2, 0);
	if (spread === 0) return null;
	const slope =
		points.reduce((sum, point) => sum + (point.place - place) * (point.value - value), 0) / spread;
	return { slope, at: value - slope * place };
}
