import { followMissing, expectedPacks } from '../odds/missing-chain.ts';

/** A set that is opened pack by pack: each holds so many different cards of it. */
export interface LastCardsAsked {
	readonly cards: number;
	readonly owned: number;
	/** Cards of it in a pack. */
	readonly perPack: number;
}

/** Why the last cards cost most: how long each part of the way takes. */
export interface LastCards {
	/** Packs on average until at most so many are missing; from what is missing now down to none. */
	readonly stages: readonly { readonly missing: number; readonly packs: number }[];
	/** Missing cards on average after 0, 1, 2 … packs. */
	readonly curve: readonly number[];
	/** Packs if every card were a new one. */
	readonly least: number;
	/** Packs on average for all, and for all but the last tenth of the set (rounded down, at least the last card). */
	readonly all: number;
	readonly beforeLast: number;
	/** The last tenth: cards, and its part of all packs, 0 to 1. */
	readonly lastCards: number;
	readonly lastPart: number;
}

const STAGES = 12;

/**
 * How many packs each part of a set takes. Packs are independent, all cards of the set equally likely (group drawings: Stadje
 * 1990, from memory; singly n·H(n), Feller, vol. 1).
 *
 * @throws RangeError where a pack holds more than the set, or more is owned than there is
 */
export function lastCards({ cards, owned, perPack }: LastCardsAsked): LastCards {
	if (!(perPack >= 1 && perPack <= cards) || !(owned >= 0 && owned <= cards)) {
		throw new RangeError(`lastCards: ${perPack} a pack, ${owned} of ${cards} owned`);
	}
	const missing = cards - owned;
	const draws = [{ count: perPack, chance: 1 }];
	const until = (few: number) => (few >= missing ? 0 : expectedPacks(cards, missing, draws, few));
	const last = Math.min(missing, Math.max(1, Math.floor(cards / 10)));
	const all = until(0);
	const beforeLast = until(last);
	return {
		stages: stagesOf(missing).map((few) => ({ missing: few, packs: until(few) })),
		curve: followMissing(cards, missing, draws, Math.ceil(1.5 * all)).missing,
		least: Math.ceil(missing / perPack),
		...{ all, beforeLast },
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
