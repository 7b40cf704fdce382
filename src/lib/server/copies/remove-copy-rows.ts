import { inArray } from 'drizzle-orm';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import { binderPockets, copies, photos } from '../database/tables/index.ts';
import type { Recorder } from '../journal/record.ts';

/** Removes copies with the photos that hang on them, and from the binders in which they lie. */
export async function removeCopyRows(
	record: Recorder,
	tx: Transaction,
	ids: readonly number[]
): Promise<void> {
	for (const some of chunks(ids, 5000)) {
		for (const table of [photos, binderPockets] as const) {
			const own = await tx
				.select({ id: table.id })
				.from(table)
				.where(inArray(table.copyId, [...some]));
			await record.remove(
				table,
				own.map(({ id }) => id)
			);
		}
	}
	await record.remove(copies, ids);
}
