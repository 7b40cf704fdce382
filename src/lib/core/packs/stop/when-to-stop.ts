import { group, sum } from 'd3-array';
import type { PackProfile } from '../profile/pack-profile.ts';
import { bestCombination } from './best-combination.ts';
import { covarianceOf } from './card-pairs.ts';
import { missingCopies } from './missing-copies.ts';
import { stopCards, type PricedClass, type StopCards } from './stop-cards.ts';

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

/** What can be bought: packs of one kind, or a format of several. */
export interface StopOption extends Omit<PackOption, 'profile'> {
	/** Packs of each kind in one of it. */
	readonly opens: readonly number[];
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
 * kind of pack alone, and the best of all kinds together (exact for each card, but for what a box guarantees, which is
 * reckoned as odds, and different cards a pack of unequal weights; the best combination by going from the best
 * of one kind to better neighbours until there is none; tests hold it against trying them all).
 *
 * @param priced by group key: its classes with prices, as the profiles have them
 * @param formats made of packs of these kinds
 */
export function whenToStop(
	options: readonly PackOption[],
	priced: ReadonlyMap<string, readonly PricedClass[]>,
	formats: readonly StopOption[] = []
): StopPlan {
	const kinds = options.map(({ profile }) => profile);
	const has = kinds.map(({ groups }) => new Set(groups.map(({ key }) => key)));
	const cards = [...priced].flatMap(([group, classes]) =>
		classes.map(({ weight, ...part }) => ({
			...part,
			comes: has.map((keys) => (keys.has(group) ? { group, weight } : null))
		}))
	);
	return stopPlan(
		[
			...options.map((option, t) => ({
				...option,
				opens: options.map((_, u) => (u === t ? 1 : 0))
			})),
			...formats
		],
		stopCards(kinds, cards)
	);
}

/** The same for kinds of packs, and formats made of several, that have cards in groups of their own. */
export function stopPlan(options: readonly StopOption[], cards: readonly StopCards[]): StopPlan {
	/** Packs of each kind. */
	const opened = (packs: readonly number[]) =>
		(options[0]?.opens ?? []).map((_, k) =>
			sum(options, ({ opens }, t) => (packs[t] ?? 0) * (opens[k] ?? 0))
		);
	const costOf = (packs: readonly number[]) =>
		averageCost(
			sum(options, ({ priceMinor }, t) => priceMinor * (packs[t] ?? 0)),
			cards,
			opened(packs)
		);
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
			const spread = NINE_IN_TEN * Math.sqrt(varianceOf(cards, opened(alone(packs))));
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
				card.lacking > 0
					? card.cards * sum(card.laws, (law, k) => (law?.rate ?? 0) * (option.opens[k] ?? 0))
					: 0
			),
			isAtMost: units > 0 && best === units
		};
	});
	const combined = bestCombination(
		options,
		costOf,
		curves.map(({ best }) => best.packs)
	);
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

interface AverageCost {
	readonly paid: number;
	readonly singles: number;
	readonly brought: number;
	readonly missing: number;
	readonly total: number;
}

/** @param packs of each kind */
function averageCost(
	paid: number,
	cards: readonly StopCards[],
	packs: readonly number[]
): AverageCost {
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

/** How far the cost varies, of so many packs of each kind: of every two cards, whether both come. */
function varianceOf(cards: readonly StopCards[], packs: readonly number[]): number {
	const priced = cards
		.filter(({ laws }) => laws.some((law, k) => law && (packs[k] ?? 0) > 0))
		.map(({ laws, cards: count, lacking, singleMinor, extraMinor }) => {
			const missMinor = lacking === 1 ? singleMinor - extraMinor : 0;
			return { laws, count, missMinor, extraMinor };
		});
	// Cards that come alike are taken together: what two sums vary together is linear in them.
	const alike = group(priced, ({ laws }) =>
		laws.map((law) => (law ? `${law.law.group.key} ${law.part}` : '')).join('\n')
	);
	const sums = [...alike.values()].flatMap((some) => {
		const [first] = some;
		if (!first) return [];
		const missMinor = sum(some, (each) => each.count * each.missMinor);
		const extraMinor = sum(some, (each) => each.count * each.extraMinor);
		return [{ laws: first.laws, missMinor, extraMinor }];
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
