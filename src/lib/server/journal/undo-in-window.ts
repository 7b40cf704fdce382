import { eq } from 'drizzle-orm';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { openRecorder } from '../database/record.ts';
import { journal } from '../database/tables/index.ts';
import type { RowChange } from '../database/tables/journalled.ts';
import { HELD, isHeld, laterOnSameRows } from './undo-step.ts';
import { nextSteps, tellMoved, turnEntry, type Step } from './undo.ts';
import type { WindowId } from './window.ts';

/**
 * Takes back what a window did last, or makes again what it took back: never what another one did. Where a later
 * step hangs on it, whoever made it, it is refused, and that step is named.
 */
export async function moveInWindow(
	collection: Collection,
	direction: 'undo' | 'redo',
	window: WindowId
): Promise<Outcome<Step>> {
	let refusal: readonly Problem[] = HELD;
	try {
		const done = await collection.write(async (tx) => {
			const moved = await move(collection, tx, direction, window);
			if (!moved.ok) {
				refusal = moved.problems;
				tx.rollback();
			}
			return moved;
		});
		if (done.ok) tellMoved(collection, direction, done.value);
		return done;
	} catch (error) {
		if (refusal === HELD && !isHeld(error)) throw error;
		return bad(refusal);
	}
}

async function move(
	{ upkeep, now }: Collection,
	tx: Transaction,
	direction: 'undo' | 'redo',
	window: WindowId
): Promise<Outcome<Step>> {
	const next = (await nextSteps(tx, window))[direction];
	const [entry] = next ? await tx.select().from(journal).where(eq(journal.id, next.id)) : [];
	if (!next || !entry) {
		const message =
			direction === 'undo'
				? 'this window has done nothing that it could take back'
				: 'this window has taken nothing back';
		return bad([{ message, remedy: 'The journal takes back any step.' }]);
	}
	const inTheWay = await laterOnSameRows(tx, entry);
	if (inTheWay.length > 0) return bad(inTheWay);
	await turnEntry(tx, direction, entry);
	// What else would have to change is of later steps: it is not done behind their back.
	const trimmed: RowChange[] = [];
	await upkeep.complete(tx, openRecorder(tx, trimmed), entry.changes);
	if (trimmed.length > 0) return bad(HELD);
	await upkeep.refresh(tx, entry.changes, now());
	return good(next);
}
