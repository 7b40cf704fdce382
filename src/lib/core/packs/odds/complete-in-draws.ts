import { sum } from 'd3-array';
import type { PackClass } from '../profile/pack-profile.ts';

/**
 * The chance that nothing is lacking after 0, 1, … `most` cards drawn singly, each put back: classes with weights of their
 * own, several copies lacking. Cards are split in two parts, the draws that go to each part are binomial, and each part is
 * complete by itself; parts that are alike are worked out once. All terms are positive.
 */
export function completeInDraws(classes: readonly PackClass[], most: number): Float64Array {
	const parts = classes.filter(({ cards, weight }) => cards > 0 && weight > 0);
	const never = classes.some(
		({ cards, weight, lacking }) => cards > 0 && weight === 0 && lacking > 0
	);
	if (never) return new Float64Array(most + 1);
	const joined = parts.map((part) => ({
		weight: part.cards * part.weight,
		complete: completeOfClass(part.cards, part.lacking, most)
	}));
	// Cards that are not lacking take draws as one part that is always complete.
	return joined
		.sort((a, b) => a.weight - b.weight)
		.reduce(
			(all, part) => ({
				weight: all.weight + part.weight,
				complete: merge(all, part, most)
			}),
			{ weight: 0, complete: new Float64Array(most + 1).fill(1) }
		).complete;
}

/** The same for one class, equal cards: halves of halves. */
function completeOfClass(cards: number, lacking: number, most: number): Float64Array {
	if (lacking === 0) return new Float64Array(most + 1).fill(1);
	const single = Float64Array.from({ length: most + 1 }, (_, d) => (d >= lacking ? 1 : 0));
	const known = new Map<number, Float64Array>([[1, single]]);
	const of = (count: number): Float64Array => {
		const found = known.get(count);
		if (found) return found;
		const half = Math.floor(count / 2);
		const made = merge(
			{ weight: half, complete: of(half) },
			{ weight: count - half, complete: of(count - half) },
			most
		);
		known.set(count, made);
		return made;
	};
	return of(cards);
}

interface Part {
	readonly weight: number;
	readonly complete: Float64Array;
}

/** Both parts complete, for each number of draws that go to either. */
function merge(a: Part, b: Part, most: number): Float64Array {
	if (a.weight === 0) return b.complete;
	const share = a.weight / (a.weight + b.weight);
	const odds = share / (1 - share);
	const [first, second] = [a.complete, b.complete];
	// As `binomial` does, from the likeliest on; written out, for it is done for every number of draws.
	return Float64Array.from({ length: most + 1 }, (_, d) => {
		const mode = Math.min(d, Math.floor((d + 1) * share));
		let whole = 1;
		let found = (first[mode] as number) * (second[d - mode] as number);
		for (let k = mode, each = 1; k < d; k++) {
			each *= ((d - k) / (k + 1)) * odds;
			if (each < NOTHING) break;
			whole += each;
			found += each * (first[k + 1] as number) * (second[d - k - 1] as number);
		}
		for (let k = mode, each = 1; k > 0; k--) {
			each *= k / (d - k + 1) / odds;
			if (each < NOTHING) break;
			whole += each;
			found += each * (first[k - 1] as number) * (second[d - k + 1] as number);
		}
		return found / whole;
	});
}

/** Beside the likeliest nothing. */
const NOTHING = 1e-19;

/**
 * Cards on average that are drawn singly until nothing is lacking. Drawn at the moments of a Poisson process every card
 * comes by itself, so the mean is the integral of the chance that something is lacking (Flajolet, Gardy and Thimonier
 * 1992, from memory). Infinity: never.
 *
 * @example Math.round(expectedDraws([{ cards: 2, weight: 1, lacking: 1 }]) * 1e6) / 1e6 // 3
 */
export function expectedDraws(classes: readonly PackClass[]): number {
	const whole = sum(classes, ({ cards, weight }) => cards * weight);
	const isOpen = classes.some(({ cards, lacking }) => cards > 0 && lacking > 0);
	if (!isOpen) return 0;
	return openTime(
		classes.map(({ cards, weight, lacking }) => ({
			...{ cards, lacking },
			rate: whole === 0 ? 0 : weight / whole
		})),
		0
	);
}

/** Cards that come by themselves, each so often in a unit of time. */
export interface RatedCards {
	readonly cards: number;
	readonly lacking: number;
	readonly rate: number;
}

/** Strips of the integral: about nine digits are right. */
const STRIPS = 2400;

/** How long from a time on something is lacking on average. By Simpson's rule over the logarithm, for rare and common cards differ by powers of ten. */
export function openTime(rated: readonly RatedCards[], from: number): number {
	const lacking = rated.filter((part) => part.cards > 0 && part.lacking > 0);
	if (lacking.length === 0) return 0;
	if (lacking.some(({ rate }) => rate <= 0)) return Infinity;
	const open = (t: number) => {
		const complete = sum(
			lacking,
			(part) => part.cards * Math.log1p(-poissonBelow(part.lacking, t * part.rate))
		);
		return -Math.expm1(complete);
	};
	return openArea(open, Math.min(...lacking.map(({ rate }) => rate)), from);
}

/**
 * The integral of a chance over all time from a moment on, of one that falls about as e to the minus rate times time.
 *
 * @param open the chance at a time, not rising
 * @param slowest the rate by which it falls in the end
 */
export function openArea(open: (time: number) => number, slowest: number, from = 0): number {
	let end = 1 / slowest;
	while (open(from + end) > 1e-17) end *= 1.25;
	const start = end * 1e-12;
	const width = (Math.log(end) - Math.log(start)) / STRIPS;
	const area = sum(Array(STRIPS + 1).keys(), (i) => {
		const t = start * Math.exp(i * width);
		const times = i === 0 || i === STRIPS ? 1 : i % 2 === 1 ? 4 : 2;
		return times * open(from + t) * t;
	});
	return start * open(from) + (area * width) / 3;
}

/** The chance of fewer than so many, where `mean` come on average. */
function poissonBelow(count: number, mean: number): number {
	let [term, total] = [Math.exp(-mean), 0];
	for (let x = 0; x < count; x++) {
		total += term;
		term *= mean / (x + 1);
	}
	return Math.min(1, total);
}
