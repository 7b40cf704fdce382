import type { CopyRecord } from '../goal/copy-record.ts';
import { fitsSlot, type Filling } from '../goal/fill-slots.ts';
import type { Slot } from '../goal/slot.ts';
import type { PulledChoice } from './binder-layout.ts';

/** What a slot's pocket holds, and what of it is kept elsewhere. */
export interface PocketCard {
	/** The copy that fills the slot. */
	readonly filling: string;
	/** The copy that lies in the pocket: the same, a stand-in for it, or null for a placeholder. */
	readonly inPocket: string | null;
	/** Where the copy is that was pulled out; left out: it lies in the pocket. */
	readonly pulledOut?: string;
}

/** Words in a copy's attributes that say it is in a rigid holder. */
const RIGID = /\b(top ?loader|magnetic case|rigid holder|slab)\b/i;

/** Whether a copy is kept out of binders: graded, in a rigid holder, or at another place. */
function isPulledOut(copy: CopyRecord, binderName: string): boolean {
	const isElsewhere = copy.place !== undefined && !isSame(copy.place, binderName);
	return isElsewhere || isGraded(copy) || (copy.attributes ?? []).some((one) => RIGID.test(one));
}

/** "graded 8, safe", "top loader, valuables box": where a copy is that was pulled out. */
function whereKept(copy: CopyRecord): string {
	const holder = (copy.attributes ?? []).find((one) => RIGID.test(one));
	const grade = isGraded(copy) ? [`graded ${copy.grade ?? 'authentic'}`] : [];
	const words = [...grade, ...(holder ? [holder] : []), ...(copy.place ? [copy.place] : [])];
	return words.join(', ');
}

/**
 * What lies in the pockets of filled slots. With `stand-in`, a spare copy that may fill the slot lies
 * in the pocket of one that was pulled out, as long as there is one; a spare stands in once.
 */
export function pocketCards(
	slots: readonly Slot[],
	{ placements, spares }: Filling,
	copies: readonly CopyRecord[],
	pulled: PulledChoice,
	binderName: string
): ReadonlyMap<string, PocketCard> {
	const known = new Map(copies.map((copy) => [copy.key, copy]));
	const filling = new Map(placements.map(({ slot, copy }) => [slot, copy]));
	const spare = new Map<string, { readonly copy: CopyRecord; left: number }[]>();
	for (const { copy: key, quantity } of spares) {
		const copy = known.get(key);
		if (!copy || isPulledOut(copy, binderName)) continue;
		const there = spare.get(copy.version) ?? [];
		spare.set(copy.version, [...there, { copy, left: quantity }]);
	}
	const standInFor = (slot: Slot): string | null => {
		for (const one of slot.versions.flatMap((version) => spare.get(version) ?? [])) {
			if (one.left === 0 || !fitsSlot(slot, one.copy)) continue;
			one.left--;
			return one.copy.key;
		}
		return null;
	};
	return new Map(
		slots.flatMap((slot) => {
			const copy = known.get(filling.get(slot.key) ?? '');
			if (!copy) return [];
			const card: PocketCard = isPulledOut(copy, binderName)
				? {
						filling: copy.key,
						inPocket: pulled === 'stand-in' ? standInFor(slot) : null,
						pulledOut: whereKept(copy)
					}
				: { filling: copy.key, inPocket: copy.key };
			return [[slot.key, card]];
		})
	);
}

function isGraded({ grade, isAuthentic }: CopyRecord): boolean {
	return grade !== undefined || isAuthentic === true;
}

function isSame(a: string, b: string): boolean {
	return a.trim().toLowerCase() === b.trim().toLowerCase();
}
