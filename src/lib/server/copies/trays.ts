import { and, asc, eq } from 'drizzle-orm';
import { good, type Outcome } from '../../core/problem.ts';
import type { Collection, Reader, Transaction } from '../database/open.ts';
import { trayPiles } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { insertOne, type Recorder } from '../database/record.ts';
import type { TrayId } from '../../core/row-id.ts';

export type Tray = 'to log' | 'to sort';

/** The piles of both trays, oldest first. */
export async function listTrays(db: Reader) {
	return db.select().from(trayPiles).orderBy(asc(trayPiles.since), asc(trayPiles.id));
}

/** Puts a pile in a tray. */
export function addPile(
	collection: Collection,
	tray: Tray,
	name: string,
	cards: number
): Promise<Outcome<{ readonly id: TrayId }>> {
	return makeChange(collection, async (record) => {
		if (name.trim() === '' || !Number.isInteger(cards) || cards < 1 || cards > 1_000_000) {
			const remedy = 'Give it a name, and say how many cards it has, at least roughly.';
			return refused([{ message: 'this is no pile', remedy }]);
		}
		const pile = await insertOne(record, trayPiles, {
			tray,
			name: name.trim(),
			cards,
			since: collection.now()
		});
		return {
			value: good({ id: pile.id }),
			label: `Put ${name.trim()} in the tray ${tray}`
		};
	});
}

/** Takes a pile out of its tray: it was sorted, or is not worth it. */
export function removePile(collection: Collection, id: TrayId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [pile] = await tx.select().from(trayPiles).where(eq(trayPiles.id, id));
		if (!pile) return { value: false, label: '' };
		await record.remove(trayPiles, [id]);
		return { value: true, label: `Clear ${pile.name} from the tray ${pile.tray}` };
	});
}

/** Cards of a pile were logged: they go over into the tray to sort. A pile that is gone, or empty, stays so. */
export async function movePile(
	record: Recorder,
	tx: Transaction,
	id: TrayId,
	cards: number,
	now: string
): Promise<void> {
	const [pile] = await tx.select().from(trayPiles).where(eq(trayPiles.id, id));
	if (!pile || pile.tray !== 'to log') return;
	const left = pile.cards - cards;
	if (left > 0) await record.update(trayPiles, id, { cards: left });
	else await record.remove(trayPiles, [id]);
	const [sorting] = await tx
		.select()
		.from(trayPiles)
		.where(and(eq(trayPiles.tray, 'to sort'), eq(trayPiles.name, pile.name)));
	if (sorting) await record.update(trayPiles, sorting.id, { cards: sorting.cards + cards });
	else {
		await record.insert(trayPiles, [{ tray: 'to sort', name: pile.name, cards, since: now }]);
	}
}
