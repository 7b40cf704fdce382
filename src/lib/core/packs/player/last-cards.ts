import { sum } from 'd3-array';
import { expectedPacks, type DrawLaw } from '../odds/missing-chain.ts';

/** A set that is opened pack by pack. */
export interface LastCardsAsked {
	readonly cards: number;
	readonly owned: number;
	/** How many different cards of it a pack holds: nine; or one with a chance of a sixth. */
	readonly draws: DrawLaw;
}

/** Why the last cards cost most: how long each part of the way takes. */
export interface LastCards {
	/** Packs on average until at most so many are missing; from what is missing now down to none. */
	readonly stages: readonly { readonly missing: number; readonly packs: number }[];
	/** Missing cards on average, at some numbers of packs. */
	readonly curve: readonly { readonly packs: number; readonly missing: number }[];
	/** Packs on average if every card were a new one. */
	readonly least: number;
	/** Packs on average for all, and for all but the last tenth of the set (rounded down, at least the last card). */
	readonly all: number;
	readonly beforeLast: number;
	/** The last tenth: cards, and its part of all packs, 0 to 1. */
	readonly lastCards: number;
	readonly lastPart: number;
}

const STAGES = 12;
const POINTS = 80;
/** The curve goes beyond the average by so much. */
const BEYOND = 1.3;

/**
 * How many packs each part of a set takes. Packs are independent, all cards of the set equally likely (group drawings: Stadje
 * 1990, from memory; singly n·H(n), Feller, vol. 1).
 *
 * @throws RangeError where a pack holds more than the set, or never any, or more is owned than there is
 */
export function lastCards({ cards, owned, draws }: LastCardsAsked): LastCards {
	const rate = sum(draws, ({ count, chance }) => count * chance);
	const most = Math.max(...draws.map(({ count }) => count));
	if (!(rate > 0 && most <= cards) || !(owned >= 0 && owned <= cards)) {
		throw new RangeError(`lastCards: ${most} a pack, ${owned} of ${cards} owned`);
	}
	const missing = cards - owned;
	const until = (few: number) => (few >= missing ? 0 : expectedPacks(cards, missing, draws, few));
	const last = Math.min(missing, Math.max(1, Math.floor(cards / 10)));
	const [all, beforeLast] = [until(0), until(last)];
	const end = Math.max(1, Math.ceil(BEYOND * all));
	// On average each card by itself: it is missing until a pack has it.
	const after = (packs: number) =>
		rate >= cards
			? packs > 0
				? 0
				: missing
			: missing * Math.exp(packs * Math.log1p(-rate / cards));
	const points = Array.from({ length: POINTS + 1 }, (_, i) => Math.round((end * i) / POINTS));
	return {
		stages: stagesOf(missing).map((few) => ({ missing: few, packs: until(few) })),
		curve: [...new Set(points)].map((packs) => ({ packs, missing: after(packs) })),
		...{ least: missing / rate, all, beforeLast },
		lastCards: last,
		lastPart: all === 0 ? 0 : (all - beforeLast) / all
	};
}

/** Numbers of missing cards that are told, halved again and again, with the last few one by one. */
function stagesOf(missing: number): readonly number[] {
	const stages = [missing];
	while ((stages.at(-1) ?? 0) > 0 && stages.length < STAGES) {
		const now = stages.at(-1) ?? 0;
		stages.push(now > 4 ? Math.floor(now / 2) : now - 1);
	}
	return stages;
}
