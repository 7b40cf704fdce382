import { and, eq, gte, sql } from 'drizzle-orm';
import { bad, good, type Outcome } from '../../core/problem.ts';
import type { StepId } from '../../core/row-id.ts';
import type { Collection, Reader } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';
import { moveInWindow } from './undo-in-window.ts';
import { takeBack, undoStep } from './undo-step.ts';
import { nextSteps, redo, undo, type Step } from './undo.ts';
import { theWindow } from './window.ts';

/** What may be asked of the journal. */
export type JournalMove =
	/** Takes back, or makes again, what the window that asks did last; of a program that names none: what anybody did last. */
	| { readonly move: 'undo' | 'redo' }
	/** Takes one step back by itself; `or undo`: as undo does where it is the last one. */
	| { readonly move: 'step' | 'step or undo'; readonly id: StepId };

/** Does what is asked. With any problem nothing is changed. */
export function moveSteps(collection: Collection, asked: JournalMove): Promise<Outcome<Step>> {
	switch (asked.move) {
		case 'step':
			return undoStep(collection, asked.id);
		case 'step or undo':
			return takeBack(collection, asked.id);
		default:
			return moveLast(collection, asked.move);
	}
}

async function moveLast(
	collection: Collection,
	direction: 'undo' | 'redo'
): Promise<Outcome<Step>> {
	const window = theWindow();
	if (window !== null) return moveInWindow(collection, direction, window);
	const step = await (direction === 'undo' ? undo(collection) : redo(collection));
	return step ? good(step) : bad([{ message: `there is nothing to ${direction}` }]);
}

/** How many bytes of the journal have to be read for it: the step, and those in force after it. */
export async function weighMove(db: Reader, asked: JournalMove): Promise<number> {
	const id = 'id' in asked ? asked.id : await idOfLast(db, asked.move);
	if (id === null) return 0;
	const [found] = await db
		.select({ bytes: sql<number>`coalesce(sum(octet_length(${journal.changes})), 0)` })
		.from(journal)
		.where(and(gte(journal.id, id), sql`(${eq(journal.state, 'done')} or ${eq(journal.id, id)})`));
	return found?.bytes ?? 0;
}

async function idOfLast(db: Reader, direction: 'undo' | 'redo'): Promise<StepId | null> {
	return (await nextSteps(db, theWindow() ?? undefined))[direction]?.id ?? null;
}
