import { rollup, sum } from 'd3-array';
import { eq } from 'drizzle-orm';
import { copiesOf, pullsOf } from '../../../core/packs/openings/opened-pile.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { OpenedPileId, OpeningId } from '../../../core/row-id.ts';
import { addCopies } from '../../copies/add-copies.ts';
import { countOwned, readCopies } from '../../copies/read-copies.ts';
import { readEntry } from '../../copies/read-entry.ts';
import type { Collection } from '../../database/open.ts';
import { openedPiles } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { noOpening } from './change-opening.ts';
import { readOpening } from './read-opening.ts';

/** What some packs held, as it is typed. */
export interface OpenedDraft {
	/** Packs that were opened: 1, or a whole box. */
	readonly packs: number;
	/** Their cards, as on the entry line; empty: nothing worth a word. */
	readonly line: string;
	/** They are in the collection already: only what came out of the packs is recorded. */
	readonly isLogged?: boolean;
}

/**
 * Records what packs of an opening held, and logs their cards, unless others share them: these come when it is shared out.
 * With any problem nothing is recorded.
 */
export function logOpened(
	collection: Collection,
	id: OpeningId,
	{ packs, line, isLogged = false }: OpenedDraft
): Promise<Outcome<{ readonly id: OpenedPileId; readonly cards: number; readonly fresh: number }>> {
	return makeChange(collection, async (record, tx) => {
		const opening = await readOpening(tx, id);
		if (!opening) return refused([noOpening]);
		const { row, stored, piles } = opening;
		if (row.sharedOn !== null) {
			const message = 'it is shared out already';
			return refused([{ message, remedy: 'Begin another opening for more packs.' }]);
		}
		const entry = await readEntry(tx, stored.release.key, line);
		if (!entry.ok) return refused(entry.problems.map((problem) => ({ ...problem, field: 'line' })));
		const { additions } = entry.value;
		const present = await readCopies(tx, stored.id);
		const isShared = row.shareRules !== null;
		const before = isShared ? copiesOf(piles) : new Map<string, number>();
		// Of cards that are logged already those were new of which no more are here than came.
		const came = isLogged
			? additions.map(({ version, quantity }) => [version, -quantity] as const)
			: [];
		const owned = rollup(
			[...countOwned(present), ...before, ...came],
			(same) => sum(same, ([, quantity]) => quantity),
			([version]) => version
		);
		const pulls = pullsOf(additions, owned);
		const [pile] = await record.insert(openedPiles, [{ openingId: id, packs, line, pulls }]);
		if (!pile) throw new RangeError('logOpened: it was not stored');
		if (!isShared && !isLogged)
			await addCopies(record, stored, present, additions, collection.now());
		const cards = sum(pulls, ({ quantity }) => quantity);
		const perPack = stored.release.packTypes.find(({ key }) => key === row.packType)?.cardsPerPack;
		const isOdd = perPack !== undefined && cards !== packs * perPack;
		const notes: Problem[] = isOdd
			? [{ message: `${packs} × ${perPack} cards would be ${packs * perPack}; ${cards} are named` }]
			: [];
		return {
			value: good({ id: pile.id, cards, fresh: sum(pulls, ({ fresh }) => fresh) }, [
				...entry.notes,
				...notes
			]),
			label: `${row.name}: ${packs === 1 ? 'a pack' : `${packs} packs`}`
		};
	});
}

/** Forgets what packs held; their cards stay in the collection. */
export function forgetOpened(
	collection: Collection,
	id: OpenedPileId
): Promise<Outcome<{ readonly id: OpenedPileId }>> {
	return makeChange(collection, async (record, tx) => {
		const [pile] = await tx.select().from(openedPiles).where(eq(openedPiles.id, id));
		if (!pile) return refused([{ message: 'it is gone already', remedy: 'Reload the page.' }]);
		await record.remove(openedPiles, [id]);
		return { value: good({ id }), label: 'Forget what a pack held' };
	});
}
