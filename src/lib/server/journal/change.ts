import { eq } from 'drizzle-orm';
import type { Collection, Transaction } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';
import { refreshProgress } from '../goals/refresh-progress.ts';
import { openRecorder, type Recorder } from './record.ts';
import type { RowChange } from './row-change.ts';

/** What a change did, for the journal. `touches` names the releases whose goals it may have moved. */
export interface ChangeResult<Value> {
	readonly value: Value;
	readonly label: string;
	readonly touches: readonly number[];
}

/**
 * Makes one change: in one transaction the rows are changed, the journal gets its row, what was
 * undone before can no longer be redone, and the progress of the goals concerned is refreshed.
 * A change that changes nothing leaves no trace; one that throws changes nothing.
 */
export async function makeChange<Value>(
	collection: Collection,
	change: (record: Recorder, tx: Transaction) => Promise<ChangeResult<Value>>
): Promise<Value> {
	return collection.write(async (tx) => {
		const changes: RowChange[] = [];
		const { value, label, touches } = await change(openRecorder(tx, changes), tx);
		if (changes.length === 0) return value;
		await tx.update(journal).set({ state: 'dropped' }).where(eq(journal.state, 'undone'));
		await tx.insert(journal).values({
			at: collection.now(),
			label,
			state: 'done',
			releaseIds: touches,
			changes
		});
		await refreshProgress(tx, touches, collection.now());
		return value;
	});
}
