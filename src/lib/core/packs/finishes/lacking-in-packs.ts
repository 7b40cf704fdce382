import { parseVersionKey } from '../../checklist/versions/version-key.ts';
import type { FindPacks, LackingSource } from './pack-finishes.ts';

/** A slot that is open, and the packs that may fill it. */
export interface LackingSlot {
	readonly versions: readonly string[];
	/** Packs that may hold one of the versions, the likeliest first. */
	readonly packs: readonly (LackingSource & { readonly version: string })[];
}

/** What one kind of pack may bring of what one lacks. */
export interface PackProspect {
	readonly pack: string;
	/** Open slots that it may fill. */
	readonly slots: number;
	/** Of these, slots of which the chance is stated. */
	readonly stated: number;
	/** Open slots that such a pack fills on average, as far as odds are stated. */
	readonly expected: number;
}

/**
 * Which packs can hold what one lacks: slot by slot, and kind by kind. A slot that several versions may
 * fill counts a pack once, with the chance of its likeliest version.
 *
 * @param open versions of each open slot
 * @param packs keys of the kinds of packs, in their order
 */
export function lackingInPacks(
	find: FindPacks,
	open: readonly (readonly string[])[],
	packs: readonly string[]
): { readonly slots: readonly LackingSlot[]; readonly prospects: readonly PackProspect[] } {
	const slots = open.map((versions): LackingSlot => {
		const best = new Map<string, LackingSource & { readonly version: string }>();
		for (const version of versions) {
			const name = parseVersionKey(version);
			// Of a variant nobody states its odds: its card may be it.
			if (!name || name.variant !== null) continue;
			for (const source of find(name.card, name.parallel)) {
				const known = best.get(source.pack);
				if (!known || (source.chance ?? -1) > (known.chance ?? -1)) {
					best.set(source.pack, { ...source, version });
				}
			}
		}
		return {
			versions,
			packs: [...best.values()].sort((a, b) => (b.chance ?? -1) - (a.chance ?? -1))
		};
	});
	const prospects = packs.map((pack): PackProspect => {
		const found = slots.flatMap((slot) => slot.packs.find((each) => each.pack === pack) ?? []);
		const chances = found.flatMap(({ chance }) => chance ?? []);
		return {
			pack,
			slots: found.length,
			stated: chances.length,
			expected: chances.reduce((sum, chance) => sum + chance, 0)
		};
	});
	return { slots, prospects };
}
