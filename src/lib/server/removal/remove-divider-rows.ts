import { inArray } from 'drizzle-orm';
import type { Transaction } from '../database/open.ts';
import { boxCards, discrepancies, dividers } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import type { DividerId } from '../../core/row-id.ts';

/** Removes dividers with what is recorded behind them; no copy is touched. */
export async function removeDividerRows(
	record: Recorder,
	tx: Transaction,
	ids: readonly DividerId[]
): Promise<void> {
	for (const table of [discrepancies, boxCards] as const) {
		const rows = await tx
			.select({ id: table.id })
			.from(table)
			.where(inArray(table.dividerId, [...ids]));
		await record.remove(
			table,
			rows.map(({ id }) => id)
		);
	}
	await record.remove(dividers, ids);
}
