import { and, asc, eq, inArray } from 'drizzle-orm';
import { parsePileAmount } from '../../core/pile/pile-amount.ts';
import type { Tray } from '../../core/pile/tray.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { rowId, type ShelfId, type TrayId } from '../../core/row-id.ts';
import type { Collection, Reader, Transaction } from '../database/open.ts';
import { insertOne, type Recorder } from '../database/record.ts';
import { pileCards, shelves, trayPiles } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';

/** The piles of all trays, oldest first. */
export async function listTrays(db: Reader) {
	return db.select().from(trayPiles).orderBy(asc(trayPiles.since), asc(trayPiles.id));
}

/** What is said of a pile when it comes into a tray. */
export interface NewPile {
	readonly tray: Tray;
	readonly name: string;
	/** As `parsePileAmount` reads it. */
	readonly amount: string;
	readonly shelfId?: ShelfId | null;
	/** Where, in words. */
	readonly place?: string;
	/** Of a pile to practise on: the versions that lie in it, the top one first. */
	readonly drawn?: readonly string[];
}

/** Puts a pile in a tray, or says anew of one in which, how much, and where it lies. */
export function savePile(
	collection: Collection,
	{ tray, name, amount, shelfId = null, place = '', drawn }: NewPile,
	id?: TrayId
): Promise<Outcome<{ readonly id: TrayId }>> {
	return makeChange(collection, async (record, tx) => {
		const read = parsePileAmount(amount);
		const [shelf] =
			shelfId === null ? [] : await tx.select().from(shelves).where(eq(shelves.id, shelfId));
		const [known] =
			id === undefined ? [] : await tx.select().from(trayPiles).where(eq(trayPiles.id, id));
		const problems: readonly Problem[] = [
			...(id === undefined || known
				? []
				: [{ message: 'this pile is gone', remedy: 'Reload the page.' }]),
			...(name.trim() === ''
				? [{ field: 'name', message: 'the pile has no name', remedy: 'Say where it came from.' }]
				: []),
			...(read.ok ? [] : read.problems),
			...(shelfId === null || shelf
				? []
				: [{ field: 'shelfId', message: 'this shelf is gone', remedy: 'Choose another one.' }])
		];
		if (problems.length > 0 || !read.ok) return refused(problems);
		const { cards, isEstimate, lengthUm = null } = read.value;
		const said = {
			tray,
			name: name.trim(),
			cards,
			isEstimate,
			lengthUm,
			shelfId,
			place: place.trim() || null,
			...(drawn ? { drawn } : {})
		};
		if (known) {
			await record.update(trayPiles, known.id, said);
			return { value: good({ id: known.id }), label: `Change the pile ${said.name}` };
		}
		const pile = await insertOne(record, trayPiles, { ...said, since: collection.now() });
		return { value: good({ id: pile.id }), label: `Put ${said.name} in the tray ${tray}` };
	});
}

/** Takes a pile out of its tray: it was sorted, or is not worth it. Its cards stay logged. */
export function removePile(collection: Collection, id: TrayId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [pile] = await tx.select().from(trayPiles).where(eq(trayPiles.id, id));
		if (!pile) return { value: false, label: '' };
		await removePileRow(record, tx, id);
		return { value: true, label: `Clear ${pile.name} from the tray ${pile.tray}` };
	});
}

async function removePileRow(record: Recorder, tx: Transaction, id: TrayId): Promise<void> {
	const lying = await tx
		.select({ id: pileCards.id })
		.from(pileCards)
		.where(eq(pileCards.pileId, id));
	await record.remove(
		pileCards,
		lying.map((card) => card.id)
	);
	await record.remove(trayPiles, [id]);
}

/** More or fewer cards lie in a pile; one in which none are left is gone. */
export async function countPile(
	record: Recorder,
	tx: Transaction,
	id: TrayId,
	more: number
): Promise<void> {
	const [pile] = await tx.select().from(trayPiles).where(eq(trayPiles.id, id));
	if (!pile) return;
	const cards = pile.cards + more;
	// What was measured is not so high any more.
	if (cards > 0) await record.update(trayPiles, id, { cards, lengthUm: null });
	else await removePileRow(record, tx, id);
}

/**
 * Cards of a pile were logged: they go over into the tray to sort, into the pile of the same name. Gives
 * that pile; null where the pile is gone, or not to be logged: then nothing moves.
 */
export async function movePile(
	record: Recorder,
	tx: Transaction,
	id: TrayId,
	cards: number,
	now: string
): Promise<TrayId | null> {
	const [pile] = await tx.select().from(trayPiles).where(eq(trayPiles.id, id));
	if (!pile || pile.tray !== 'to log') return null;
	await countPile(record, tx, id, -cards);
	const { name, shelfId, place, year, maker } = pile;
	return addToSorting(record, tx, { name, shelfId, place, year, maker }, cards, now);
}

/** Lays cards into the pile to sort of a name, which is made where there is none. */
export async function addToSorting(
	record: Recorder,
	tx: Transaction,
	pile: Pick<typeof trayPiles.$inferInsert, 'name' | 'shelfId' | 'place' | 'year' | 'maker'>,
	cards: number,
	now: string
): Promise<TrayId> {
	const [sorting] = await tx
		.select()
		.from(trayPiles)
		.where(and(eq(trayPiles.tray, 'to sort'), eq(trayPiles.name, pile.name)));
	if (!sorting) {
		return (await insertOne(record, trayPiles, { ...pile, tray: 'to sort', cards, since: now })).id;
	}
	await countPile(record, tx, sorting.id, cards);
	return sorting.id;
}

/** What the pile is called that cards of a day lie in where no other is chosen. */
export const nameOfDay = (now: string): string => `Pile of ${now.slice(0, 10)}`;

/**
 * A pile by its name, or by the id of one of its rows: what waits to be logged, and what waits to be put
 * away; null where it is gone, or bulk.
 */
export async function findPile(db: Reader, idOrName: number | string) {
	const rows = await db
		.select()
		.from(trayPiles)
		.where(
			typeof idOrName === 'string'
				? eq(trayPiles.name, idOrName)
				: inArray(
						trayPiles.name,
						db
							.select({ name: trayPiles.name })
							.from(trayPiles)
							.where(eq(trayPiles.id, rowId(idOrName)))
					)
		);
	// Of several of one name the one that is meant.
	const of = (tray: Tray) =>
		rows.find((row) => row.tray === tray && row.id === idOrName) ??
		rows.find((row) => row.tray === tray) ??
		null;
	const [known] = rows.filter(({ tray }) => tray !== 'never to log');
	return known ? { name: known.name, toLog: of('to log'), toSort: of('to sort') } : null;
}
