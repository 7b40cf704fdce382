import { versionsOfCopy } from '../copies/copy.ts';
import { holderKindOf, isInRigid, type HolderKind } from '../storage/kinds/holder-kind.ts';
import type { CopyRecord } from '../copies/copy-record.ts';
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

/** Where copies are that stand in boxes apart from the sets (valuables, graded, to sell): copy → box. */
export type KeptApart = ReadonlyMap<string, string>;

/** "graded 8, safe", "Top loader, 35 pt, Valuables 1": where a copy is that was pulled out; null: nowhere else. */
function whereKept(
	copy: CopyRecord,
	binderName: string,
	apart: KeptApart,
	holders: readonly HolderKind[]
): string | null {
	const place = copy.place !== undefined && !isSame(copy.place, binderName) ? copy.place : null;
	const holder = copy.holder ?? null;
	const words = [
		...(isGraded(copy) ? [`graded ${copy.grade ?? 'authentic'}`] : []),
		...(holder !== null && isInRigid(holder, holders) ? [holderKindOf(holder, holders).name] : []),
		...((place ?? apart.get(copy.key)) ? [place ?? apart.get(copy.key) ?? ''] : [])
	];
	return words.length > 0 ? words.join(', ') : null;
}

/**
 * What lies in the pockets of filled slots. Graded copies, those in a rigid holder and those that are kept
 * at another place are pulled out: holder and place decide. With `stand-in`, a spare copy that may fill the slot lies
 * in the pocket of one that was pulled out, as long as there is one; a spare stands in once.
 */
export function pocketCards(
	slots: readonly Slot[],
	{ placements, spares }: Filling,
	copies: readonly CopyRecord[],
	pulled: PulledChoice,
	binderName: string,
	apart: KeptApart = new Map(),
	holders: readonly HolderKind[] = []
): ReadonlyMap<string, PocketCard> {
	const known = new Map(copies.map((copy) => [copy.key, copy]));
	const filling = new Map(placements.map(({ slot, copy }) => [slot, copy]));
	const spare = new Map<string, { readonly copy: CopyRecord; left: number }[]>();
	for (const { copy: key, quantity } of spares) {
		const copy = known.get(key);
		if (!copy || whereKept(copy, binderName, apart, holders) !== null) continue;
		const standIn = { copy, left: quantity };
		for (const version of versionsOfCopy(copy)) {
			spare.set(version, [...(spare.get(version) ?? []), standIn]);
		}
	}
	const standInFor = (slot: Slot): string | null => {
		for (const spareCopy of slot.versions.flatMap((version) => spare.get(version) ?? [])) {
			if (spareCopy.left === 0 || !fitsSlot(slot, spareCopy.copy)) continue;
			spareCopy.left--;
			return spareCopy.copy.key;
		}
		return null;
	};
	return new Map(
		slots.flatMap((slot) => {
			const copy = known.get(filling.get(slot.key) ?? '');
			if (!copy) return [];
			const kept = whereKept(copy, binderName, apart, holders);
			const card: PocketCard =
				kept === null
					? { filling: copy.key, inPocket: copy.key }
					: {
							filling: copy.key,
							inPocket: pulled === 'stand-in' ? standInFor(slot) : null,
							pulledOut: kept
						};
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
