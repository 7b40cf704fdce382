import { inArray } from 'drizzle-orm';
import type { Transaction } from '../database/open.ts';
import { boxCards } from '../database/tables/index.ts';
import type { Recorder } from '../database/record.ts';
import { readKeeping } from './keeping.ts';
import { keptAs } from './kept-columns.ts';
import { readFacts } from './kept-facts.ts';
import { standingCopies } from './standing-copies.ts';
import { readSwatches } from './read-swatches.ts';
import type { CopyId } from '../../core/row-id.ts';

/**
 * What stands in a box takes other room in another holder. A card that came into a rigid holder, or out of
 * one, belongs in another box: it leaves the one it stood in, and has no place until it is put away.
 */
export async function measureAnew(
	record: Recorder,
	tx: Transaction,
	copyIds: readonly CopyId[]
): Promise<void> {
	const keeping = await readKeeping(tx);
	const standing = await standingCopies(tx, keeping, inArray(boxCards.copyId, [...copyIds]));
	const releaseIds = standing.map(({ releaseId }) => releaseId);
	const swatchOf = await readSwatches(tx, releaseIds);
	const factsOf = await readFacts(tx, keeping, releaseIds);
	const leaving: number[] = [];
	const changed: { readonly id: number; readonly values: { um: number; mg: number } }[] = [];
	for (const { id, boxUse, ...row } of standing) {
		const { use, um, mg } = keptAs(row, swatchOf(row), keeping, factsOf(row));
		if (keeping.mustLeave(use, boxUse)) leaving.push(id);
		else if (um !== row.um || mg !== row.mg) changed.push({ id, values: { um, mg } });
	}
	await record.remove(boxCards, leaving);
	await record.updateMany(boxCards, changed);
}
