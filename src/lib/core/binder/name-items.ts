/** A card of a copy (or of a pile of equal ones) in a pocket, for a slot. */
export interface CopyInPocket {
	readonly copy: string;
	readonly slot: string;
	readonly pocket: string;
}

/** The same with a name of its own: the cards of a pile are told apart by number. */
export interface NamedItem extends CopyInPocket {
	/** "17" for a single copy, "17#2" for the second of a pile. */
	readonly item: string;
}

/**
 * Names what lies and what shall lie, so that equal cards of a pile move as little as possible: one
 * that lies in a pocket in which one of its pile belongs is that one; then those of the same slot.
 *
 * @example nameItems([{ copy: '7', slot: 'a', pocket: '1' }], []).target // []
 */
export function nameItems(
	now: readonly CopyInPocket[],
	target: readonly CopyInPocket[]
): { readonly now: readonly NamedItem[]; readonly target: readonly NamedItem[] } {
	const counts = new Map<string, number>();
	const named: NamedItem[] = now.map((card) => ({ ...card, item: nextName(card.copy, counts) }));
	const free = new Map<string, NamedItem[]>();
	for (const card of named) free.set(card.copy, [...(free.get(card.copy) ?? []), card]);
	const given = new Map<CopyInPocket, string>();
	const give = (fits: (lying: NamedItem, wanted: CopyInPocket) => boolean) => {
		for (const wanted of target) {
			if (given.has(wanted)) continue;
			const rest = free.get(wanted.copy) ?? [];
			const at = rest.findIndex((lying) => fits(lying, wanted));
			const [lying] = at < 0 ? [] : rest.splice(at, 1);
			if (lying) given.set(wanted, lying.item);
		}
	};
	give((lying, wanted) => lying.pocket === wanted.pocket);
	give((lying, wanted) => lying.slot === wanted.slot);
	give(() => true);
	return {
		now: named,
		target: target.map((card) => ({
			...card,
			item: given.get(card) ?? nextName(card.copy, counts)
		}))
	};
}

function nextName(copy: string, counts: Map<string, number>): string {
	const nth = (counts.get(copy) ?? 0) + 1;
	counts.set(copy, nth);
	return nth === 1 ? copy : `${copy}#${nth}`;
}
