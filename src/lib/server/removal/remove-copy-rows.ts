import { inArray } from 'drizzle-orm';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import {
	binderPockets,
	boxCards,
	copies,
	discrepancies,
	listingCards,
	outings,
	photos,
	pileCards,
	slipLines,
	submissionCards,
	worksheets
} from '../database/tables/index.ts';

import type { Recorder } from '../database/record.ts';
import type { CopyId } from '../../core/row-id.ts';

const HANGS_ON_A_COPY = [
	photos,
	binderPockets,
	boxCards,
	slipLines,
	pileCards,
	worksheets,
	discrepancies
] as const;

/**
 * Removes copies with the photos that hang on them, and from the binders, boxes and slips they are on. What they were sold
 * for and what a house said of them stays.
 */
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
		for (const { id } of await tx
			.select({ id: listingCards.id })
			.from(listingCards)
			.where(inArray(listingCards.copyId, [...some]))) {
			await record.update(listingCards, id, { copyId: null });
		}
		for (const { id } of await tx
			.select({ id: submissionCards.id })
			.from(submissionCards)
			.where(inArray(submissionCards.copyId, [...some]))) {
			await record.update(submissionCards, id, { copyId: null, outingId: null });
		}
		const out = await tx
			.select({ id: outings.id })
			.from(outings)
			.where(inArray(outings.copyId, [...some]));
		await record.remove(
			outings,
			out.map(({ id }) => id)
		);
	}
	await record.remove(copies, ids);
}
