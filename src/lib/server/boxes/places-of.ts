import { group } from 'd3-array';
import { eq, inArray, type SQL } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import {
	binderPockets,
	binders,
	boxCards,
	boxes,
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
	const places = await placesOf(db, inArray(copies.id, [...ids]));
	return new Map(
		[...places].map(([id, own]) => {
			const once = new Map(own.map((one) => [`${one.name} ${one.row ?? ''}`, one]));
			return [id, [...once.values()]];
		})
	);
}
