import { group, sum } from 'd3-array';
import { asc, count, eq, inArray, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { boxKindOf, standsIn, type BoxKind } from '../../../core/storage/kinds/box-kind.ts';
import type { BoxUse } from '../../../core/storage/kinds/box-use.ts';
import { boxWeight } from '../../../core/storage/room/box-weight.ts';
import { dividersUm } from '../../../core/storage/rows/dividers-um.ts';
import { inWalkingOrder, nameShelf, type Shelf } from '../../../core/storage/shelves/shelf.ts';
import { compareTitles } from '../../../core/checklist/numbers/compare-card-numbers.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';
import type { Reader } from '../../database/open.ts';
import { boxes, dividers, dividerSums, shelves } from '../../database/tables/index.ts';
import type { BoxId, ShelfId } from '../../../core/row-id.ts';

export interface StoredShelf extends Shelf {
	readonly id: ShelfId;
}

export interface FilledRow {
	readonly row: number;
	readonly cards: number;
	/** Cards and dividers. */
	readonly usedUm: number;
}

/** A box that stands somewhere, with how full and how heavy it is. */
export interface StoredBox extends Omit<BoxHead, 'kind'> {
	readonly kind: BoxKind;
	readonly cards: number;
	readonly grams: number;
	/** A caution in words; null: none is needed. */
	readonly caution: string | null;
	/** One for each row of its kind. */
	readonly rows: readonly FilledRow[];
	/** Small boxes that stand in it. */
	readonly inside: readonly InnerBox[];
	/** Share of all its rows that is used; over 1 where one is too full. */
	readonly fill: number;
}

/** A small box in a row of a larger one. */
export interface InnerBox {
	readonly id: BoxId;
	readonly name: string;
	readonly row: number;
	/** What it takes of the row. */
	readonly um: number;
	readonly cards: number;
	readonly grams: number;
}

export async function readShelves(db: Reader): Promise<readonly StoredShelf[]> {
	const rows = await db.select().from(shelves);
	return inWalkingOrder(rows.map((row) => ({ ...row, key: String(row.id) })));
}

/** Boxes that stand on a shelf or nowhere, and in whose rows the smallest box of all goes. */
export async function readHosts(
	db: Reader
): Promise<readonly { readonly id: BoxId; readonly name: string; readonly kind: BoxKind }[]> {
	const kinds = await readBoxKinds(db);
	const small = kinds.filter(({ isSmall }) => isSmall);
	return (await readBoxHeads(db)).flatMap(({ id, name, insideId, kind: key }) => {
		const kind = boxKindOf(key, kinds);
		const takes = insideId === null && small.some((each) => standsIn(each, kind));
		return takes ? [{ id, name, kind }] : [];
	});
}

/** A box without what is in it. */
export interface BoxHead {
	readonly id: BoxId;
	readonly shelfId: ShelfId | null;
	readonly position: number;
	readonly name: string;
	/** Key of its kind. */
	readonly kind: string;
	readonly use: BoxUse;
	/** "Rack A, shelf 2", with the box it stands in; null: it stands on none. */
	readonly shelf: string | null;
	/** The larger box in which a small one stands, and its row; null: in none. */
	readonly insideId: BoxId | null;
	readonly insideRow: number | null;
}

/** Boxes in walking order: shelf by shelf, from the left; what stands on no shelf comes last. */
export async function readBoxHeads(db: Reader): Promise<readonly BoxHead[]> {
	const walk = await readShelves(db);
	const order = new Map(walk.map(({ id }, i) => [id, i]));
	const names = new Map(walk.map((shelf) => [shelf.id, nameShelf(shelf)]));
	const shelfOf = ({ shelfId }: { readonly shelfId: ShelfId | null }) =>
		(shelfId === null ? undefined : order.get(shelfId)) ?? Number.MAX_SAFE_INTEGER;
	const all = await db.select().from(boxes).orderBy(asc(boxes.position), asc(boxes.id));
	const shelfName = ({ shelfId }: { readonly shelfId: ShelfId | null }) =>
		shelfId === null ? null : (names.get(shelfId) ?? null);
	const inside = group(
		all.filter(({ insideId }) => insideId !== null),
		({ insideId }) => insideId
	);
	return all
		.filter(({ insideId }) => insideId === null)
		.sort(
			(a, b) => shelfOf(a) - shelfOf(b) || a.position - b.position || compareTitles(a.name, b.name)
		)
		.flatMap((host) => [
			{ ...host, shelf: shelfName(host) },
			// What stands in a box is come to when one is at the box.
			...(inside.get(host.id) ?? [])
				.toSorted((a, b) => (a.insideRow ?? 0) - (b.insideRow ?? 0) || a.position - b.position)
				.map((small) => ({
					...small,
					shelf: [shelfName(host), `in ${host.name}, row ${small.insideRow ?? 1}`]
						.filter(Boolean)
						.join(', ')
				}))
		]);
}

/** All boxes, or some, in walking order, with how full and how heavy each is. */
export async function readBoxes(db: Reader, ids?: readonly BoxId[]): Promise<readonly StoredBox[]> {
	const kinds = await readBoxKinds(db);
	const total = (column: SQLiteColumn) => sql<number>`coalesce(sum(${column}), 0)`;
	const filled = await db
		.select({
			boxId: dividers.boxId,
			row: dividers.row,
			dividers: count(),
			cards: total(dividerSums.cards),
			um: total(dividerSums.um),
			mg: total(dividerSums.mg)
		})
		.from(dividers)
		.leftJoin(dividerSums, eq(dividerSums.dividerId, dividers.id))
		.where(ids && inArray(dividers.boxId, [...ids]))
		.groupBy(dividers.boxId, dividers.row);
	const rowsOf = group(filled, ({ boxId }) => boxId);
	const all = await readBoxHeads(db);
	const heads = all.filter(({ id }) => ids?.includes(id) ?? true);
	const small = all.filter(
		({ insideId }) => insideId !== null && (ids?.includes(insideId) ?? true)
	);
	const innerOf = group(await readInner(db, small, kinds), ({ insideId }) => insideId);
	return heads.map(({ kind: key, ...box }): StoredBox => {
		const kind = boxKindOf(key, kinds);
		const standing = rowsOf.get(box.id) ?? [];
		const inside = innerOf.get(box.id) ?? [];
		const last = Math.max(kind.rows, ...[...standing, ...inside].map(({ row }) => row));
		const rows = Array.from({ length: last }, (_, i) => {
			const rowUse = standing.find(({ row }) => row === i + 1);
			const innerUm = sum(
				inside.filter(({ row }) => row === i + 1),
				({ um }) => um
			);
			const cardsUm = rowUse ? Math.round(rowUse.um + dividersUm(kind, rowUse.dividers)) : 0;
			const usedUm = cardsUm + innerUm;
			return { row: i + 1, cards: rowUse?.cards ?? 0, usedUm };
		});
		const cardsG = sum(standing, ({ mg }) => mg) / 1000;
		const { grams, caution } = boxWeight(
			[],
			kind.tareG + cardsG + sum(inside, (inner) => inner.grams)
		);
		return {
			...box,
			kind,
			rows,
			grams,
			caution,
			inside,
			cards: sum(rows, (row) => row.cards),
			fill: sum(rows, (row) => row.usedUm) / (kind.rowMm * 1000 * kind.rows)
		};
	});
}

/** What small boxes take of the rows they stand in, and what they weigh with their cards. */
async function readInner(
	db: Reader,
	small: readonly BoxHead[],
	kinds: readonly BoxKind[]
): Promise<readonly (InnerBox & { readonly insideId: BoxId | null })[]> {
	if (small.length === 0) return [];
	const filled = await db
		.select({
			boxId: dividers.boxId,
			cards: sql<number>`coalesce(sum(${dividerSums.cards}), 0)`,
			mg: sql<number>`coalesce(sum(${dividerSums.mg}), 0)`
		})
		.from(dividers)
		.innerJoin(dividerSums, eq(dividerSums.dividerId, dividers.id))
		.where(
			inArray(
				dividers.boxId,
				small.map(({ id }) => id)
			)
		)
		.groupBy(dividers.boxId);
	const sumsOf = new Map(filled.map((row) => [row.boxId, row]));
	return small.map(({ id, name, kind: key, insideId, insideRow }) => {
		const kind = boxKindOf(key, kinds);
		const { cards = 0, mg = 0 } = sumsOf.get(id) ?? {};
		const um = kind.lengthMm * 1000;
		return { id, name, insideId, row: insideRow ?? 1, um, cards, grams: kind.tareG + mg / 1000 };
	});
}
