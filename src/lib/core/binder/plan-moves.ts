/** A card in a pocket. */
export interface Lying {
	readonly item: string;
	readonly pocket: string;
}

/**
 * One thing the hand does. `take out`: from a pocket to the tray. `move`: from pocket to pocket.
 * `hold`: from a pocket into the hand, `lay down`: from there. `put in`: from the tray.
 */
export type MoveStep =
	| { readonly do: 'move'; readonly item: string; readonly from: string; readonly to: string }
	| { readonly do: 'take out' | 'hold'; readonly item: string; readonly from: string }
	| { readonly do: 'put in' | 'lay down'; readonly item: string; readonly to: string };

export interface MovePlan {
	readonly steps: readonly MoveStep[];
	/** Cards that lie right and stay. */
	readonly stays: number;
	/** Cards that lie in a wrong pocket. */
	readonly misplaced: number;
	/** Rings of cards that change places among themselves, each with one card in the hand. */
	readonly cycles: number;
	readonly putIn: number;
	readonly takenOut: number;
}

/**
 * The fewest moves from how cards lie to how they should: every misplaced card once, and once more for
 * one card of each closed cycle, because a cycle has no empty pocket to begin with (as in sorting a
 * permutation with one spare place). A chain is worked from its empty end, so nothing waits in the
 * hand. One may stop after any step: planned again from there, what is left is the rest.
 *
 * @throws RangeError where an item or a pocket stands twice
 */
export function planMoves(now: readonly Lying[], target: readonly Lying[]): MovePlan {
	const lies = byItem(now);
	const holds = byPocket(now);
	const goal = byItem(target);
	const wanted = byPocket(target);
	const rank = new Map(target.map(({ pocket }, i) => [pocket, i]));

	const misplaced = now.filter(({ item, pocket }) => (goal.get(item) ?? pocket) !== pocket);
	const stays = now.filter(({ item, pocket }) => goal.get(item) === pocket).length;
	const gone = now.filter(({ item }) => !goal.has(item));
	const arriving = target.filter(({ item }) => !lies.has(item));
	const done = new Set<string>();
	const chains: { readonly rank: number; readonly steps: readonly MoveStep[] }[] = [];

	/** Moves cards into a pocket that is free, then into the one that this frees, and so on. */
	const fill = (free: string): MoveStep[] => {
		const steps: MoveStep[] = [];
		for (let to = free; ;) {
			const item = wanted.get(to);
			const from = item === undefined ? undefined : lies.get(item);
			if (item === undefined || done.has(item)) return steps;
			done.add(item);
			if (from === undefined) return [...steps, { do: 'put in', item, to }];
			steps.push({ do: 'move', item, from, to });
			to = from;
		}
	};
	const add = (steps: readonly MoveStep[]) => {
		const last = steps.at(-1);
		if (last) chains.push({ rank: rank.get(goal.get(last.item) ?? '') ?? -1, steps });
	};

	for (const { item, pocket } of gone) {
		add([{ do: 'take out', item, from: pocket }, ...fill(pocket)]);
	}
	for (const { item, pocket } of target) {
		if (!holds.has(pocket) && !done.has(item)) add(fill(pocket));
	}
	let cycles = 0;
	for (const { item, pocket } of target) {
		const from = lies.get(item);
		if (from === undefined || from === pocket || done.has(item)) continue;
		cycles++;
		done.add(item);
		add([{ do: 'hold', item, from }, ...fill(from), { do: 'lay down', item, to: pocket }]);
	}
	return {
		steps: [...chains].sort((a, b) => a.rank - b.rank).flatMap(({ steps }) => steps),
		stays,
		misplaced: misplaced.length,
		cycles,
		putIn: arriving.length,
		takenOut: gone.length
	};
}

/** How cards lie after a step; what is held or taken out lies nowhere. */
export function afterStep(now: readonly Lying[], step: MoveStep): readonly Lying[] {
	const rest = now.filter(({ item }) => item !== step.item);
	return 'to' in step ? [...rest, { item: step.item, pocket: step.to }] : rest;
}

function byItem(lying: readonly Lying[]): ReadonlyMap<string, string> {
	const map = new Map<string, string>();
	for (const { item, pocket } of lying) {
		if (map.has(item)) throw new RangeError(`planMoves: item "${item}" stands twice`);
		map.set(item, pocket);
	}
	return map;
}

function byPocket(lying: readonly Lying[]): ReadonlyMap<string, string> {
	const map = new Map<string, string>();
	for (const { item, pocket } of lying) {
		if (map.has(pocket)) throw new RangeError(`planMoves: pocket "${pocket}" stands twice`);
		map.set(pocket, item);
	}
	return map;
}
