import { group } from 'd3-array';
import { asc, countDistinct, eq, sql, sum } from 'drizzle-orm';
import { BOX_KINDS, boxKindOf, type BoxKind } from '../../core/boxes/box-kind.ts';
import { boxWeight } from '../../core/boxes/box-weight.ts';
import { DIVIDER_UM } from '../../core/boxes/choose-box.ts';
import { inWalkingOrder, type Shelf } from '../../core/boxes/shelf.ts';
import { compareTitles } from '../../core/checklist/compare-card-numbers.ts';
import type { Reader } from '../database/open.ts';
import { boxCards, boxes, dividers, ownKinds, shelves } from '../database/tables/index.ts';

export interface StoredShelf extends Shelf {
	readonly id: number;
}

export interface FilledRow {
	readonly row: number;
	readonly cards: number;
	/** Cards and dividers. */
	readonly usedUm: number;
}

/** A box that stands somewhere, with how full and how heavy it is. */
export interface StoredBox {
	readonly id: number;
	readonly shelfId: number | null;
	readonly position: number;
	readonly name: string;
	readonly kind: BoxKind;
	readonly use: (typeof boxes.$inferSelect)['use'];
	readonly cards: number;
	readonly grams: number;
	/** A caution in words; null: none is needed. */
	readonly caution: string | null;
	/** One for each row of its kind. */
	readonly rows: readonly FilledRow[];
	/** Share of all its rows that is used; over 1 where one is too full. */
	readonly fill: number;
}

export async function readShelves(db: Reader): Promise<readonly StoredShelf[]> {
	const rows = await db.select().from(shelves);
	return inWalkingOrder(rows.map((row) => ({ ...row, key: String(row.id) })));
}

export async function readBoxKinds(db: Reader): Promise<readonly BoxKind[]> {
	const rows = await db
		.select({ kind: ownKinds.kind })
		.from(ownKinds)
		.where(eq(ownKinds.sort, 'box'))
		.orderBy(asc(ownKinds.id));
	return [...BOX_KINDS, ...rows.map(({ kind }) => kind as BoxKind)];
}

/** All boxes in walking order: shelf by shelf, from the left; what stands on no shelf comes last. */
export async function readBoxes(db: Reader): Promise<readonly StoredBox[]> {
	const kinds = await readBoxKinds(db);
	const order = new Map((await readShelves(db)).map(({ id }, i) => [id, i]));
	const filled = await db
		.select({
			boxId: dividers.boxId,
			row: dividers.row,
			dividers: countDistinct(dividers.id),
			cards: sum(boxCards.quantity).mapWith(Number),
			um: sql<number>`sum(${boxCards.quantity} * ${boxCards.um})`,
			mg: sql<number>`sum(${boxCards.quantity} * ${boxCards.mg})`
		})
		.from(dividers)
		.leftJoin(boxCards, eq(boxCards.dividerId, dividers.id))
		.groupBy(dividers.boxId, dividers.row);
	const rowsOf = group(filled, ({ boxId }) => boxId);
	const all = await db.select().from(boxes).orderBy(asc(boxes.position), asc(boxes.id));
	const shelfOf = ({ shelfId }: { readonly shelfId: number | null }) =>
		shelfId === null ? Infinity : (order.get(shelfId) ?? Infinity);
	return all
		.map(({ kind: key, ...box }): StoredBox => {
			const kind = boxKindOf(key, kinds);
			const own = rowsOf.get(box.id) ?? [];
			const last = Math.max(kind.rows, ...own.map(({ row }) => row));
			const rows = Array.from({ length: last }, (_, i) => {
				const there = own.find(({ row }) => row === i + 1);
				const usedUm = there ? (there.um ?? 0) + there.dividers * DIVIDER_UM : 0;
				return { row: i + 1, cards: there?.cards ?? 0, usedUm };
			});
			const cardsG = own.reduce((total, { mg }) => total + (mg ?? 0), 0) / 1000;
			const { grams, caution } = boxWeight([], kind.tareG + cardsG);
			return {
				...box,
				kind,
				rows,
				grams,
				caution,
				cards: rows.reduce((total, row) => total + row.cards, 0),
				fill: rows.reduce((total, row) => total + row.usedUm, 0) / (kind.rowMm * 1000 * kind.rows)
			};
		})
		.sort((a, b) =>
			shelfOf(a) === shelfOf(b)
				? a.position - b.position || compareTitles(a.name, b.name)
				: shelfOf(a) - shelfOf(b)
		);
}
