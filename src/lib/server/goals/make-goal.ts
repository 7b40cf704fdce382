import { eq } from 'drizzle-orm';
import { presetOf } from '../../core/goal/preset.ts';
import type { GoalRules } from '../../core/goal/scope-goal.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import type { Collection } from '../database/open.ts';
import { binders, goals } from '../database/tables/index.ts';
import { makeChange } from '../journal/change.ts';
import { loadRelease } from '../releases/load-release.ts';

export interface GoalRequest {
	readonly release: string;
	readonly rules: GoalRules;
	/** Empty: the name follows from the rules. */
	readonly name: string;
}

export function makeGoal(
	collection: Collection,
	request: GoalRequest
): Promise<Outcome<{ readonly id: number }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await loadRelease(tx, request.release);
		if (!stored) {
			const problem = {
				field: 'release',
				message: 'this release is not in the collection',
				remedy: 'Choose another one.'
			};
			return { value: bad([problem]), label: '', touches: [] };
		}
		const { release } = stored;
		const parallel = release.parallels.find(({ key }) => key === request.rules.parallel);
		if (request.rules.preset === 'parallel-run' && !parallel) {
			const problem = {
				field: 'parallel',
				message: 'a parallel run needs a parallel of this release',
				remedy: 'Choose one.'
			};
			return { value: bad([problem]), label: '', touches: [] };
		}
		const school = parallel
			? `${parallel.name} run`
			: presetOf(request.rules.preset).name.toLowerCase();
		const name = request.name.trim() || `${release.name}, ${school}`;
		const [goal] = await record.insert(goals, [
			{ releaseId: stored.id, name, rules: request.rules, createdAt: collection.now() }
		]);
		if (!goal) throw new RangeError(`makeGoal: ${name} was not stored`);
		return { value: good({ id: goal.id }), label: `Goal ${name}`, touches: [stored.id] };
	});
}

/** Removes a goal with the binders planned from it; no copy is touched. False where there is none. */
export function removeGoal(collection: Collection, id: number): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [goal] = await tx.select().from(goals).where(eq(goals.id, id));
		if (!goal) return { value: false, label: '', touches: [] };
		const own = await tx.select({ id: binders.id }).from(binders).where(eq(binders.goalId, id));
		await record.remove(
			binders,
			own.map((binder) => binder.id)
		);
		await record.remove(goals, [id]);
		return { value: true, label: `Remove goal ${goal.name}`, touches: [goal.releaseId] };
	});
}
