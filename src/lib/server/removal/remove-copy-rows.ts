import { inArray } from 'drizzle-orm';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import {
	binderPockets,
	boxCards,
	copies,
	discrepancies,
	outings,
	photos,
	pileCards,
	slipLines
} from '../database/tables/index.ts';

import type { Recorder } from '../database/record.ts';
import type { CopyId } from '../../core/row-id.ts';

const HANGS_ON_A_COPY = [
	photos,
	binderPockets,
	boxCards,
	slipLines,
	pileCards,
	outings,
	discrepancies
] as const;

/** Removes copies with the photos that hang on them, and from the binders, boxes and slips they are on. */
export async function removeCopyRows(
	record: Recorder,
	tx: Transaction,
	ids: readonly CopyId[]
): Promise<void> {
	for (const some of chunks(ids, 5000)) {
		for (const table of HANGS_ON_A_COPY) {
			const rows = await tx
				.select({ id: table.id })
				.from(table)
				.where(inArray(table.copyId, [...some]));
			await record.remove(
				table,
				rows.map(({ id }) => id)
			);
		}
	}
	await record.remove(copies, ids);
}
