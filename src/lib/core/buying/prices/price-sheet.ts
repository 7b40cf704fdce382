import { groups, sum } from 'd3-array';
import { neighbourPrices } from './neighbour-price.ts';
import { flagPrices, type PriceFlag } from './price-flags.ts';
import { middleOf, type Price } from '../../worth/prices/price.ts';
import type { Lump, PricedWant } from './priced-want.ts';
import { isKeyCard, neighbourhoodOf } from './sheet-want.ts';
import type { KnownPrice } from './typical-price.ts';

/**
 * How the price of a line is known. `lump`: a share of one sum. `estimate`: the median of its neighbours.
 * `unknown`: nothing is known, and fewer than three neighbours have a price.
 */
export const PRICE_BASES = ['sale', 'asking', 'estimate', 'lump', 'neighbours', 'unknown'] as const;
export type PriceBasis = (typeof PRICE_BASES)[number];

/** A line of the sheet: one want, or all that one sum was said for. Prices are of the whole line. */
export interface SheetLine extends Price {
	/** Key of the (first) want, or of the lump. */
	readonly key: string;
	readonly wants: readonly string[];
	/** Cards of the line. */
	readonly quantity: number;
	readonly basis: PriceBasis;
	readonly isKey: boolean;
	/** The day (ISO 8601) of the latest point it comes from. */
	readonly on?: string;
	readonly reason?: string;
	readonly flag?: PriceFlag;
	/** Bought alone, its postage would cost more than the card. */
	readonly isDearByPost: boolean;
	/** The sum of this line and all before it. */
	readonly running: Price;
}

/** What is missing from cheap to dear, with what it comes to. */
export interface PriceSheet {
	/** Lines with a price, from cheap to dear by the middle of one card; then those without. */
	readonly lines: readonly SheetLine[];
	readonly total: Price;
	/** Cards by how their price is known. */
	readonly counts: Readonly<Record<PriceBasis, number>>;
	/** The part of the total (its middle) that is estimated from neighbours, 0 to 1. */
	readonly estimatedShare: number;
	/** The part of the total (its middle) that key cards make, 0 to 1. */
	readonly keyShare: number;
}

/**
 * The price sheet of what is missing. A want with a price of its own takes no part in a lump; a lump that
 * was said for more cards than are missing now (or for fewer) counts by its share. What has no price is estimated by the
 * median of its neighbours (and marked so), or counted as unknown: it is in no sum.
 *
 * @param postageMinor what the postage of a seller comes to, in minor units
 * @param known all cards whose prices tell what others are worth: those that are not missing too
 */
export function priceSheet(
	slots: readonly PricedWant[],
	lumps: readonly Lump[],
	postageMinor: number,
	known: readonly PricedWant[] = slots
): PriceSheet {
	const wants = mergeSets(slots);
	const flags = flagPrices(
		wants.flatMap((want) =>
			want.price
				? [
						{
							key: want.key,
							neighbourhood: neighbourhoodOf(want),
							minor: middleOf(want.price),
							beforeMinor: want.beforeMinor,
							reason: want.price.reason
						}
					]
				: []
		)
	);
	const lumpOf = new Map(lumps.flatMap((lump) => lump.versions.map((version) => [version, lump])));
	const inLump = new Map<string, MergedWant[]>();
	const single: RawLine[] = [];
	const open: MergedWant[] = [];
	for (const want of wants) {
		const lump = want.price ? undefined : want.versions.map((key) => lumpOf.get(key)).find(Boolean);
		if (want.price) single.push(lineOf(want, want.price, flags.get(want.key)));
		else if (lump) inLump.set(lump.key, [...(inLump.get(lump.key) ?? []), want]);
		else open.push(want);
	}
	const together = lumps.flatMap((lump) => lumpLine(lump, inLump.get(lump.key) ?? []));
	const estimate = neighbourPrices(known, lumps);
	const guessed = open.map((want) => guessLine(want, estimate(want)));
	const priced = [...single, ...together, ...guessed.filter(({ basis }) => basis !== 'unknown')];
	const unknown = guessed.filter(({ basis }) => basis === 'unknown');
	const perCard = ({ quantity, ...price }: RawLine) => middleOf(price) / quantity;
	const ordered = [...priced.sort((a, b) => perCard(a) - perCard(b)), ...unknown];
	let [low, high] = [0, 0];
	const lines = ordered.map((line): SheetLine => {
		low += line.lowMinor;
		high += line.highMinor;
		const isDearByPost =
			line.basis !== 'unknown' && line.basis !== 'lump' && middleOf(line) < postageMinor;
		return { ...line, isDearByPost, running: { lowMinor: low, highMinor: high } };
	});
	const middle = sum(lines, middleOf);
	const shareOf = (some: readonly SheetLine[]) => (middle === 0 ? 0 : sum(some, middleOf) / middle);
	const counts = Object.fromEntries(
		PRICE_BASES.map((basis) => [
			basis,
			sum(lines, (line) => (line.basis === basis ? line.quantity : 0))
		])
	) as Record<PriceBasis, number>;
	return {
		lines,
		total: { lowMinor: low, highMinor: high },
		counts,
		estimatedShare: shareOf(lines.filter(({ basis }) => basis === 'neighbours')),
		keyShare: shareOf(lines.filter(({ isKey }) => isKey))
	};
}

interface MergedWant extends PricedWant {
	readonly slots: readonly string[];
}

/** The same card missing in several sets is one line. */
function mergeSets(slots: readonly PricedWant[]): readonly MergedWant[] {
	return groups(slots, ({ versions }) => versions.join(' ')).flatMap(([, same]) => {
		const [first] = same;
		if (!first) return [];
		const quantity = sum(same, (slot) => slot.quantity);
		return [{ ...first, quantity, slots: same.map(({ key }) => key) }];
	});
}

type RawLine = Omit<SheetLine, 'isDearByPost' | 'running'>;

function lineOf(want: MergedWant, price: KnownPrice, flag: PriceFlag | undefined): RawLine {
	const { key, quantity } = want;
	return {
		key,
		wants: want.slots,
		quantity,
		lowMinor: price.lowMinor * quantity,
		highMinor: price.highMinor * quantity,
		basis: price.kind,
		isKey: isKeyCard(want),
		on: price.on,
		...(price.reason === undefined ? {} : { reason: price.reason }),
		...(flag ? { flag } : {})
	};
}

/** All that is left of a lump: its sum by the share of cards that are still missing. */
function lumpLine(lump: Lump, wants: readonly MergedWant[]): readonly RawLine[] {
	const quantity = sum(wants, (want) => want.quantity);
	if (quantity === 0) return [];
	const share = quantity / lump.cards;
	return [
		{
			key: lump.key,
			wants: wants.flatMap((want) => want.slots),
			quantity,
			lowMinor: Math.round(lump.lowMinor * share),
			highMinor: Math.round(lump.highMinor * share),
			basis: 'lump',
			isKey: false,
			...(lump.reason === undefined ? {} : { reason: lump.reason })
		}
	];
}

function guessLine(want: MergedWant, estimate: Price | null): RawLine {
	const { key, quantity } = want;
	return {
		key,
		wants: want.slots,
		quantity,
		lowMinor: (estimate?.lowMinor ?? 0) * quantity,
		highMinor: (estimate?.highMinor ?? 0) * quantity,
		basis: estimate ? 'neighbours' : 'unknown',
		isKey: isKeyCard(want)
	};
}
