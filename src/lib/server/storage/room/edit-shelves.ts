import { insertOne } from '../../database/record.ts';
import { and, eq } from 'drizzle-orm';
import { nameShelf } from '../../../core/storage/shelves/shelf.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { Collection } from '../../database/open.ts';
import { binders, boxes, shelves, trayPiles } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { gone } from '../gone.ts';
import type { BinderId, ShelfId } from '../../../core/row-id.ts';

type Done = Outcome<{ readonly id: ShelfId }>;
export type NewShelf = Omit<typeof shelves.$inferInsert, 'id'>;

/** Adds a shelf, or changes one; a place in a unit is taken once. */
export function saveShelf(collection: Collection, shelf: NewShelf, id?: ShelfId): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [same] = await tx
			.select()
			.from(shelves)
			.where(
				and(
					eq(shelves.room, shelf.room),
					eq(shelves.unit, shelf.unit),
					eq(shelves.level, shelf.level)
				)
			);
		if (same && same.id !== id) {
			return refused([
				{
					field: 'level',
					message: `${nameShelf(shelf)} is there already`,
					remedy: 'Give it another level.'
				}
			]);
		}
		if (id === undefined) {
			const made = await insertOne(record, shelves, shelf);
			return {
				value: good({ id: made.id }),
				label: `Shelf ${nameShelf(shelf)}`
			};
		}
		const [known] = await tx.select().from(shelves).where(eq(shelves.id, id));
		if (!known) return refused([gone('shelf')]);
		await record.update(shelves, id, shelf);
		return { value: good({ id }), label: `Change ${nameShelf(shelf)}` };
	});
}

/** Removes a shelf; what stood on it stands on none. */
export function removeShelf(collection: Collection, id: ShelfId): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [shelf] = await tx.select().from(shelves).where(eq(shelves.id, id));
		if (!shelf) return refused([gone('shelf')]);
		for (const table of [boxes, binders, trayPiles] as const) {
			const onShelf = await tx.select({ id: table.id }).from(table).where(eq(table.shelfId, id));
			for (const row of onShelf) await record.update(table, row.id, { shelfId: null });
		}
		await record.remove(shelves, [id]);
		return { value: good({ id }), label: `Remove ${nameShelf(shelf)}` };
	});
}

/** Says on which shelf a binder stands; null: on none that is known. */
export function placeBinder(
	collection: Collection,
	id: BinderId,
	shelfId: ShelfId | null
): Promise<Outcome<{ readonly id: BinderId }>> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
		const [shelf] =
			shelfId === null ? [] : await tx.select().from(shelves).where(eq(shelves.id, shelfId));
		if (!binder) return refused([gone('binder')]);
		if (shelfId !== null && !shelf) return refused([gone('shelf')]);
		await record.update(binders, id, { shelfId });
		const label = shelf ? `${binder.name} on ${nameShelf(shelf)}` : `${binder.name} on no shelf`;
		return { value: good({ id }), label };
	});
}
