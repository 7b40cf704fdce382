/** What lies, or shall lie, together: so many pockets. */
export interface Block {
	readonly key: string;
	readonly pockets: number;
}

/** A binder as it is: its pages and what lies in it. */
export interface FittedBinder {
	readonly key: string;
	readonly pages: number;
	readonly pocketsPerPage: number;
	readonly holds: readonly Block[];
}

/** Whether a block begins on a page of its own, or behind what lies before it. */
export type BlockStart = 'own page' | 'next pocket';

export interface BinderRoom {
	readonly key: string;
	/** Pages that are begun, and those that are not. */
	readonly pagesUsed: number;
	readonly pagesFree: number;
	/** Pockets without a card of these blocks, on begun pages as well. */
	readonly pocketsFree: number;
	/** Pages that it lacks for what it shall hold; 0: all of it fits. */
	readonly pagesLacking: number;
	/** Keys of the blocks that may join, each by itself. */
	readonly mayJoin: readonly string[];
	/** Those that fill it best together, in the order given: most pockets, then fewest blocks. */
	readonly fullest: readonly string[];
	/** Free pockets when these have joined. */
	readonly pocketsLeft: number;
}

/** Blocks that are weighed against each other at most; pages and pockets of a binder at most. */
export const MOST_BLOCKS = 200;
export const MOST_POCKETS_OF_BINDER = 20_000;

/**
 * For given binders: what fits, what room is left, what may join. Each binder is looked at by itself; the
 * fullest choice is exact (a 0–1 knapsack over pages, or over pockets, by dynamic programming: Bellman
 * 1957). Blocks already held may be more than the binder takes.
 *
 * @example whatFits([{ key: 'A', pages: 10, pocketsPerPage: 9, holds: [{ key: 'x', pockets: 20 }] }], [{ key: 'y', pockets: 63 }, { key: 'z', pockets: 64 }], 'own page')[0]?.mayJoin // ['y']
 */
export function whatFits(
	binders: readonly FittedBinder[],
	candidates: readonly Block[],
	start: BlockStart
): readonly BinderRoom[] {
	return binders.map((binder) => {
		const { key, pages, pocketsPerPage, holds } = binder;
		const held = holds.reduce((sum, { pockets }) => sum + pockets, 0);
		const pagesOf = ({ pockets }: Block) => Math.ceil(pockets / pocketsPerPage);
		const pagesUsed =
			start === 'own page'
				? holds.reduce((sum, block) => sum + pagesOf(block), 0)
				: Math.ceil(held / pocketsPerPage);
		const pagesFree = Math.max(0, pages - pagesUsed);
		const pocketsFree = Math.max(0, pages * pocketsPerPage - held);
		const room = start === 'own page' ? pagesFree : pocketsFree;
		const costOf = (block: Block) => (start === 'own page' ? pagesOf(block) : block.pockets);
		const waiting = candidates.filter(
			(block) => block.pockets > 0 && !holds.some((other) => other.key === block.key)
		);
		const fitting = waiting.filter((block) => costOf(block) <= room);
		const fullest = fullestOf(fitting, costOf, room);
		const joined = fullest.reduce((sum, { pockets }) => sum + pockets, 0);
		return {
			key,
			pagesUsed,
			pagesFree,
			pocketsFree,
			pagesLacking: Math.max(0, pagesUsed - pages),
			mayJoin: fitting.map((block) => block.key),
			fullest: fullest.map((block) => block.key),
			pocketsLeft: pocketsFree - joined
		};
	});
}

/** The choice with the most pockets that costs no more than there is room; of equals the fewest blocks. */
function fullestOf(
	blocks: readonly Block[],
	costOf: (block: Block) => number,
	room: number
): readonly Block[] {
	// By room: the best value so far. A pocket counts more than all blocks together.
	const weight = blocks.length + 1;
	let best = new Float64Array(room + 1);
	const taken = blocks.map((block) => {
		const cost = costOf(block);
		const value = block.pockets * weight - 1;
		const next = Float64Array.from(best);
		const isTaken = new Uint8Array(room + 1);
		for (let at = cost; at <= room; at++) {
			const joined = (best[at - cost] ?? 0) + value;
			if (joined > (next[at] ?? 0)) {
				next[at] = joined;
				isTaken[at] = 1;
			}
		}
		best = next;
		return isTaken;
	});
	const chosen: Block[] = [];
	let left = room;
	for (let i = blocks.length - 1; i >= 0; i--) {
		const block = blocks[i];
		if (!block || !taken[i]?.[left]) continue;
		chosen.unshift(block);
		left -= costOf(block);
	}
	return chosen;
}
