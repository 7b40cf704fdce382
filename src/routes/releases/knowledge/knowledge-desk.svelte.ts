import { groups } from 'd3-array';
import { SvelteSet } from 'svelte/reactivity';
import { KNOWLEDGE_KINDS } from '$lib/core/knowledge/knowledge';
import type { SeenDifference } from '$lib/server/knowledge/look-at-knowledge';

/**
 * The differences of a file of knowledge, and which are taken. At first those are that add to what is known, and were
 * not left before: what says otherwise than here is for a person to judge.
 */
export function createKnowledgeDesk(differences: () => readonly SeenDifference[]) {
	const picked = new SvelteSet<string>();
	let last: readonly SeenDifference[] = [];
	$effect.pre(() => {
		const all = differences();
		if (all === last) return;
		last = all;
		picked.clear();
		for (const { id, mine, wasLeft } of all) if (mine === null && !wasLeft) picked.add(id);
	});
	const kinds = $derived(
		KNOWLEDGE_KINDS.flatMap((kind) => {
			const lines = differences().filter((each) => each.kind === kind);
			const inTurn = [
				...lines.filter(({ wasLeft }) => !wasLeft),
				...lines.filter(({ wasLeft }) => wasLeft)
			];
			return lines.length > 0 ? [{ kind, lines: inTurn }] : [];
		})
	);
	const sources = $derived(
		groups(differences(), ({ source }) => source).map(([source, lines]) => ({
			source,
			count: lines.length
		}))
	);
	const idsOf = (source: string | null) =>
		differences()
			.filter((each) => each.source === source)
			.map(({ id }) => id);
	const isWhole = (ids: readonly string[]) => ids.every((id) => picked.has(id));
	/** All of them, or where all are taken, none. */
	const turn = (ids: readonly string[]) => {
		const isTaken = !isWhole(ids);
		for (const id of ids)
			if (isTaken) picked.add(id);
			else picked.delete(id);
	};
	return {
		/** Ids of those that are taken. */
		get picked() {
			return picked;
		},
		get kinds() {
			return kinds;
		},
		/** Who says so, with how many lines; null: whoever the file is from. */
		get sources() {
			return sources;
		},
		pick: (id: string) => turn([id]),
		pickAll: turn,
		isWhole,
		isWholeSource: (source: string | null) => isWhole(idsOf(source)),
		pickSource: (source: string | null) => turn(idsOf(source))
	};
}
