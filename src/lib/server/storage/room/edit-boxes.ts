import { insertOne } from '../../database/record.ts';
import { eq, max } from 'drizzle-orm';
import type { BoxUse } from '../../../core/storage/kinds/box-use.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { boxes, dividers, shelves } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { boxSupply } from '../../../core/storage/supplies/supply.ts';
import { useSupplies } from '../supplies/stock.ts';
import { readKeeping } from '../../places/keeping.ts';
import { gone } from '../gone.ts';
import { standsIn } from '../../../core/storage/kinds/box-kind.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';
import { readBoxes } from './read-storage.ts';
import { removeDividerRows } from '../../removal/remove-divider-rows.ts';
import { rowId, type BoxId, type ShelfId } from '../../../core/row-id.ts';

type Done = Outcome<{ readonly id: BoxId }>;

export interface BoxFields {
	readonly name: string;
	readonly kind: string;
	readonly use: BoxUse;
	readonly shelfId: ShelfId | null;
	/** The larger box in which a small one stands, and its row; left out: as it was, null: in none. */
	readonly inside?: { readonly boxId: BoxId; readonly row: number } | null;
}

/** What a form of a box says: its larger box as "12/3", or empty. */
export function boxFields({
	inside,
	...said
}: Omit<BoxFields, 'inside'> & { readonly inside: string }): BoxFields {
	const [boxId = 0, row = 0] = inside.split('/').map(Number);
	return { ...said, inside: inside === '' ? null : { boxId: rowId<'boxes'>(boxId), row } };
}

/** Adds an empty box, or changes one: its name, kind, use or shelf. */
export function saveBox(
	collection: Collection,
	fields: Partial<BoxFields>,
	id?: BoxId
): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [known] = id === undefined ? [] : await tx.select().from(boxes).where(eq(boxes.id, id));
		if (id !== undefined && !known) return refused([gone('box')]);
		const inside =
			fields.inside === undefined && known?.insideId != null
				? { boxId: known.insideId, row: known.insideRow ?? 1 }
				: (fields.inside ?? null);
		const onShelf = fields.shelfId === undefined ? (known?.shelfId ?? null) : fields.shelfId;
		const wanted = {
			name: (fields.name ?? known?.name ?? '').trim(),
			kind: fields.kind ?? known?.kind ?? '',
			use: fields.use ?? known?.use ?? 'sets',
			shelfId: inside === null ? onShelf : null,
			insideId: inside?.boxId ?? null,
			insideRow: inside?.row ?? null
		};
		const problems = [
			...(await problemsOf(tx, wanted, known)),
			...(inside === null ? [] : await problemsInside(tx, wanted.kind, inside, known))
		];
		if (problems.length > 0) return refused(problems);
		const position =
			known && known.shelfId === wanted.shelfId && known.insideId === wanted.insideId
				? known.position
				: inside === null
					? await nextPosition(tx, wanted.shelfId)
					: await tx.$count(boxes, eq(boxes.insideId, inside.boxId));
		if (!known) {
			const made = await insertOne(record, boxes, { ...wanted, position });
			await useSupplies(record, tx, [{ key: boxSupply(wanted.kind), count: 1 }]);
			return { value: good({ id: made.id }), label: `Box ${wanted.name}` };
		}
		await record.update(boxes, known.id, { ...wanted, position });
		const label =
			known.shelfId === wanted.shelfId && known.insideId === wanted.insideId
				? `Change ${wanted.name}`
				: `Move ${wanted.name}`;
		return { value: good({ id: known.id }), label };
	});
}

/** Moves boxes to shelves, all in one step; each stands behind those that are there. */
export function moveBoxes(
	collection: Collection,
	moves: readonly { readonly box: BoxId; readonly shelf: ShelfId | null }[]
): Promise<Outcome<{ readonly moved: number }>> {
	return makeChange(collection, async (record, tx) => {
		for (const { box, shelf } of moves) {
			const [known] = await tx.select().from(boxes).where(eq(boxes.id, box));
			const [to] =
				shelf === null ? [] : await tx.select().from(shelves).where(eq(shelves.id, shelf));
			if (!known) return refused([gone('box')]);
			if (shelf !== null && !to) return refused([gone('shelf')]);
			await record.update(boxes, box, { shelfId: shelf, position: await nextPosition(tx, shelf) });
		}
		const label = moves.length === 1 ? 'Move a box' : `Move ${moves.length} boxes`;
		return { value: good({ moved: moves.length }), label };
	});
}

/** Stands a box one place to the left or right on its shelf; at the end it stays. */
export function shiftBox(collection: Collection, id: BoxId, by: -1 | 1): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [box] = await tx.select().from(boxes).where(eq(boxes.id, id));
		if (box?.shelfId == null) return refused([gone('box on a shelf')]);
		const all = await tx.select().from(boxes).where(eq(boxes.shelfId, box.shelfId));
		const inOrder = all.sort((a, b) => a.position - b.position || a.id - b.id);
		const at = inOrder.findIndex((each) => each.id === id);
		const other = inOrder[at + by];
		if (!other) return { value: good({ id }), label: '' };
		inOrder[at] = other;
		inOrder[at + by] = box;
		for (const [position, row] of inOrder.entries()) {
			if (row.position !== position) await record.update(boxes, row.id, { position });
		}
		return { value: good({ id }), label: `Move ${box.name}` };
	});
}

/** Removes a box with its dividers; its cards have no place then, and small boxes in it stand nowhere. */
export function removeBox(collection: Collection, id: BoxId): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [box] = await tx.select().from(boxes).where(eq(boxes.id, id));
		if (!box) return refused([gone('box')]);
		const inBox = await tx.select({ id: dividers.id }).from(dividers).where(eq(dividers.boxId, id));
		await removeDividerRows(
			record,
			tx,
			inBox.map((row) => row.id)
		);
		const small = await tx.select({ id: boxes.id }).from(boxes).where(eq(boxes.insideId, id));
		for (const inner of small) {
			await record.update(boxes, inner.id, { insideId: null, insideRow: null });
		}
		await record.remove(boxes, [id]);
		return {
			value: good({ id }),
			label: `Remove ${box.name}: its cards have no place`
		};
	});
}

async function nextPosition(tx: Transaction, shelfId: ShelfId | null): Promise<number> {
	if (shelfId === null) return 0;
	const [last] = await tx
		.select({ position: max(boxes.position) })
		.from(boxes)
		.where(eq(boxes.shelfId, shelfId));
	return (last?.position ?? -1) + 1;
}

async function problemsOf(
	tx: Transaction,
	{ name, kind, use, shelfId }: BoxFields,
	known?: BoxFields & { readonly id: BoxId }
): Promise<readonly Problem[]> {
	const [same] = await tx.select().from(boxes).where(eq(boxes.name, name));
	const isKnown = (await readBoxKinds(tx)).some(({ key }) => key === kind);
	const { uses } = await readKeeping(tx);
	const [shelf] =
		shelfId === null ? [] : await tx.select().from(shelves).where(eq(shelves.id, shelfId));
	return [
		...(name === '' ? [{ field: 'name', message: 'a box needs a name' }] : []),
		...(same && same.id !== known?.id
			? [{ field: 'name', message: `"${name}" is there already`, remedy: 'Give it another name.' }]
			: []),
		...(uses.includes(use) || use === known?.use
			? []
			: [
					{
						field: 'use',
						message: `there is no storage class or tier "${use}"`,
						remedy: `Use: ${uses.join(', ')}.`
					}
				]),
		...(isKnown ? [] : [{ field: 'kind', message: `there is no box kind "${kind}"` }]),
		...(shelfId === null || shelf ? [] : [gone('shelf')])
	];
}

/** Why a box of a kind cannot stand in a row of another one: all of it. */
async function problemsInside(
	tx: Transaction,
	kindKey: string,
	{ boxId, row }: { readonly boxId: BoxId; readonly row: number },
	known?: { readonly id: BoxId; readonly insideId: BoxId | null; readonly insideRow: number | null }
): Promise<readonly Problem[]> {
	const kind = (await readBoxKinds(tx)).find(({ key }) => key === kindKey);
	const [host] = await readBoxes(tx, [boxId]);
	if (!host || !kind) return [gone('box')];
	const [self] = known ? await readBoxes(tx, [known.id]) : [];
	const place = host.rows.find((each) => each.row === row);
	const takenUm = host.inside.find(({ id, row: at }) => id === known?.id && at === row)?.um ?? 0;
	const tell = (message: string, remedy: string) => ({ field: 'inside', message, remedy });
	return [
		...(host.id === known?.id || host.insideId !== null || (self?.inside.length ?? 0) > 0
			? [tell('a box in a box holds no other', 'Choose a box that stands on a shelf.')]
			: []),
		...(!place || row > host.kind.rows
			? [tell(`${host.name} has no row ${row}`, `It has ${host.kind.rows}.`)]
			: []),
		...(standsIn(kind, host.kind)
			? []
			: [
					tell(
						`${kind.name} is too large for a row of ${host.name}`,
						'Choose a smaller kind, or a larger box.'
					)
				]),
		...(place && place.usedUm - takenUm + kind.lengthMm * 1000 > host.kind.rowMm * 1000
			? [tell(`row ${row} of ${host.name} is too full for it`, 'Choose another row.')]
			: [])
	];
}
