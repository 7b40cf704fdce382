import { and, eq, inArray } from 'drizzle-orm';
import type { NamedItem } from '../../core/binder/name-items.ts';
import { planMoves, type MovePlan, type MoveStep } from '../../core/binder/plan-moves.ts';
import { parsePocketName } from '../../core/binder/pocket-name.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { binderPockets, binders } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import type { Recorder } from '../database/record.ts';
import { readBinder, type StoredBinder } from './read-binder.ts';
import { type BinderId, rowId } from '../../core/row-id.ts';

/** The moves from how a binder lies to how it should. */
export function movesOf({ now, target }: Pick<StoredBinder, 'now' | 'target'>): MovePlan {
	return planMoves(now, target);
}

/** A step as one word, to tell whether the plan is still the one that was shown. */
export function stepName(step: MoveStep): string {
	return [step.do, step.item, 'from' in step ? step.from : '', 'to' in step ? step.to : ''].join(
		' '
	);
}

/**
 * Records that the first `count` steps of the move plan are done. `last` names the last of them as it
 * was shown: where the plan has become another one since, nothing is recorded.
 */
export function takeSteps(
	collection: Collection,
	binderId: BinderId,
	count: number,
	last: string
): Promise<Outcome<{ readonly taken: number }>> {
	return makeChange(collection, async (record, tx) => {
		const state = await readBinder(tx, binderId);
		if (!state)
			return refused([{ message: 'there is no such binder', remedy: 'Undo brings it back.' }]);
		const steps = movesOf(state).steps.slice(0, count);
		const end = steps.at(-1);
		if (steps.length < count || !end || stepName(end) !== last) {
			return refused([
				{
					message: 'the plan has changed since it was shown',
					remedy: 'Look at it as it is now; nothing was recorded.'
				}
			]);
		}
		await recordSteps(record, tx, state, steps);
		const label = `${state.binder.name}: ${steps.length === 1 ? 'one card moved' : `${steps.length} moves`}`;
		return { value: good({ taken: steps.length }), label };
	});
}

/** Records that everything lies as planned; null where there is no such binder. */
export function lieAsPlanned(collection: Collection, binderId: BinderId): Promise<number | null> {
	return makeChange(collection, async (record, tx) => {
		const state = await readBinder(tx, binderId);
		if (!state) return { value: null, label: '' };
		const { steps } = movesOf(state);
		if (steps.length > 0) {
			const rows = await tx
				.select({ id: binderPockets.id })
				.from(binderPockets)
				.where(eq(binderPockets.binderId, binderId));
			await record.remove(
				binderPockets,
				rows.map(({ id }) => id)
			);
			await record.insert(
				binderPockets,
				state.target.map((item) => asRow(binderId, item))
			);
		}
		return {
			value: state.target.length,
			label: `${state.binder.name} lies as planned`
		};
	});
}

/** Corrects what is known to lie: the cards in two pockets, or a card and nothing, change places. */
export function swapLying(
	collection: Collection,
	binderId: BinderId,
	from: string,
	other: string
): Promise<Outcome<{ readonly swapped: number }>> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, binderId));
		const rows = await tx
			.select()
			.from(binderPockets)
			.where(
				and(eq(binderPockets.binderId, binderId), inArray(binderPockets.pocket, [from, other]))
			);
		const [first, second] = rows;
		const areNamed = parsePocketName(from) !== null && parsePocketName(other) !== null;
		if (!binder || !first || !areNamed || from === other) {
			const problem = {
				message: 'nothing is known to lie in these pockets',
				remedy: 'Reload the page and choose two pockets, one with a card.'
			};
			return refused([problem]);
		}
		// Two rows may never name the same pocket: the second waits outside.
		if (second) await record.remove(binderPockets, [second.id]);
		await record.update(binderPockets, first.id, { pocket: first.pocket === from ? other : from });
		if (second) await record.insert(binderPockets, [{ ...second, pocket: first.pocket }]);
		return {
			value: good({ swapped: rows.length }),
			label: `${binder.name}: what lies was corrected`
		};
	});
}

/** Writes steps into the rows of pockets, in order, so that no pocket ever holds two. */
async function recordSteps(
	record: Recorder,
	tx: Transaction,
	{ binder, now, target }: StoredBinder,
	steps: readonly MoveStep[]
): Promise<void> {
	const lies = new Map(now.map(({ item, pocket }) => [item, pocket]));
	const wanted = new Map(target.map((item) => [item.item, item]));
	const rowIn = async (pocket: string): Promise<number> => {
		const [row] = await tx
			.select({ id: binderPockets.id })
			.from(binderPockets)
			.where(and(eq(binderPockets.binderId, binder.id), eq(binderPockets.pocket, pocket)));
		if (!row) throw new RangeError(`recordSteps: nothing lies in ${pocket}`);
		return row.id;
	};
	for (const step of steps) {
		const goal = wanted.get(step.item);
		if (step.do === 'move') {
			const id = await rowIn(lies.get(step.item) ?? step.from);
			await record.update(binderPockets, id, {
				pocket: step.to,
				...(goal ? { slotKey: goal.slot } : {})
			});
		} else if ('from' in step) await record.remove(binderPockets, [await rowIn(step.from)]);
		else if (goal) await record.insert(binderPockets, [asRow(binder.id, goal)]);
		if ('to' in step) lies.set(step.item, step.to);
	}
}

const asRow = (binderId: BinderId, { pocket, slot, copy }: NamedItem) => ({
	binderId,
	pocket,
	slotKey: slot,
	copyId: rowId<'copies'>(Number(copy))
});
