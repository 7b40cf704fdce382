import { eq } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { checkGoal } from '../../core/goal/check-goal.ts';
import { resolveRules, type GoalChoice } from '../../core/goal/goal-rules.ts';
import { mergeGoal, type DecidedGoal } from '../../core/goal/merge-goal.ts';
import { presetOf } from '../../core/goal/preset.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { removeGoalRows } from '../removal/remove-goal-rows.ts';
import type { Collection } from '../database/open.ts';
import { goals } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadRelease } from '../releases/load-release.ts';
import { loadGoalReleases } from './goal-scope.ts';
import type { GoalId } from '../../core/row-id.ts';

export interface GoalRequest {
	/** The release it is made in; its home where it goes across releases. */
	readonly release: string;
	readonly rules: GoalChoice;
	/** Empty: the name follows from the rules. */
	readonly name: string;
}

export function makeGoal(
	collection: Collection,
	request: GoalRequest
): Promise<Outcome<{ readonly id: GoalId }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await loadRelease(tx, request.release);
		if (!stored) return refused([noRelease]);
		const place = { releaseId: stored.id, rules: request.rules };
		const problems = checkGoal((await loadGoalReleases(tx, place)).releases, request.rules);
		if (problems.length > 0) return refused(problems);
		const name = request.name.trim() || usualName(stored.release, request.rules);
		const [goal] = await record.insert(goals, [
			{
				releaseId: stored.id,
				name,
				rules: request.rules,
				createdAt: collection.now(),
				decidedOn: collection.now().slice(0, 10)
			}
		]);
		if (!goal) throw new RangeError(`makeGoal: ${name} was not stored`);
		return { value: good({ id: goal.id }), label: `Goal ${name}` };
	});
}

/** Decides the rules of a goal anew. */
export function changeGoal(
	collection: Collection,
	id: GoalId,
	wanted: DecidedGoal,
	/** What was seen when it was begun; left out: whatever is there is decided anew. */
	seen?: DecidedGoal
): Promise<Outcome<{ readonly id: GoalId }>> {
	return makeChange(collection, async (record, tx) => {
		const [goal] = await tx.select().from(goals).where(eq(goals.id, id));
		if (!goal) return refused([noGoal]);
		const asked = { ...wanted, name: wanted.name.trim() || (seen?.name ?? goal.name) };
		const present = { name: goal.name, rules: goal.rules };
		const merged = seen ? mergeGoal(seen, asked, present) : good(asked);
		if (!merged.ok) return refused(merged.problems);
		const { name, rules } = merged.value;
		const place = { releaseId: goal.releaseId, rules };
		const problems = checkGoal((await loadGoalReleases(tx, place)).releases, rules);
		if (problems.length > 0) return refused(problems);
		const isNew = JSON.stringify(goal.rules) !== JSON.stringify(rules);
		const decided = isNew ? { decidedOn: collection.now().slice(0, 10) } : {};
		await record.update(goals, id, { name, rules, ...decided });
		return { value: good({ id }), label: `Decide ${name} anew` };
	});
}

const noRelease: Problem = {
	field: 'release',
	message: 'this release is not in the collection',
	remedy: 'Choose another one.'
};
const noGoal: Problem = { message: 'there is no such goal', remedy: 'Undo may bring it back.' };

function usualName(release: Release, choice: GoalChoice): string {
	const rules = resolveRules(choice);
	const shown = rules.subject || rules.group;
	if (shown) return `All of ${shown}`;
	const parallel = release.parallels.find(({ key }) => key === rules.parallels[0]);
	const isRun = choice.preset === 'parallel-run' && parallel;
	return `${release.name}, ${isRun ? `${parallel.name} run` : presetOf(choice.preset).name.toLowerCase()}`;
}

/** Removes a goal with the binders planned from it; no copy is touched. False where there is none. */
export function removeGoal(collection: Collection, id: GoalId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [goal] = await tx.select().from(goals).where(eq(goals.id, id));
		if (!goal) return { value: false, label: '' };
		await removeGoalRows(record, tx, [id]);
		return { value: true, label: `Remove goal ${goal.name}` };
	});
}
