import { eq } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { resolveRules, type GoalChoice } from '../../core/goal/goal-rules.ts';
import { presetOf } from '../../core/goal/preset.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { removeBindersOf } from '../binders/remove-binder-rows.ts';
import type { Collection } from '../database/open.ts';
import { goals } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadRelease } from '../releases/load-release.ts';

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
): Promise<Outcome<{ readonly id: number }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await loadRelease(tx, request.release);
		const problem = stored ? checkChoice(stored.release, request.rules) : noRelease;
		if (!stored || problem) {
			return refused([problem ?? noRelease]);
		}
		const name = request.name.trim() || usualName(stored.release, request.rules);
		const [goal] = await record.insert(goals, [
			{ releaseId: stored.id, name, rules: request.rules, createdAt: collection.now() }
		]);
		if (!goal) throw new RangeError(`makeGoal: ${name} was not stored`);
		return { value: good({ id: goal.id }), label: `Goal ${name}`, touches: [stored.id] };
	});
}

/** Decides the rules of a goal anew. */
export function changeGoal(
	collection: Collection,
	id: number,
	wanted: { readonly name: string; readonly rules: GoalChoice }
): Promise<Outcome<{ readonly id: number }>> {
	return makeChange(collection, async (record, tx) => {
		const [goal] = await tx.select().from(goals).where(eq(goals.id, id));
		if (!goal) return refused([noGoal]);
		const name = wanted.name.trim() || goal.name;
		await record.update(goals, id, { name, rules: wanted.rules });
		return { value: good({ id }), label: `Decide ${name} anew`, touches: [goal.releaseId] };
	});
}

const noRelease: Problem = {
	field: 'release',
	message: 'this release is not in the collection',
	remedy: 'Choose another one.'
};
const noGoal: Problem = { message: 'there is no such goal', remedy: 'Undo may bring it back.' };

/** What a preset asks for and the choice does not give. */
function checkChoice(release: Release, choice: GoalChoice): Problem | null {
	const { asks, name } = presetOf(choice.preset);
	const rules = resolveRules(choice);
	const lacks = (field: string, message: string): Problem => ({
		field,
		message,
		remedy: 'Choose one.'
	});
	switch (asks) {
		case 'parallel':
			return rules.parallels.some((key) => release.parallels.some((one) => one.key === key))
				? null
				: lacks('parallel', 'a parallel run needs a parallel of this release');
		case 'card':
		case 'cards':
			return rules.picked?.length
				? null
				: lacks('picked', `"${name}" needs a card of this release`);
		case 'subject':
			return rules.subject ? null : lacks('subject', 'a subject collection needs a subject');
		case 'group':
			return rules.group ? null : lacks('group', 'a group collection needs a group');
		case 'nothing':
			return null;
	}
}

function usualName(release: Release, choice: GoalChoice): string {
	const rules = resolveRules(choice);
	const one = rules.subject ?? rules.group;
	if (one !== undefined) return `All of ${one}`;
	const parallel = release.parallels.find(({ key }) => key === rules.parallels[0]);
	const isRun = choice.preset === 'parallel-run' && parallel;
	return `${release.name}, ${isRun ? `${parallel.name} run` : presetOf(choice.preset).name.toLowerCase()}`;
}

/** Removes a goal with the binders planned from it; no copy is touched. False where there is none. */
export function removeGoal(collection: Collection, id: number): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [goal] = await tx.select().from(goals).where(eq(goals.id, id));
		if (!goal) return { value: false, label: '', touches: [] };
		await removeBindersOf(record, tx, [id]);
		await record.remove(goals, [id]);
		return { value: true, label: `Remove goal ${goal.name}`, touches: [goal.releaseId] };
	});
}
