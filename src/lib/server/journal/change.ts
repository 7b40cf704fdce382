import { eq } from 'drizzle-orm';
import { bad, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';
import { trimBoxCards } from '../boxes/trim-box-cards.ts';
import { refreshProgress } from '../goals/refresh-progress.ts';
import { openRecorder, type Recorder } from './record.ts';
import type { RowChange } from './row-change.ts';

/** What a change did, for the journal. `touches` names the releases whose goals it may have moved. */
export interface ChangeResult<Value> {
	readonly value: Value;
	readonly label: string;
	readonly touches: readonly number[];
}

/** What a change gives that was refused: nothing is written. */
export function refused(problems: readonly Problem[]): ChangeResult<Outcome<never>> {
	return { value: bad(problems), label: '', touches: [] };
}

/**
 * Makes one change: in one transaction the rows are changed, the journal gets its row, what was
 * undone before can no longer be redone, and the progress of the goals concerned is refreshed.
 * A change that changes nothing leaves no trace; one that throws changes nothing.
 */
export async function makeChange<Value>(
	collection: Collection,
	change: Change<Value>
): Promise<Value> {
	return (await makeStep(collection, change)).value;
}

type Change<Value> = (record: Recorder, tx: Transaction) => Promise<ChangeResult<Value>>;

/** The same, with the id of its step in the journal; null where nothing changed. */
export async function makeStep<Value>(
	collection: Collection,
	change: Change<Value>
): Promise<{ readonly value: Value; readonly step: number | null }> {
	return collection.write(async (tx) => {
		const changes: RowChange[] = [];
		const recorder = openRecorder(tx, changes);
		const { value, label, touches } = await change(recorder, tx);
		if (changes.length > 0) await trimBoxCards(recorder, tx, touches);
		if (changes.length === 0) return { value, step: null };
		await tx.update(journal).set({ state: 'dropped' }).where(eq(journal.state, 'undone'));
		const [row] = await tx
			.insert(journal)
			.values({ at: collection.now(), label, state: 'done', releaseIds: touches, changes })
			.returning({ id: journal.id });
		await refreshProgress(tx, touches, collection.now());
		return { value, step: row?.id ?? null };
	});
}
