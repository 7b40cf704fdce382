import { sum } from 'd3-array';
import type { Placement } from './first-fit.ts';
import { fitBoxes, MOST_FIT_STEPS } from './fit-boxes.ts';
import type { Size, Turning } from './turned-box.ts';

/** Boxes of one kind that are to be sent. */
export interface ParcelBox extends Size {
	readonly key: string;
	readonly turning: Turning;
	/** Of each, filled. */
	readonly grams: number;
	readonly quantity: number;
}

/** A kind of parcel: its inner size, what it may weigh, what it costs. */
export interface ParcelKind extends Size {
	readonly key: string;
	/** With everything in it. */
	readonly mostGrams: number;
	/** Its own weight, with padding. */
	readonly tareGrams: number;
	/** What it costs up to so many grams in all, in minor units; the lightest first. A flat rate has one. */
	readonly rates: readonly { readonly upToGrams: number; readonly priceMinor: number }[];
}

/** A parcel as it is packed. */
export interface PackedParcel {
	readonly parcel: string;
	/** How many of each kind of box are in it. */
	readonly counts: readonly { readonly box: string; readonly quantity: number }[];
	/** Where each lies; the key is the kind of the box. */
	readonly placements: readonly Placement[];
	readonly grams: number;
	readonly priceMinor: number;
}

export interface ParcelPlan {
	readonly parcels: readonly PackedParcel[];
	readonly totalMinor: number;
	/** No other way is cheaper. False: in some cases neither a packing nor a proof was found in time, and it was taken not to go. */
	readonly isProven: boolean;
	/** Boxes that go into no parcel, alone: by size or by weight. */
	readonly left: readonly { readonly box: string; readonly quantity: number }[];
}

/** What is looked at: so many different ways to have some of the boxes. */
export const MOST_SELECTIONS = 3000;
/** Steps of all searches together; when they are used up, each case gets few. */
const ALL_STEPS = 4 * MOST_FIT_STEPS;
const FEW_STEPS = 500;

/** Of each kind of box so many. */
type Counts = readonly number[];

/**
 * How many different selections of some boxes there are: the product of the quantities, each plus one.
 *
 * @example selectionsOf([{ quantity: 3 }, { quantity: 1 }]) // 8
 */
export function selectionsOf(boxes: readonly { readonly quantity: number }[]): number {
	return boxes.reduce((product, { quantity }) => product * (quantity + 1), 1);
}

/**
 * The cheapest parcels for some boxes to one buyer: over all ways to part them, each part in the cheapest parcel that it goes
 * into.
 *
 * @throws RangeError for more than `MOST_SELECTIONS` selections
 */
export function cheapestParcels(
	boxes: readonly ParcelBox[],
	kinds: readonly ParcelKind[]
): ParcelPlan {
	if (selectionsOf(boxes) > MOST_SELECTIONS) {
		throw new RangeError(`cheapestParcels: ${selectionsOf(boxes)} selections`);
	}
	const ground = new Ground(boxes, kinds);
	const alone = boxes.map((_, i) => ground.cheapest(boxes.map((__, j) => (i === j ? 1 : 0))));
	const goes = boxes.map(({ quantity }, i) => (alone[i] ? quantity : 0));
	const left = boxes.flatMap(({ key, quantity }, i) =>
		alone[i] || quantity === 0 ? [] : [{ box: key, quantity }]
	);
	const best = new Map<string, { readonly minor: number; readonly first: Counts | null }>();
	const solve = (counts: Counts): number => {
		const known = best.get(counts.join());
		if (known) return known.minor;
		let found: { minor: number; first: Counts | null } = { minor: Infinity, first: null };
		const at = counts.findIndex((count) => count > 0);
		if (at < 0) found = { minor: 0, first: null };
		// The parcel that holds the first box comes first: each way to part them is met once.
		for (const part of at < 0 ? [] : partsWith(counts, at)) {
			const single = ground.cheapest(part);
			if (!single || single.minor >= found.minor) continue;
			const minor = single.minor + solve(less(counts, part));
			if (minor < found.minor) found = { minor, first: part };
		}
		best.set(counts.join(), found);
		return found.minor;
	};
	const totalMinor = solve(goes);
	const parcels: PackedParcel[] = [];
	for (let counts: Counts = goes; counts.some((count) => count > 0);) {
		const part = best.get(counts.join())?.first;
		if (!part) throw new RangeError('cheapestParcels: boxes that go alone were left');
		parcels.push(ground.packed(part));
		counts = less(counts, part);
	}
	return { parcels, totalMinor, isProven: ground.isProven, left };
}

/** What goes into which parcel, each case looked at once. */
class Ground {
	isProven = true;
	private steps = 0;
	private readonly known = new Map<string, { kind: ParcelKind; minor: number } | null>();
	private readonly fitting = new Map<string, { fits: Counts[]; fails: Counts[] }>();

	constructor(
		private readonly boxes: readonly ParcelBox[],
		private readonly kinds: readonly ParcelKind[]
	) {}

	/** The cheapest parcel into which these go together; null: none. */
	cheapest(counts: Counts): { readonly kind: ParcelKind; readonly minor: number } | null {
		const known = this.known.get(counts.join());
		if (known !== undefined) return known;
		const inside = sum(this.boxes, ({ grams }, i) => grams * (counts[i] ?? 0));
		const found =
			this.kinds
				.flatMap((kind) => {
					const grams = inside + kind.tareGrams;
					const rate = kind.rates.find(({ upToGrams }) => grams <= upToGrams);
					return rate && grams <= kind.mostGrams ? [{ kind, minor: rate.priceMinor }] : [];
				})
				.sort((a, b) => a.minor - b.minor)
				.find(({ kind }) => this.goes(counts, kind)) ?? null;
		this.known.set(counts.join(), found);
		return found;
	}

	/** Whether they go in; what is more than what does not go does not go, what is less than what goes goes. */
	private goes(counts: Counts, kind: ParcelKind): boolean {
		const { fits, fails } = this.fitting.get(kind.key) ?? { fits: [], fails: [] };
		this.fitting.set(kind.key, { fits, fails });
		if (fits.some((other) => isWithin(counts, other))) return true;
		if (fails.some((other) => isWithin(other, counts))) return false;
		const { verdict, steps } = fitBoxes(
			this.boxesOf(counts),
			kind,
			this.steps > ALL_STEPS ? FEW_STEPS : MOST_FIT_STEPS
		);
		this.steps += steps;
		if (verdict === 'gave up') this.isProven = false;
		(verdict === 'fits' ? fits : fails).push(counts);
		return verdict === 'fits';
	}

	packed(counts: Counts): PackedParcel {
		const single = this.cheapest(counts);
		if (!single) throw new RangeError('cheapestParcels: a part goes nowhere');
		const { kind, minor: priceMinor } = single;
		return {
			parcel: kind.key,
			counts: this.boxes.flatMap(({ key: box }, i) => {
				const quantity = counts[i] ?? 0;
				return quantity > 0 ? [{ box, quantity }] : [];
			}),
			placements: this.placements(counts, kind),
			grams: sum(this.boxes, ({ grams }, i) => grams * (counts[i] ?? 0)) + kind.tareGrams,
			priceMinor
		};
	}

	/** Where these lie: as they were found, or as more of them were. */
	private placements(counts: Counts, kind: ParcelKind): readonly Placement[] {
		const direct = fitBoxes(this.boxesOf(counts), kind);
		if (direct.verdict === 'fits') return direct.placements;
		const more =
			this.fitting.get(kind.key)?.fits.find((other) => isWithin(counts, other)) ?? counts;
		const left = new Map(this.boxes.map(({ key }, i) => [key, counts[i] ?? 0]));
		return fitBoxes(this.boxesOf(more), kind).placements.filter(({ key }) => {
			const rest = left.get(key) ?? 0;
			left.set(key, rest - 1);
			return rest > 0;
		});
	}

	private boxesOf(counts: Counts) {
		return this.boxes.flatMap((box, i) => Array<ParcelBox>(counts[i] ?? 0).fill(box));
	}
}

/** Parts of some counts that hold a first box of a kind, the fullest first. */
function partsWith(counts: Counts, at: number): readonly Counts[] {
	let parts: readonly number[][] = [[]];
	for (const [i, count] of counts.entries()) {
		const least = i === at ? 1 : 0;
		parts = parts.flatMap((part) =>
			Array.from({ length: count - least + 1 }, (_, n) => [...part, count - n])
		);
	}
	return parts;
}

function less(counts: Counts, part: Counts): Counts {
	return counts.map((count, i) => count - (part[i] ?? 0));
}

function isWithin(part: Counts, whole: Counts): boolean {
	return part.every((count, i) => count <= (whole[i] ?? 0));
}
