import { and, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { BoxUse } from '../../core/storage/kinds/box-use.ts';
import type { CardBulk } from '../../core/storage/room/card-bulk.ts';
import { chunks } from '../database/chunks.ts';
import type { Reader } from '../database/open.ts';
import { readJoined } from '../database/read-joined.ts';
import { copies } from '../database/tables/index.ts';
import { keptAs, keptColumns } from './kept-columns.ts';

/** Copies that are here: what is on its way stands nowhere. */
export const isHere = inArray(copies.status, ['kept', 'spare', 'to sell']);

/** Cards of a copy that lie in no pocket, stand in no box, and have no place in words. */
export interface HomelessCopy extends CardBulk {
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
	const found: (readonly HomelessCopy[])[] = [];
	for (const ids of chunks(some, 500)) {
		found.push(await readHomeless(db, valuableFromMinor, inArray(column, [...ids])));
	}
	return found.flat();
}

type HomelessRow = Omit<HomelessCopy, 'title' | 'use' | 'um' | 'mg'> & {
	readonly title: string | null;
} & Parameters<typeof keptAs>[0];

async function readHomeless(
	db: Reader,
	valuableFromMinor: number,
	where: SQL | undefined
): Promise<readonly HomelessCopy[]> {
	const free = sql<number>`("copies"."quantity"
		- coalesce((select sum(b.quantity) from box_cards b where b.copy_id = "copies"."id"), 0)
		- (select count(*) from binder_pockets p where p.copy_id = "copies"."id"))`;
	const { holder: _, status: __, ...fragments } = keptColumns(valuableFromMinor);
	const rows = await readJoined<HomelessRow>(
		db,
		{
			id: sql`"copies"."id"`,
			releaseId: sql`"copies"."release_id"`,
			cardKey: sql`"copies"."card_key"`,
			parallelKey: sql`"copies"."parallel_key"`,
			variantKey: sql`"copies"."variant_key"`,
			number: sql`k.number`,
			title: sql`k.title`,
			holder: sql`"copies"."holder"`,
			status: sql`"copies"."status"`,
			free,
			...fragments
		},
		sql`"copies" left join cards k on k.release_id = "copies"."release_id" and k.key = "copies"."card_key"
			where ${and(isHere, isNull(copies.place), where, sql`${free} > 0`)} order by "copies"."id"`
	);
	return rows.map((row) => {
		const { id, releaseId, cardKey, parallelKey, variantKey, number, title, free: count } = row;
		const version = { id, releaseId, cardKey, parallelKey, variantKey, number };
		return { ...version, title: title ?? cardKey, free: count, ...keptAs(row) };
	});
}
