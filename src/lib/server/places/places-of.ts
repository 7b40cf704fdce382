import { group } from 'd3-array';
import { and, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { chunks } from '../database/chunks.ts';
import type { Reader } from '../database/open.ts';
import { readJoined } from '../database/read-joined.ts';
import { cards, copies, editionCards } from '../database/tables/index.ts';
import type { BoxId, CopyId, IndexedCardId } from '../../core/row-id.ts';

/** Where a card is: a box with its row, or a binder. */
export interface CardPlace {
	readonly name: string;
	/** Null for a binder, and for a place in words. */
	readonly boxId: BoxId | null;
	readonly row: number | null;
}

/** So many cards of a copy are there. */
export interface CopyPlace extends CardPlace {
	readonly copyId: CopyId;
	readonly quantity: number;
}

/** Boxes and binders in which some copies are, by copy. */
export async function placesOf(
	db: Reader,
	which: SQL
): Promise<ReadonlyMap<CopyId, readonly CopyPlace[]>> {
	const standing = await readJoined<CopyPlace>(
		db,
		{
			copyId: sql`b.copy_id`,
			name: sql`x.name`,
			boxId: sql`d.box_id`,
			row: sql`d.row`,
			quantity: sql`b.quantity`
		},
		sql`"copies" join box_cards b on b.copy_id = "copies"."id"
			join dividers d on d.id = b.divider_id join boxes x on x.id = d.box_id where ${which}`
	);
	const lying = await readJoined<CopyPlace>(
		db,
		{
			copyId: sql`p.copy_id`,
			name: sql`x.name`,
			boxId: sql`null`,
			row: sql`null`,
			quantity: sql`1`
		},
		sql`"copies" join binder_pockets p on p.copy_id = "copies"."id"
			join binders x on x.id = p.binder_id where ${which}`
	);
	const all = [...standing, ...lying];
	return group(all, ({ copyId }) => copyId);
}

/** The same for copies by their ids; a place that holds several of one is named once. */
export async function placesOfCopies(
	db: Reader,
	ids: readonly CopyId[]
): Promise<ReadonlyMap<CopyId, readonly CardPlace[]>> {
	if (ids.length === 0) return new Map();
	const places = await placesOf(db, inArray(copies.id, [...ids]));
	return new Map([...places].map(([id, all]) => [id, namedOnce(all)]));
}

/** The same for all copies of some cards, by the numbers of the cards in the search index. */
export async function placesOfCards(
	db: Reader,
	cardIds: readonly IndexedCardId[]
): Promise<ReadonlyMap<IndexedCardId, readonly CardPlace[]>> {
	if (cardIds.length === 0) return new Map();
	const of = [
		...(await copiesOfCards(db, cards, cardIds, 1)),
		...(await copiesOfCards(db, editionCards, cardIds, -1))
	];
	const places = new Map<CopyId, readonly CopyPlace[]>();
	// Copies of a card may be more than a statement takes parameters.
	for (const ids of chunks(
		of.map(({ copyId }) => copyId),
		5000
	)) {
		for (const [id, placesOfCopy] of await placesOf(db, inArray(copies.id, [...ids])))
			places.set(id, placesOfCopy);
	}
	const byCard = group(of, ({ cardId }) => cardId);
	return new Map(
		[...byCard].map(([id, pairs]) => [
			id,
			namedOnce(pairs.flatMap(({ copyId }) => places.get(copyId) ?? []))
		])
	);
}

async function copiesOfCards(
	db: Reader,
	table: typeof cards | typeof editionCards,
	indexed: readonly IndexedCardId[],
	sign: 1 | -1
): Promise<readonly { readonly cardId: IndexedCardId; readonly copyId: CopyId }[]> {
	const ids = indexed.flatMap((id) => (sign * id > 0 ? sign * id : []));
	if (ids.length === 0) return [];
	return db
		.select({ cardId: sql<IndexedCardId>`${sign} * ${table.id}`, copyId: copies.id })
		.from(table)
		.innerJoin(copies, and(eq(copies.releaseId, table.releaseId), eq(copies.cardKey, table.key)))
		.where(inArray(sql`${table.id}`, ids));
}

function namedOnce(places: readonly CopyPlace[]): CardPlace[] {
	return [
		...new Map(
			places.map(({ name, boxId, row }) => [`${name} ${row ?? ''}`, { name, boxId, row }])
		).values()
	];
}
