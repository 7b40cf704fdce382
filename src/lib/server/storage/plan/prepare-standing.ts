import { sum } from 'd3-array';
import type { CopyId } from '../../../core/row-id.ts';
import type { CardBulk } from '../../../core/storage/room/card-bulk.ts';
import type { Reader } from '../../database/open.ts';
import { journalMark } from '../../journal/journal-mark.ts';
import type { Progress } from '../../progress.ts';
import { inRow } from '../room/read-box.ts';
import type { LooseCards } from '../runs/loose-cards.ts';
import { planStorage, type StoragePlan } from './plan-storage.ts';
import { storageOptions, type StorageChoice } from './read-storage-options.ts';

/** Cards of a copy on their way behind a divider. */
export interface CardsToStand extends CardBulk {
	readonly copyId: CopyId;
	readonly quantity: number;
}

/** All that is read before boxes are stood, so that the change itself only writes. */
export interface PreparedStanding {
	readonly plan: StoragePlan;
	/** The cards of a run, in the order in which they stand. */
	readonly cardsOf: (key: string) => readonly CardsToStand[];
	/** While the journal has this mark, the plan holds (`journalMark`). */
	readonly mark: string;
	readonly cards: number;
}

/** Makes the plan, and keeps of each run which cards it is of. */
export async function prepareStanding(
	db: Reader,
	choice: StorageChoice,
	tell?: (told: Progress) => void
): Promise<PreparedStanding> {
	const mark = await journalMark(db);
	const kept = new Map<string, readonly CardsToStand[]>();
	const keep = (key: string, cards: readonly LooseCards[]) => kept.set(key, inOrder(cards));
	const plan = await planStorage(db, storageOptions(choice), { keep, ...(tell ? { tell } : {}) });
	const cards = sum(plan.sets, (set) => set.cards);
	return { plan, cardsOf: (key) => kept.get(key) ?? [], mark, cards };
}

function inOrder(cards: readonly LooseCards[]): readonly CardsToStand[] {
	return cards
		.map(({ copy, quantity }) => {
			const { number, title, sortAs, cardKey, parallelKey, variantKey } = copy;
			const version = `${cardKey} ${parallelKey ?? ''} ${variantKey ?? ''}`;
			return { copy, quantity, marks: { release: '', number, title, sortAs, version } };
		})
		.sort((a, b) => inRow(a.marks, b.marks))
		.map(({ copy: { id, um, mg }, quantity }) => ({ copyId: id, quantity, um, mg }));
}
