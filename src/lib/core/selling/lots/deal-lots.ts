import { group, sum } from 'd3-array';

/** Cards that go. Amounts in minor units of one currency. */
export interface SaleCards {
	readonly key: string;
	/** Name of the release, and of the part of it and finish: "Base", "Fresnel, Brass". */
	readonly release: string;
	readonly group: string;
	/** Base and subsets in the base finish are base; inserts, extras and parallels are not. */
	readonly isBase: boolean;
	readonly quantity: number;
	/** What each is worth; null: no price is known. */
	readonly eachMinor: number | null;
}

/** From a value on, cards go to a channel: by themselves or in lots. */
export interface ValueBand {
	readonly fromMinor: number;
	readonly channel: string;
	readonly as: 'single' | 'lot';
	/** The most cards of a lot. */
	readonly mostCards: number;
}

/** By what it is decided how cards are sold. Shares from 0 to 1, or above. */
export interface LotRules {
	/** The lowest first; what is worth less than the first says goes by it, too. */
	readonly bands: readonly ValueBand[];
	/** What is asked, and the least that is taken, of what a card is worth. */
	readonly askShare: number;
	readonly floorShare: number;
	/** What a lot brings of what its cards are worth one by one. */
	readonly lotShare: number;
	/**
	 * What a base card without a known price counts as; null: it is not dealt, but told, as are inserts and parallels in any
	 * case: a hard one must not go in a lot of commons.
	 */
	readonly unpricedMinor: number | null;
}

/** Cards to be offered together. */
export interface DealtLot {
	readonly as: 'single' | 'lot';
	readonly channel: string;
	readonly release: string;
	/** The parts and finishes that are in it. */
	readonly groups: readonly string[];
	readonly cards: readonly { readonly key: string; readonly quantity: number }[];
	readonly count: number;
	/** What its cards are worth one by one, in minor units. */
	readonly worthMinor: number;
	readonly askMinor: number;
	readonly floorMinor: number;
	/** What of the worth is only assumed. */
	readonly assumedMinor: number;
}

export interface DealtLots {
	readonly lots: readonly DealtLot[];
	/** Cards for sale of which no price is known, where the rules say nothing of such. */
	readonly unpriced: readonly { readonly key: string; readonly quantity: number }[];
}

/**
 * Lots and singles by rule: each card goes by the highest band that its value reaches; singles one by one, the others in lots
 * of one release and channel, as even in number as may be. The dearest come first.
 *
 * @throws RangeError for no band, or bands that do not rise
 */
export function dealLots(going: readonly SaleCards[], rules: LotRules): DealtLots {
	const { bands } = rules;
	if (bands.length === 0) throw new RangeError('dealLots: there is no band');
	if (bands.some(({ fromMinor }, i) => i > 0 && fromMinor <= (bands[i - 1]?.fromMinor ?? 0))) {
		throw new RangeError(`dealLots: bands ${bands.map((band) => band.fromMinor).join()}`);
	}
	const dealt = going.flatMap((cards) => {
		const worthMinor = worthOf(cards, rules);
		if (worthMinor === null || cards.quantity === 0) return [];
		const band = bands.findLast(({ fromMinor }) => fromMinor <= worthMinor) ?? bands[0];
		return band ? [{ cards, quantity: cards.quantity, worthMinor, band }] : [];
	});
	const singles = dealt.filter(({ band }) => band.as === 'single');
	const together = [
		...group(
			dealt.filter(({ band }) => band.as === 'lot'),
			({ cards, band }) => `${cards.release}\n${band.channel}\n${band.fromMinor}`
		).values()
	];
	const lots = [
		...singles.flatMap((each) =>
			Array.from({ length: each.quantity }, () => lotOf([{ ...each, quantity: 1 }], rules))
		),
		...together.flatMap((some) => inEvenLots(some).map((each) => lotOf(each, rules)))
	];
	return {
		lots: lots.sort((a, b) => b.askMinor - a.askMinor),
		unpriced: going.flatMap((cards) =>
			worthOf(cards, rules) === null && cards.quantity > 0
				? [{ key: cards.key, quantity: cards.quantity }]
				: []
		)
	};
}

/** What each card counts as; null: nothing is known, and nothing may be assumed. */
function worthOf({ eachMinor, isBase }: SaleCards, { unpricedMinor }: LotRules): number | null {
	return eachMinor ?? (isBase ? unpricedMinor : null);
}

interface Dealt {
	readonly cards: SaleCards;
	readonly quantity: number;
	readonly worthMinor: number;
	readonly band: ValueBand;
}

/** Parts cards in their order into as few lots as the band lets, whose sizes differ by one at most. */
function inEvenLots(some: readonly Dealt[]): readonly (readonly Dealt[])[] {
	const most = Math.max(1, some[0]?.band.mostCards ?? 1);
	const count = sum(some, ({ quantity }) => quantity);
	const lots = Math.ceil(count / most);
	const sizes = Array.from(
		{ length: lots },
		(_, i) => Math.floor(count / lots) + (i < count % lots ? 1 : 0)
	);
	const queue = some.map((each) => ({ ...each }));
	return sizes.map((size) => {
		const lot: Dealt[] = [];
		let room = size;
		for (const each of queue) {
			const quantity = Math.min(room, each.quantity);
			if (quantity === 0) continue;
			lot.push({ ...each, quantity });
			each.quantity -= quantity;
			room -= quantity;
		}
		return lot;
	});
}

function lotOf(some: readonly Dealt[], rules: LotRules): DealtLot {
	const [first] = some;
	if (!first) throw new RangeError('lotOf: no card');
	const count = sum(some, ({ quantity }) => quantity);
	const { channel } = first.band;
	// A lot of one card is a single.
	const as = count === 1 ? 'single' : first.band.as;
	const worthMinor = sum(some, (each) => each.worthMinor * each.quantity);
	const together = as === 'lot' ? worthMinor * rules.lotShare : worthMinor;
	const askMinor = roundAsking(together * rules.askShare);
	return {
		...{ as, channel, release: first.cards.release },
		groups: [...new Set(some.map(({ cards }) => cards.group))],
		cards: some.map(({ cards, quantity }) => ({ key: cards.key, quantity })),
		count,
		...{ worthMinor, askMinor },
		floorMinor: Math.min(askMinor, Math.round(together * rules.floorShare)),
		assumedMinor: sum(some, ({ cards, worthMinor: each, quantity }) =>
			cards.eachMinor === null ? each * quantity : 0
		)
	};
}

/**
 * An asking price as people write it: up to the next 5 below 100, the next 25 below 1,000, the next 50 below 10,000, else the
 * next 100, all in minor units. An assumption of ours.
 *
 * @example [roundAsking(0), roundAsking(12), roundAsking(401), roundAsking(1001)] // [0, 15, 425, 1050]
 */
export function roundAsking(minor: number): number {
	const step = minor < 100 ? 5 : minor < 1000 ? 25 : minor < 10_000 ? 50 : 100;
	return Math.ceil(Math.round(minor * 1e6) / 1e6 / step) * step;
}
