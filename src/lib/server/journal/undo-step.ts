import { and, asc, eq, gt } from 'drizzle-orm';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';
import { openRecorder } from '../database/record.ts';
import type { RowChange } from '../database/tables/journalled.ts';
import { dropUndone } from './change.ts';
import { turn, undo, type Step } from './undo.ts';
import { theWindow } from './window.ts';
import type { StepId } from '../../core/row-id.ts';

/**
 * Takes back any one step, however long ago. Where a later step changed the same rows, it is refused,
 * and those steps are named: they have to go first. Taking it back is a step of its own, which undo
 * takes back again.
 */
export async function undoStep(collection: Collection, id: StepId): Promise<Outcome<Step>> {
	try {
		const taken = await turnBack(collection, id);
		if (taken.ok) collection.news.tell({ label: taken.value.label, window: theWindow() });
		return taken;
	} catch (error) {
		if (!isHeld(error)) throw error;
		// A copy that was logged stands in a box, a word was defined again since: nothing was written.
		return bad(HELD);
	}
}

function turnBack(collection: Collection, id: StepId): Promise<Outcome<Step>> {
	return collection.write(async (tx) => {
		const [entry] = await tx.select().from(journal).where(eq(journal.id, id));
		if (entry?.state !== 'done') {
			return bad([{ message: 'this step is not in force', remedy: 'Reload the page.' }]);
		}
		const inTheWay = await laterOnSameRows(tx, entry);
		if (inTheWay.length > 0) return bad(inTheWay);
		const reversed = [...entry.changes]
			.reverse()
			.map(({ table, before, after }): RowChange => ({ table, before: after, after: before }));
		for (const change of reversed) await turn(tx, change, change.before, change.after);
		const trimmed: RowChange[] = [];
		await collection.upkeep.complete(tx, openRecorder(tx, trimmed), reversed);
		const all = [...reversed, ...trimmed];
		const at = collection.now();
		const label = `Take back: ${entry.label}`;
		await dropUndone(tx);
		const [step] = await tx
			.insert(journal)
			.values({
				at,
				label,
				state: 'done',
				releaseIds: [],
				changes: all,
				window: theWindow()
			})
			.returning({ id: journal.id });
		if (!step) throw new RangeError(`undoStep: step ${id} left no step of its own`);
		await collection.upkeep.refresh(tx, all, at);
		return good({ id: step.id, at, label });
	});
}

/** Takes a step back: as undo does where it is the last one, so that redo makes it again; else by itself. */
export async function takeBack(collection: Collection, id: StepId): Promise<Outcome<Step>> {
	const step = await undo(collection, id);
	return step ? good(step) : undoStep(collection, id);
}

/** Why a step cannot be turned by itself: later ones, in force, changed the same rows. */
export async function laterOnSameRows(
	tx: Transaction,
	{ id, changes }: Pick<typeof journal.$inferSelect, 'id' | 'changes'>
): Promise<readonly Problem[]> {
	const later = await tx
		.select()
		.from(journal)
		.where(and(gt(journal.id, id), eq(journal.state, 'done')))
		.orderBy(asc(journal.id));
	const touched = rowsOf(changes);
	return later
		.filter((other) => [...rowsOf(other.changes)].some((row) => touched.has(row)))
		.slice(0, 5)
		.map(({ label }) => ({
			message: `"${label}" changed the same things later`,
			remedy: 'Take that back first.'
		}));
}

function rowsOf(changes: readonly RowChange[]): ReadonlySet<string> {
	return new Set(
		changes.flatMap(({ table, before, after }) =>
			[...before, ...after].map((row) => `${table} ${row.id}`)
		)
	);
}

/** The refusal of a step on which later ones hang. */
export const HELD: readonly Problem[] = [
	{ message: 'something recorded later hangs on it', remedy: 'Take the later steps back first.' }
];

/** Whether a write failed because another row names one that was to go, or took the place of one that was to come. */
export function isHeld(error: unknown): boolean {
	for (let cause = error; cause instanceof Error; cause = cause.cause) {
		if (/(FOREIGN KEY|UNIQUE) constraint failed/.test(cause.message)) return true;
	}
	return false;
}
