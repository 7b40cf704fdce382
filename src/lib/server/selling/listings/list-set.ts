import { rollup } from 'd3-array';
import type { CopyPick } from '../../copies/change-copies.ts';
import { good, bad, type Outcome } from '../../../core/problem.ts';
import { rowId, type GoalId } from '../../../core/row-id.ts';
import type { Reader } from '../../database/open.ts';
import { workOutGoals } from '../../goals/work-out-goals.ts';

/** The copies that fill a set of a goal, with a note where the set is not complete. */
export async function copiesOfSet(
	db: Reader,
	goal: GoalId,
	set: number
): Promise<Outcome<readonly CopyPick[]>> {
	const [state] = await workOutGoals(db, ({ id }) => id === goal);
	if (!state)
		return bad([{ field: 'goal', message: 'there is no such goal', remedy: 'Choose one.' }]);
	const slots = new Set(state.slots.flatMap((slot) => (slot.set === set ? [slot.key] : [])));
	const counts = rollup(
		state.filling.placements.filter(({ slot }) => slots.has(slot)),
		(some) => some.length,
		({ copy }) => copy
	);
	if (counts.size === 0) {
		const message = `nothing fills set ${set} of ${state.goal.name}`;
		return bad([{ field: 'set', message, remedy: 'Choose another set.' }]);
	}
	const missing = state.filling.missing.filter(({ slot }) => slots.has(slot)).length;
	return good(
		[...counts].map(([copy, quantity]) => ({ copyId: rowId<'copies'>(Number(copy)), quantity })),
		missing === 0
			? []
			: [
					{
						message: `${missing} of its ${slots.size} cards are missing`,
						remedy: 'Say so to the buyer.'
					}
				]
	);
}
