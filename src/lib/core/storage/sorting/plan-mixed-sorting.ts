import { group, sum } from 'd3-array';
import { compareTitles } from '../../checklist/numbers/compare-card-numbers.ts';
import { at } from '../../at.ts';
import {
	bestPasses,
	sortingWays,
	USUAL_TIMES,
	type SortingPlan,
	type SortingTimes
} from './plan-sorting.ts';

/** Cards of a set in a mixed pile. */
export interface MixedSet {
	readonly key: string;
	readonly maker: string;
	readonly year: string;
	/** Release and section, as they are told. */
	readonly name: string;
	readonly cards: number;
	/** Of these, cards too thick for a row of others: they are laid apart. Left out: none. */
	readonly thick?: number;
	/** How many numbers the set has; of a set without numbers, titles. */
	readonly entries: number;
	readonly isNumbered: boolean;
}

/** What cards are split by, in order. */
export const MIXED_LEVELS = ['maker', 'year', 'set'] as const;
export type MixedLevel = (typeof MIXED_LEVELS)[number];

/** A dealing that splits cards into piles. */
export interface MixedStep {
	/** Which pile is dealt: "Gullhaven Card Works", "Gullhaven Card Works, 1994"; empty: the whole. */
	readonly of: string;
	/** By what: maker, year, set, or several at once; empty: only the thick ones come apart. */
	readonly by: readonly MixedLevel[];
	readonly cards: number;
	readonly piles: readonly { readonly name: string; readonly cards: number }[];
	/** Piles of each pass, where the room takes fewer than there are; else one pass. */
	readonly passes: readonly number[];
	readonly seconds: number;
}

/** A set that lies by itself, and how it is sorted. */
export interface MixedSetPlan extends Pick<MixedSet, 'key' | 'name' | 'cards'> {
	readonly order: 'number' | 'letters';
	readonly plan: SortingPlan;
}

export interface MixedPlan {
	readonly steps: readonly MixedStep[];
	/** In the order in which they stand then: by maker, year, set. */
	readonly sets: readonly MixedSetPlan[];
	/** Cards that are laid apart because they are thick. */
	readonly thick: number;
	readonly seconds: number;
}

/** The name of the pile of thick cards. */
export const THICK = 'thick cards';

/**
 * How to sort a mixed pile: split by maker, year and set, at once or one after the other, whichever takes
 * less time with the room there is, then each set by number, or by letters where it has none. Thick cards
 * come apart in the first dealing. Exact for splits that follow this order.
 *
 * @throws RangeError where `mostPiles` is no whole number ≥ 1, or a set has no card, no entry, or more thick cards than cards
 */
export function planMixedSorting(
	sets: readonly MixedSet[],
	mostPiles: number,
	times: SortingTimes = USUAL_TIMES
): MixedPlan {
	if (!Number.isInteger(mostPiles) || mostPiles < 1) {
		throw new RangeError(`planMixedSorting: ${mostPiles} piles`);
	}
	for (const { key, cards, entries, thick = 0 } of sets) {
		if (cards < 1 || entries < 1 || thick < 0 || thick > cards) {
			throw new RangeError(
				`planMixedSorting: ${cards} cards, ${thick} thick, ${entries} entries of "${key}"`
			);
		}
	}
	const ordered = [...sets].sort(
		(a, b) =>
			compareTitles(a.maker, b.maker) ||
			compareTitles(a.year, b.year) ||
			compareTitles(a.name, b.name) ||
			(a.key < b.key ? -1 : 1)
	);
	const thick = sum(sets, ({ thick: of = 0 }) => of);
	const { steps } = split(ordered, 0, thick);
	const planned = ordered.flatMap((set): MixedSetPlan[] => {
		const cards = thin(set);
		if (cards === 0) return [];
		const [plan] = sortingWays(cards, set.entries, mostPiles, times);
		if (!plan) throw new RangeError(`planMixedSorting: no way to sort "${set.key}"`);
		return [
			{ key: set.key, name: set.name, cards, order: set.isNumbered ? 'number' : 'letters', plan }
		];
	});
	const seconds = sum(steps, (step) => step.seconds) + sum(planned, ({ plan }) => plan.seconds);
	return { steps, sets: planned, thick, seconds };

	/** The quickest dealings of sets that agree in the first `depth` levels, with so many thick cards among them. */
	function split(
		of: readonly MixedSet[],
		depth: number,
		apart: number
	): { readonly steps: readonly MixedStep[]; readonly seconds: number } {
		let best: { steps: readonly MixedStep[]; seconds: number } | null = null;
		for (let to = depth + 1; to <= MIXED_LEVELS.length; to++) {
			const parts = [...group(of, (set) => labelOf(set, to)).entries()];
			const below = parts.map(([, part]) => split(part, to, 0));
			const rest = {
				steps: below.flatMap((each) => each.steps),
				seconds: sum(below, (each) => each.seconds)
			};
			const step = parts.length > 1 ? stepOf(of, depth, to, parts, apart) : null;
			const whole = {
				steps: [...(step ? [step] : []), ...rest.steps],
				seconds: rest.seconds + (step?.seconds ?? 0)
			};
			if (!best || whole.seconds < best.seconds) best = whole;
		}
		const found = best ?? { steps: [], seconds: 0 };
		if (depth > 0 || apart === 0 || found.steps.some((step) => step.of === '')) return found;
		// Nothing is dealt: the thick ones come apart by themselves.
		const cards = sum(of, (set) => set.cards);
		const lone = at(of, 0);
		const step = dealt(
			{ of: '', by: [], cards },
			[
				{ name: lone.name, cards: cards - apart },
				{ name: THICK, cards: apart }
			].filter((pile) => pile.cards > 0)
		);
		return { steps: [step, ...found.steps], seconds: found.seconds + step.seconds };
	}

	function stepOf(
		of: readonly MixedSet[],
		depth: number,
		to: number,
		parts: readonly (readonly [string, readonly MixedSet[]])[],
		apart: number
	): MixedStep {
		const piles = parts.map(([name, part]) => ({ name, cards: sum(part, thin) }));
		return dealt(
			{
				of: depth === 0 ? '' : labelOf(at(of, 0), depth),
				by: MIXED_LEVELS.slice(depth, to),
				cards: sum(of, depth === 0 ? (set) => set.cards : thin)
			},
			[
				...piles.filter(({ cards }) => cards > 0),
				...(apart > 0 ? [{ name: THICK, cards: apart }] : [])
			]
		);
	}

	function dealt(
		step: Pick<MixedStep, 'of' | 'by' | 'cards'>,
		piles: MixedStep['piles']
	): MixedStep {
		const { cardS, pileS } = times;
		if (piles.length <= mostPiles) {
			const seconds = piles.length < 2 ? 0 : step.cards * cardS + piles.length * pileS;
			return { ...step, piles, passes: [piles.length], seconds };
		}
		const passes = bestPasses(step.cards, piles.length, mostPiles, times);
		if (passes) return { ...step, piles, passes: passes.piles, seconds: passes.seconds };
		// Room for one pile: each comes out by itself, the rest stays in the hand.
		const seconds = (piles.length - 1) * (step.cards * cardS + pileS);
		return { ...step, piles, passes: piles.slice(1).map(() => 1), seconds };
	}
}

const thin = ({ cards, thick = 0 }: MixedSet) => cards - thick;

/** "Gullhaven Card Works, 1994, Harbour Lights 1994: Base", as far as it goes. */
const labelOf = ({ maker, year, name }: MixedSet, depth: number) =>
	[maker, year, name].slice(0, depth).join(', ');
