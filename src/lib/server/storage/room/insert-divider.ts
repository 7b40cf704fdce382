import { and, eq, gte } from 'drizzle-orm';
import type { Run } from '../../../core/storage/runs/run.ts';
import type { Transaction } from '../../database/open.ts';
import { dividers } from '../../database/tables/index.ts';
import { insertOne, type Recorder } from '../../database/record.ts';
import { columnsOfRun } from '../runs/read-homes.ts';
import type { BoxId, DividerId, ReleaseId } from '../../../core/row-id.ts';

/** A new divider in a row, behind so many others; those after it move on. */
export async function insertDivider(
	record: Recorder,
	tx: Transaction,
	{
		boxId,
		row,
		at,
		label,
		releaseId,
		run,
		straysOf,
		partOf
	}: {
		boxId: BoxId;
		row: number;
		at: number;
		label: string;
		releaseId: ReleaseId | null;
		run: Run | null;
		straysOf: string | null;
		partOf: number | null;
	}
): Promise<DividerId> {
	const later = await tx
		.select()
		.from(dividers)
		.where(and(eq(dividers.boxId, boxId), eq(dividers.row, row), gte(dividers.position, at)));
	for (const { id, position } of later)
		await record.update(dividers, id, { position: position + 1 });
	const made = await insertOne(record, dividers, {
		boxId,
		row,
		position: at,
		label,
		releaseId,
		...columnsOfRun(run),
		straysOf,
		partOf
	});
	return made.id;
}
