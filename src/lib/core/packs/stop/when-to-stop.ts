import { group, sum } from 'd3-array';
import { groupLaws, type GroupLaw } from '../odds/group-law.ts';
import { slotsOf, type PackClass, type PackProfile } from '../profile/pack-profile.ts';
import { covarianceOf, type CardLaw } from './card-pairs.ts';

/** Cards of a group with what they cost singly and what one too many brings. */
export interface PricedClass extends PackClass {
	/** A single with its share of postage; what is lacking costs this in the end. In minor units. */
	readonly singleMinor: number;
	/** What a copy brings that fills nothing: sold, or in trade. */
	readonly extraMinor: number;
}

/** A kind of pack that may be opened. Groups of one key are the same cards in every kind. */
export interface PackOption {
	readonly key: string;
	readonly profile: PackProfile;
	/** Of one pack. */
	readonly priceMinor: number;
	/** Packs that are bought together: a box; 1: singly. */
	readonly packsTogether: number;
	/** The most packs there are of it. */
	readonly most: number;
}

/** What so many packs cost in the end, on average. */
export interface CostAt {
	readonly packs: number;
	/** Paid for packs. */
	readonly packsMinor: number;
	/** Singles that are still missing then. */
	readonly singlesMinor: number;
	/** What copies bring that fill nothing. */
	readonly broughtMinor: number;
	/** Packs and singles less what is brought. */
	readonly totalMinor: number;
	/** In nine cases of ten it lies about between these. */
	readonly lowMinor: number;
	readonly highMinor: number;
	/** Lacking copies that are missing still, on average. */
	readonly missing: number;
}

/** One kind of pack alone. */
export interface OptionCurve {
	readonly key: string;
	readonly curve: readonly CostAt[];
	readonly best: CostAt;
	/** What the next packs, bought together, bring now: singles that need not be bought, and extra copies. */
	readonly next: {
		readonly packs: number;
		readonly costMinor: number;
		readonly bringsMinor: number;
	};
	/** Lacking copies that a pack brings now, on average. */
	readonly newAPack: number;
	/** The best is at the most packs there are: more would be better still. */
	readonly isAtMost: boolean;
}

export interface StopPlan {
	/** Without opening any. */
	readonly noneMinor: number;
	readonly options: readonly OptionCurve[];
	/** The best of all kinds together: packs of each, and what that costs in the end. */
	readonly best: {
		readonly packs: readonly { readonly key: string; readonly packs: number }[];
		readonly totalMinor: number;
		readonly savedMinor: number;
	};
	/** Open none: singles cost less. */
	readonly isNone: boolean;
}

/** Points of a curve that are told, at most. */
const POINTS = 120;
/** The quantile of the normal law beyond which lies a twentieth. */
const NINE_IN_TEN = 1.6448536269514722;

/**
 * When to stop opening: what packs cost, with the singles that will still be missing, less what extra copies bring; for each
 * kind of pack alone, and the best of all kinds together (exact for each card; the best combination by going from the best
 * of one kind to better neighbours until there is none; tests hold it against trying them all).
 *
 * @param priced by group key: its classes with prices, as the profiles have them
 */
export function whenToStop(
	options: readonly PackOption[],
	priced: ReadonlyMap<string, readonly PricedClass[]>
): StopPlan {
	const cards = cardsOf(options, priced);
	const costOf = (packs: readonly number[]) => averageCost(options, cards, packs);
	const none = costOf(options.map(() => 0));
	const curves = options.map((option, t): OptionCurve => {
		const units = Math.floor(option.most / option.packsTogether);
		const alone = (packs: number) => options.map((_, u) => (u === t ? packs : 0));
		const totals = Array.from({ length: units + 1 }, (_, n) =>
			costOf(alone(n * option.packsTogether))
		);
		let best = 0;
		for (const [n, { total }] of totals.entries()) {
			if (total < (totals[best]?.total ?? Infinity) - 1e-9) best = n;
		}
		const told = new Set(
			Array.from({ length: POINTS + 1 }, (_, i) => Math.round((units * i) / POINTS))
		);
		told.add(best);
		const at = (n: number): CostAt => {
			const packs = n * option.packsTogether;
			const { paid, singles, brought, missing, total } = costOf(alone(packs));
			const spread = NINE_IN_TEN * Math.sqrt(varianceOf(cards, t, packs));
			return {
				...{ packs, packsMinor: paid, singlesMinor: singles, broughtMinor: brought },
				...{ totalMinor: total, lowMinor: total - spread, highMinor: total + spread, missing }
			};
		};
		const step = totals[1];
		const next = option.packsTogether * option.priceMinor;
		return {
			key: option.key,
			curve: [...told].sort((a, b) => a - b).map(at),
			best: at(best),
			next: {
				...{ packs: option.packsTogether, costMinor: next },
				bringsMinor: step ? none.total + next - step.total : 0
			},
			newAPack: sum(cards, (card) =>
				card.lacking > 0 ? card.cards * (card.laws[t]?.rate ?? 0) : 0
			),
			isAtMost: units > 0 && best === units
		};
	});
	const combined = bestCombination(options, costOf, curves);
	return {
		noneMinor: none.total,
		options: curves,
		best: {
			packs: options.map(({ key }, t) => ({ key, packs: combined.packs[t] ?? 0 })),
			totalMinor: combined.total,
			savedMinor: none.total - combined.total
		},
		isNone: combined.packs.every((packs) => packs === 0)
	};
}

/** Cards of a class, and how they come in each kind of pack. */
interface StopCards extends PricedClass {
	readonly laws: readonly (CardLaw | null)[];
}

function cardsOf(
	options: readonly PackOption[],
	priced: ReadonlyMap<string, readonly PricedClass[]>
): readonly StopCards[] {
	const laws = options.map(({ profile }) => {
		const all = groupLaws(profile, slotsOf(profile));
		return new Map(all.map((law) => [law.group.key, law]));
	});
	return [...priced].flatMap(([key, classes]) =>
		classes.map((part, c): StopCards => ({
			...part,
			laws: laws.map((byKey) => {
				const law = byKey.get(key);
				return law ? cardLaw(law, c) : null;
			})
		}))
	);
}

/** How one card of a class comes in a pack. */
function cardLaw(law: GroupLaw, c: number): CardLaw {
	const { draws } = law;
	const { classes, comes } = law.group;
	const whole = sum(classes, ({ cards, weight }) => cards * weight);
	const part = whole === 0 ? 0 : (classes[c]?.weight ?? 0) / whole;
	// Drawn singly a card may come twice in a pack; then each of the pack's cards is a try.
	const tries = comes.sort === 'count' && !comes.isAllDifferent ? comes.count : 1;
	const mean = sum(draws, ({ count, chance }) => count * chance);
	return { law, part, rate: mean * part, tries };
}

interface AverageCost {
	readonly paid: number;
	readonly singles: number;
	readonly brought: number;
	readonly missing: number;
	readonly total: number;
}

function averageCost(
	options: readonly PackOption[],
	cards: readonly StopCards[],
	packs: readonly number[]
): AverageCost {
	const paid = sum(options, ({ priceMinor }, t) => priceMinor * (packs[t] ?? 0));
	let [singles, brought, missing] = [0, 0, 0];
	for (const { cards: count, lacking, singleMinor, extraMinor, laws } of cards) {
		const mean = sum(laws, (law, t) => (law ? law.rate * (packs[t] ?? 0) : 0));
		const short = missingCopies(laws, packs, lacking);
		missing += count * short;
		singles += count * short * singleMinor;
		brought += count * (mean - (lacking - short)) * extraMinor;
	}
	return { paid, singles, brought, missing, total: paid + singles - brought };
}

/** Copies of a card that are missing of those lacking, on average. */
function missingCopies(
	laws: readonly (CardLaw | null)[],
	packs: readonly number[],
	lacking: number
): number {
	if (lacking === 0) return 0;
	/** The chance of 0, 1, … copies, below what is lacking. */
	let few = [1, ...Array<number>(lacking - 1).fill(0)];
	for (const [t, law] of laws.entries()) {
		const opened = packs[t] ?? 0;
		if (!law || opened === 0) continue;
		const n = opened * law.tries;
		const rate = Math.min(1, law.rate / law.tries);
		if (rate >= 1) return Math.max(0, lacking - n);
		const chances = few.map(() => 0);
		let each = Math.exp(n * Math.log1p(-rate));
		for (let k = 0; k < lacking && k <= n; k++) {
			for (let i = 0; i + k < lacking; i++) {
				chances[i + k] = (chances[i + k] as number) + (few[i] as number) * each;
			}
			each *= ((n - k) / (k + 1)) * (rate / (1 - rate));
		}
		few = chances;
	}
	return few.reduce((all, chance, k) => all + chance * (lacking - k), 0);
}

/** How far the cost of one kind of pack alone varies: of every two cards, whether both come. */
function varianceOf(cards: readonly StopCards[], t: number, packs: number): number {
	const priced = cards.flatMap(({ laws, cards: count, lacking, singleMinor, extraMinor }) => {
		const law = laws[t];
		const missMinor = lacking === 1 ? singleMinor - extraMinor : 0;
		return law ? [{ law, count, missMinor, extraMinor }] : [];
	});
	// Cards that come alike are taken together: what two sums vary together is linear in them.
	const alike = [
		...group(
			priced,
			({ law }) => law.law,
			({ law }) => law.part
		).values()
	].flatMap((byPart) => [...byPart.values()]);
	const sums = alike.flatMap((some) => {
		const [first] = some;
		if (!first) return [];
		const missMinor = sum(some, (each) => each.count * each.missMinor);
		return [
			{ law: first.law, missMinor, extraMinor: sum(some, (each) => each.count * each.extraMinor) }
		];
	});
	let variance = 0;
	for (const [i, a] of sums.entries()) {
		for (const [j, b] of sums.entries()) {
			if (j >= i) variance += (j > i ? 2 : 1) * covarianceOf(a, b, packs, false);
		}
	}
	// No card is another one than itself.
	for (const card of priced) {
		const alone = covarianceOf(card, card, packs, true) - covarianceOf(card, card, packs, false);
		variance += card.count * alone;
	}
	return Math.max(0, variance);
}

/** From the best of one kind, more or fewer of any, or one kind for another, as long as that costs less. */
function bestCombination(
	options: readonly PackOption[],
	costOf: (packs: readonly number[]) => AverageCost,
	curves: readonly OptionCurve[]
): { readonly packs: readonly number[]; readonly total: number } {
	const none = options.map(() => 0);
	const starts = [
		none,
		...curves.map(({ best }, t) => none.map((_, u) => (u === t ? best.packs : 0)))
	];
	let best = { packs: none as readonly number[], total: costOf(none).total };
	for (const start of starts) {
		let here = { packs: start as readonly number[], total: costOf(start).total };
		for (let stride = 64; stride >= 1;) {
			const found = neighbours(options, here.packs, stride)
				.map((packs) => ({ packs, total: costOf(packs).total }))
				.reduce((least, each) => (each.total < least.total - 1e-9 ? each : least), here);
			if (found === here) stride = Math.floor(stride / 2);
			else here = found;
		}
		if (here.total < best.total - 1e-9) best = here;
	}
	return best;
}

/** A kind more or less by so many units; or one more, and another less by as many packs, or up to three units about that. */
function neighbours(
	options: readonly PackOption[],
	packs: readonly number[],
	stride: number
): readonly (readonly number[])[] {
	const moved = (changes: ReadonlyMap<number, number>) => {
		const next = packs.map(
			(count, t) => count + (changes.get(t) ?? 0) * (options[t]?.packsTogether ?? 1)
		);
		return next.every((count, t) => count >= 0 && count <= (options[t]?.most ?? 0)) ? [next] : [];
	};
	const together = (t: number) => options[t]?.packsTogether ?? 1;
	const kinds = [...options.keys()];
	return kinds.flatMap((t) =>
		[stride, -stride].flatMap((units) => [
			...moved(new Map([[t, units]])),
			...kinds.flatMap((u) => {
				if (u === t) return [];
				const asMany = Math.round((units * together(t)) / together(u));
				return ABOUT.flatMap((more) =>
					moved(
						new Map([
							[t, units],
							[u, more - asMany]
						])
					)
				);
			})
		])
	);
}
const ABOUT = [-3, -2, -1, 0, 1, 2, 3];
