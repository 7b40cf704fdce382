import { and, asc, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { BoxUse } from '../../core/boxes/box-use.ts';
import type { OneCard } from '../../core/boxes/one-card.ts';
import { chunks } from '../database/chunks.ts';
import type { Reader } from '../database/open.ts';
import { cards, copies } from '../database/tables/index.ts';
import { keptAs, keptColumns } from './kept-columns.ts';

/** Copies that are here: what is on its way stands nowhere. */
export const isHere = inArray(copies.status, ['kept', 'spare', 'to sell']);

/** Cards of a copy that lie in no pocket, stand in no box, and have no place in words. */
export interface HomelessCopy extends OneCard {
	readonly id: number;
	readonly releaseId: number;
	readonly cardKey: string;
	readonly parallelKey: string | null;
	readonly variantKey: string | null;
	readonly number: string | null;
	readonly title: string;
	readonly use: BoxUse;
	/** How many of them. */
	readonly free: number;
}

/** Homeless copies of some releases, or of all; oldest first. Cards of editions bear their key as title. */
export async function homelessCopies(
	db: Reader,
	valuableFromMinor: number,
	only: { readonly releases?: readonly number[]; readonly copies?: readonly number[] } = {}
): Promise<readonly HomelessCopy[]> {
	const some = only.copies ?? only.releases;
	if (some === undefined) return readHomeless(db, valuableFromMinor, undefined);
	const column = only.copies ? copies.id : copies.releaseId;
	const found: HomelessCopy[] = [];
	for (const ids of chunks(some, 5000)) {
		found.push(...(await readHomeless(db, valuableFromMinor, inArray(column, [...ids]))));
	}
	return found;
}

async function readHomeless(
	db: Reader,
	valuableFromMinor: number,
	where: SQL | undefined
): Promise<readonly HomelessCopy[]> {
	const free = sql<number>`("copies"."quantity"
		- coalesce((select sum(b.quantity) from box_cards b where b.copy_id = "copies"."id"), 0)
		- (select count(*) from binder_pockets p where p.copy_id = "copies"."id"))`;
	const rows = await db
		.select({
			id: copies.id,
			releaseId: copies.releaseId,
			cardKey: copies.cardKey,
			parallelKey: copies.parallelKey,
			variantKey: copies.variantKey,
			number: cards.number,
			title: cards.title,
			free,
			...keptColumns(valuableFromMinor)
		})
		.from(copies)
		.leftJoin(cards, and(eq(cards.releaseId, copies.releaseId), eq(cards.key, copies.cardKey)))
		.where(and(isHere, isNull(copies.place), where, sql`${free} > 0`))
		.orderBy(asc(copies.id));
	return rows.map((row) => {
		const { id, releaseId, cardKey, parallelKey, variantKey, number, title, free: count } = row;
		const version = { id, releaseId, cardKey, parallelKey, variantKey, number };
		return { ...version, title: title ?? cardKey, free: count, ...keptAs(row) };
	});
}
