import { and, eq, max } from 'drizzle-orm';
import type { BoxUse } from '../../core/boxes/box-use.ts';
import { nameShelf } from '../../core/boxes/shelf.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { binders, boxes, dividers, shelves } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { insertDivider } from './insert-divider.ts';
import { readBoxKinds } from './read-storage.ts';
import { removeDividerRows } from './remove-divider-rows.ts';

type Done = Outcome<{ readonly id: number }>;
export type NewShelf = Omit<typeof shelves.$inferInsert, 'id'>;

const gone = (what: string): Problem => ({
	message: `there is no such ${what}`,
	remedy: 'It may have been removed; undo brings it back.'
});

/** Adds a shelf, or changes one; a place in a unit is taken once. */
export function saveShelf(collection: Collection, shelf: NewShelf, id?: number): Promise<Done> {
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
			const [made] = await record.insert(shelves, [shelf]);
			return {
				value: good({ id: made?.id ?? 0 }),
				label: `Shelf ${nameShelf(shelf)}`,
				touches: []
			};
		}
		const [there] = await tx.select().from(shelves).where(eq(shelves.id, id));
		if (!there) return refused([gone('shelf')]);
		await record.update(shelves, id, shelf);
		return { value: good({ id }), label: `Change ${nameShelf(shelf)}`, touches: [] };
	});
}

/** Removes a shelf; what stood on it stands on none. */
export function removeShelf(collection: Collection, id: number): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [shelf] = await tx.select().from(shelves).where(eq(shelves.id, id));
		if (!shelf) return refused([gone('shelf')]);
		for (const table of [boxes, binders] as const) {
			const own = await tx.select({ id: table.id }).from(table).where(eq(table.shelfId, id));
			for (const one of own) await record.update(table, one.id, { shelfId: null });
		}
		await record.remove(shelves, [id]);
		return { value: good({ id }), label: `Remove ${nameShelf(shelf)}`, touches: [] };
	});
}

/** Says on which shelf a binder stands; null: on none that is known. */
export function placeBinder(
	collection: Collection,
	id: number,
	shelfId: number | null
): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
		const [shelf] =
			shelfId === null ? [] : await tx.select().from(shelves).where(eq(shelves.id, shelfId));
		if (!binder) return refused([gone('binder')]);
		if (shelfId !== null && !shelf) return refused([gone('shelf')]);
		await record.update(binders, id, { shelfId });
		const label = shelf ? `${binder.name} on ${nameShelf(shelf)}` : `${binder.name} on no shelf`;
		return { value: good({ id }), label, touches: [] };
	});
}

export interface BoxFields {
	readonly name: string;
	readonly kind: string;
	readonly use: BoxUse;
	readonly shelfId: number | null;
}

/** Adds an empty box, or changes one: its name, kind, use or shelf. */
export function saveBox(
	collection: Collection,
	fields: Partial<BoxFields>,
	id?: number
): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [there] = id === undefined ? [] : await tx.select().from(boxes).where(eq(boxes.id, id));
		if (id !== undefined && !there) return refused([gone('box')]);
		const wanted = {
			name: (fields.name ?? there?.name ?? '').trim(),
			kind: fields.kind ?? there?.kind ?? '',
			use: fields.use ?? there?.use ?? 'sets',
			shelfId: fields.shelfId === undefined ? (there?.shelfId ?? null) : fields.shelfId
		};
		const problems = await problemsOf(tx, wanted, id);
		if (problems.length > 0) return refused(problems);
		const position =
			there && there.shelfId === wanted.shelfId
				? there.position
				: await nextPosition(tx, wanted.shelfId);
		if (!there) {
			const [made] = await record.insert(boxes, [{ ...wanted, position }]);
			return { value: good({ id: made?.id ?? 0 }), label: `Box ${wanted.name}`, touches: [] };
		}
		await record.update(boxes, there.id, { ...wanted, position });
		const label =
			there.shelfId === wanted.shelfId ? `Change ${wanted.name}` : `Move ${wanted.name}`;
		return { value: good({ id: there.id }), label, touches: [] };
	});
}

/** Moves boxes to shelves, all in one step; each stands behind those that are there. */
export function moveBoxes(
	collection: Collection,
	moves: readonly { readonly box: number; readonly shelf: number | null }[]
): Promise<Outcome<{ readonly moved: number }>> {
	return makeChange(collection, async (record, tx) => {
		for (const { box, shelf } of moves) {
			const [there] = await tx.select().from(boxes).where(eq(boxes.id, box));
			const [to] =
				shelf === null ? [] : await tx.select().from(shelves).where(eq(shelves.id, shelf));
			if (!there) return refused([gone('box')]);
			if (shelf !== null && !to) return refused([gone('shelf')]);
			await record.update(boxes, box, { shelfId: shelf, position: await nextPosition(tx, shelf) });
		}
		const label = moves.length === 1 ? 'Move a box' : `Move ${moves.length} boxes`;
		return { value: good({ moved: moves.length }), label, touches: [] };
	});
}

/** Stands a box one place to the left or right on its shelf; at the end it stays. */
export function shiftBox(collection: Collection, id: number, by: -1 | 1): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [box] = await tx.select().from(boxes).where(eq(boxes.id, id));
		if (box?.shelfId == null) return refused([gone('box on a shelf')]);
		const all = await tx.select().from(boxes).where(eq(boxes.shelfId, box.shelfId));
		const inOrder = all.sort((a, b) => a.position - b.position || a.id - b.id);
		const at = inOrder.findIndex((one) => one.id === id);
		const other = inOrder[at + by];
		if (!other) return { value: good({ id }), label: '', touches: [] };
		inOrder[at] = other;
		inOrder[at + by] = box;
		for (const [position, one] of inOrder.entries()) {
			if (one.position !== position) await record.update(boxes, one.id, { position });
		}
		return { value: good({ id }), label: `Move ${box.name}`, touches: [] };
	});
}

/** Removes a box with its dividers; its cards have no place then. */
export function removeBox(collection: Collection, id: number): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [box] = await tx.select().from(boxes).where(eq(boxes.id, id));
		if (!box) return refused([gone('box')]);
		const own = await tx.select({ id: dividers.id }).from(dividers).where(eq(dividers.boxId, id));
		await removeDividerRows(
			record,
			tx,
			own.map((one) => one.id)
		);
		await record.remove(boxes, [id]);
		return {
			value: good({ id }),
			label: `Remove ${box.name}: its cards have no place`,
			touches: []
		};
	});
}

/** A divider at the end of a row, for strays or a set. */
export function addDivider(
	collection: Collection,
	boxId: number,
	row: number,
	label: string,
	release: number | null
): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [box] = await tx.select().from(boxes).where(eq(boxes.id, boxId));
		if (!box) return refused([gone('box')]);
		const kind = (await readBoxKinds(tx)).find(({ key }) => key === box.kind);
		if (label.trim() === '' || !Number.isInteger(row) || row < 1 || row > (kind?.rows ?? 1)) {
			return refused([
				{
					field: 'label',
					message: 'this is no divider',
					remedy: `Give it a name and a row from 1 to ${kind?.rows ?? 1}.`
				}
			]);
		}
		const there = await tx
			.select({ position: dividers.position })
			.from(dividers)
			.where(and(eq(dividers.boxId, boxId), eq(dividers.row, row)));
		const at = Math.max(-1, ...there.map(({ position }) => position)) + 1;
		const id = await insertDivider(record, tx, { boxId, row, at, label: label.trim(), release });
		return { value: good({ id }), label: `${box.name}: divider ${label.trim()}`, touches: [] };
	});
}

export function renameDivider(collection: Collection, id: number, label: string): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [there] = await tx.select().from(dividers).where(eq(dividers.id, id));
		if (!there) return refused([gone('divider')]);
		if (label.trim() === '')
			return refused([{ field: 'label', message: 'a divider needs a name' }]);
		await record.update(dividers, id, { label: label.trim() });
		return { value: good({ id }), label: `Rename a divider to ${label.trim()}`, touches: [] };
	});
}

/** Takes a divider out; the cards behind it have no place then. */
export function removeDivider(collection: Collection, id: number): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [there] = await tx.select().from(dividers).where(eq(dividers.id, id));
		if (!there) return refused([gone('divider')]);
		await removeDividerRows(record, tx, [id]);
		return {
			value: good({ id }),
			label: `Take out ${there.label}: its cards have no place`,
			touches: []
		};
	});
}

async function nextPosition(tx: Transaction, shelfId: number | null): Promise<number> {
	if (shelfId === null) return 0;
	const [last] = await tx
		.select({ position: max(boxes.position) })
		.from(boxes)
		.where(eq(boxes.shelfId, shelfId));
	return (last?.position ?? -1) + 1;
}

async function problemsOf(
	tx: Transaction,
	{ name, kind, shelfId }: BoxFields,
	id?: number
): Promise<readonly Problem[]> {
	const [same] = await tx.select().from(boxes).where(eq(boxes.name, name));
	const isKnown = (await readBoxKinds(tx)).some(({ key }) => key === kind);
	const [shelf] =
		shelfId === null ? [] : await tx.select().from(shelves).where(eq(shelves.id, shelfId));
	return [
		...(name === '' ? [{ field: 'name', message: 'a box needs a name' }] : []),
		...(same && same.id !== id
			? [{ field: 'name', message: `"${name}" is there already`, remedy: 'Give it another name.' }]
			: []),
		...(isKnown ? [] : [{ field: 'kind', message: `there is no box kind "${kind}"` }]),
		...(shelfId === null || shelf ? [] : [gone('shelf')])
	];
}
