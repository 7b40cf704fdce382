import { group } from 'd3-array';
import { and, eq, inArray, sql, type SQL } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import {
	binderPockets,
	binders,
	boxCards,
	boxes,
	cards,
	copies,
	dividers
} from '../database/tables/index.ts';

/** Where a card is: a box with its row, or a binder. */
export interface CardPlace {
	readonly name: string;
	/** Null for a binder, and for a place in words. */
	readonly boxId: number | null;
	readonly row: number | null;
}

/** Boxes and binders in which some copies are, by copy. */
export async function placesOf(
	db: Reader,
	which: SQL
): Promise<ReadonlyMap<number, readonly (CardPlace & { readonly copyId: number })[]>> {
	const standing = await db
		.select({
			copyId: boxCards.copyId,
			name: boxes.name,
			boxId: dividers.boxId,
			row: dividers.row
		})
		.from(boxCards)
		.innerJoin(copies, eq(boxCards.copyId, copies.id))
		.innerJoin(dividers, eq(boxCards.dividerId, dividers.id))
		.innerJoin(boxes, eq(dividers.boxId, boxes.id))
		.where(which);
	const lying = await db
		.select({ copyId: binderPockets.copyId, name: binders.name })
		.from(binderPockets)
		.innerJoin(copies, eq(binderPockets.copyId, copies.id))
		.innerJoin(binders, eq(binderPockets.binderId, binders.id))
		.where(which);
	const all: readonly (CardPlace & { readonly copyId: number })[] = [
		...standing,
		...lying.map((one) => ({ ...one, boxId: null, row: null }))
	];
	return group(all, ({ copyId }) => copyId);
}

/** The same for copies by their ids; a place that holds several of one is named once. */
export async function placesOfCopies(
	db: Reader,
	ids: readonly number[]
): Promise<ReadonlyMap<number, readonly CardPlace[]>> {
	if (ids.length === 0) return new Map();
	const places = await placesOf(db, inArray(copies.id, [...ids]));
	return new Map([...places].map(([id, all]) => [id, namedOnce(all)]));
}

/** The same for all copies of some cards, by the ids of the cards. */
export async function placesOfCards(
	db: Reader,
	cardIds: readonly number[]
): Promise<ReadonlyMap<number, readonly CardPlace[]>> {
	if (cardIds.length === 0) return new Map();
	const of = await db
		.select({ cardId: cards.id, copyId: copies.id })
		.from(cards)
		.innerJoin(copies, and(eq(copies.releaseId, cards.releaseId), eq(copies.cardKey, cards.key)))
		.where(inArray(cards.id, [...cardIds]));
	// Copies of a card may be more than a statement takes parameters.
	const ids = sql`select c.id from cards d join copies c on c.release_id = d.release_id and c.card_key = d.key where ${inArray(sql`d.id`, [...cardIds])}`;
	const places = await placesOf(db, sql`${copies.id} in (${ids})`);
	const byCard = group(of, ({ cardId }) => cardId);
	return new Map(
		[...byCard].map(([id, own]) => [
			id,
			namedOnce(own.flatMap(({ copyId }) => places.get(copyId) ?? []))
		])
	);
}

function namedOnce(places: readonly (CardPlace & { readonly copyId: number })[]): CardPlace[] {
	return [
		...new Map(
			places.map(({ name, boxId, row }) => [`${name} ${row ?? ''}`, { name, boxId, row }])
		).values()
	];
}
