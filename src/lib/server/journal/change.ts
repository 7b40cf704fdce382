import { and, eq, isNull, or } from 'drizzle-orm';
import { bad, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';
import { openRecorder, type Recorder } from '../database/record.ts';
import type { RowChange } from '../database/tables/journalled.ts';
import type { StepId } from '../../core/row-id.ts';
import { theRequest, theWindow } from './window.ts';

/** What a change did, for the journal; without a label nothing may have changed. */
export interface ChangeResult<Value> {
	readonly value: Value;
	readonly label: string;
}

/** What a change gives that was refused: nothing is written. */
export function refused(problems: readonly Problem[]): ChangeResult<Outcome<never>> {
	return { value: bad(problems), label: '' };
}

/**
 * Makes one change: in one transaction the rows are changed, the journal gets its row, what was
 * undone before can no longer be redone, and the collection's upkeep is done.
 * A change that changes nothing leaves no trace; one that throws, or is refused, changes nothing.
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
): Promise<{ readonly value: Value; readonly step: StepId | null }> {
	const refusals: Value[] = [];
	try {
		const made = await collection.write(async (tx) => {
			const changes: RowChange[] = [];
			const recorder = openRecorder(tx, changes);
			const { value, label } = await change(recorder, tx);
			if (changes.length === 0) return { value, step: null, label };
			if (isRefused(value)) {
				refusals.push(value);
				// Rows that were changed before it was refused are as they were.
				tx.rollback();
			}
			await collection.upkeep.complete(tx, recorder, changes);
			await dropUndone(tx);
			const [window, request] = [theWindow(), theRequest()];
			const [row] = await tx
				.insert(journal)
				.values({
					at: collection.now(),
					label,
					state: 'done',
					releaseIds: [],
					changes,
					window,
					request
				})
				.returning({ id: journal.id });
			await collection.upkeep.refresh(tx, changes, collection.now());
			return { value, step: row?.id ?? null, label };
		});
		if (made.step !== null) collection.news.tell({ label: made.label, window: theWindow() });
		return { value: made.value, step: made.step };
	} catch (error) {
		const [value] = refusals;
		if (value === undefined) throw error;
		return { value, step: null };
	}
}

/** What a window took back cannot be done again once it does something else; nor what nobody's window did. */
export async function dropUndone(tx: Transaction): Promise<void> {
	const window = theWindow();
	const isIts =
		window === null ? undefined : or(isNull(journal.window), eq(journal.window, window));
	await tx
		.update(journal)
		.set({ state: 'dropped' })
		.where(and(eq(journal.state, 'undone'), isIts));
}

/** Whether a change answers that it was refused. */
function isRefused(value: unknown): boolean {
	return typeof value === 'object' && value !== null && 'ok' in value && value.ok === false;
}
