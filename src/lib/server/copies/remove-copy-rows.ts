import { inArray } from 'drizzle-orm';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import { copies, photos } from '../database/tables/index.ts';
import type { Recorder } from '../journal/record.ts';

/** Removes copies with the photos that hang on them. */
export async function removeCopyRows(
	record: Recorder,
	tx: Transaction,
	ids: readonly number[]
): Promise<void> {
	for (const some of chunks(ids, 5000)) {
		const own = await tx
			.select({ id: photos.id })
			.from(photos)
			.where(inArray(photos.copyId, [...some]));
		await record.remove(
			photos,
			own.map(({ id }) => id)
		);
	}
	await record.remove(copies, ids);
}
