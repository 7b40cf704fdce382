import { and, asc, desc, eq } from 'drizzle-orm';
import { chunks } from '../database/chunks.ts';
import type { Collection, Reader, Transaction } from '../database/open.ts';
import { journal } from '../database/tables/index.ts';
import { deleteRows, insertRows, updateRows } from '../database/record.ts';
import { JOURNALLED, type Row, type RowChange } from '../database/tables/journalled.ts';
import type { StepId } from '../../core/row-id.ts';
import { theWindow, type WindowId } from './window.ts';

/** A step of the journal in words. */
export interface Step {
	readonly id: StepId;
	readonly at: string;
	readonly label: string;
}

const step = { id: journal.id, at: journal.at, label: journal.label } as const;

/** What undo and redo would do; null where there is nothing. */
export interface NextSteps {
	readonly undo: Step | null;
	readonly redo: Step | null;
}

/** The step that undo takes back next, and the one that redo makes again: of a window, or left out, of all. */
export async function nextSteps(db: Reader, window?: WindowId): Promise<NextSteps> {
	const first = async (state: 'done' | 'undone', order: typeof desc) => {
		const isIts = window === undefined ? [] : [eq(journal.window, window)];
		const [next] = await db
			.select(step)
			.from(journal)
			.where(and(eq(journal.state, state), ...isIts))
			.orderBy(order(journal.id))
			.limit(1);
		return next ?? null;
	};
	return { undo: await first('done', desc), redo: await first('undone', asc) };
}

/** The latest steps, newest first, that are in force. */
export async function recentSteps(db: Reader, count: number): Promise<readonly Step[]> {
	return db
		.select(step)
		.from(journal)
		.where(eq(journal.state, 'done'))
		.orderBy(desc(journal.id))
		.limit(count);
}

/**
 * Takes back the latest change; null where there is nothing to undo, or where `only` names a step that
 * is not the latest. Works across restarts.
 */
export function undo(collection: Collection, only?: number): Promise<Step | null> {
	return move(collection, 'undo', only);
}

/** Makes the change again that was undone last; null where there is none. */
export function redo(collection: Collection): Promise<Step | null> {
	return move(collection, 'redo');
}

async function move(
	collection: Collection,
	direction: 'undo' | 'redo',
	only?: number
): Promise<Step | null> {
	const moved = await collection.write(async (tx) => {
		const next = (await nextSteps(tx))[direction];
		if (!next || (only !== undefined && next.id !== only)) return null;
		const [entry] = await tx.select().from(journal).where(eq(journal.id, next.id));
		if (!entry) throw new RangeError(`${direction}: step ${next.id} is gone`);
		await turnEntry(tx, direction, entry);
		await collection.upkeep.refresh(tx, entry.changes, collection.now());
		return next;
	});
	if (moved) tellMoved(collection, direction, moved);
	return moved;
}

/** Tells open windows that a step was taken back, or made again. */
export function tellMoved({ news }: Collection, direction: 'undo' | 'redo', { label }: Step): void {
	const what = direction === 'undo' ? 'Undone' : 'Done again';
	news.tell({ label: `${what}: ${label}`, window: theWindow() });
}

/** Turns the rows of a step back, or forth again, and marks it so. */
export async function turnEntry(
	tx: Transaction,
	direction: 'undo' | 'redo',
	{ id, changes }: Pick<typeof journal.$inferSelect, 'id' | 'changes'>
): Promise<void> {
	if (direction === 'undo') {
		for (const change of [...changes].reverse())
			await turn(tx, change, change.after, change.before);
	} else {
		for (const change of changes) await turn(tx, change, change.before, change.after);
	}
	const state = direction === 'undo' ? 'undone' : 'done';
	await tx.update(journal).set({ state }).where(eq(journal.id, id));
}

/** Replaces the rows as they are by the rows as they shall be. */
export async function turn(
	tx: Transaction,
	{ table }: RowChange,
	from: readonly Row[],
	to: readonly Row[]
): Promise<void> {
	const target = JOURNALLED[table];
	const staying = new Map(to.map((row) => [row.id, row]));
	const gone = from.filter(({ id }) => !staying.has(id)).map(({ id }) => id);
	await deleteRows(tx, target, gone);
	const present = new Set(from.map(({ id }) => id));
	await updateRows(
		tx,
		target,
		to.filter(({ id }) => present.has(id)).map(({ id, ...values }) => ({ id, values }))
	);
	const fresh = to.filter(({ id }) => !present.has(id));
	for (const some of chunks(fresh, 500)) await insertRows(tx, target, some);
}
