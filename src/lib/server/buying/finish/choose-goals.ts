import { eq } from 'drizzle-orm';
import type { Priority } from '../../../core/buying/wants/wants-list.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { GoalId } from '../../../core/row-id.ts';
import type { BuyingRules } from '../../../schemas/buying.ts';
import type { Collection } from '../../database/open.ts';
import { goalChoices, goals } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { BUYING_RULES } from '../buying-rules.ts';
import { writePreference } from '../../preferences/preferences.ts';

/** What is decided of a goal: to buy what it lacks, how urgent, and the most for a card; null: nothing yet. */
export interface GoalDecision {
	readonly choice: 'finish' | 'let go' | null;
	readonly priority: Priority;
	readonly mostMinor: number | null;
	readonly currency: string | null;
}

/** Decides whether a goal is to be finished. */
export function chooseGoal(
	collection: Collection,
	goalId: GoalId,
	{ choice, ...said }: GoalDecision
): Promise<Outcome<{ readonly choice: GoalDecision['choice'] }>> {
	return makeChange(collection, async (record, tx) => {
		const [goal] = await tx.select().from(goals).where(eq(goals.id, goalId));
		if (!goal) return refused([{ message: 'there is no such goal', remedy: 'Reload the page.' }]);
		const [row] = await tx.select().from(goalChoices).where(eq(goalChoices.goalId, goalId));
		if (choice === null) {
			if (row) await record.remove(goalChoices, [row.id]);
		} else if (row) await record.update(goalChoices, row.id, { choice, ...said });
		else await record.insert(goalChoices, [{ goalId, choice, ...said }]);
		const label = { finish: 'Finish', 'let go': 'Let go of' } as const;
		return {
			value: good({ choice }),
			label: choice === null ? `Nothing decided of ${goal.name}` : `${label[choice]} ${goal.name}`
		};
	});
}

/** Sets how one buys. */
export function setBuyingRules(
	collection: Collection,
	rules: BuyingRules
): Promise<Outcome<{ readonly currency: string }>> {
	return makeChange(collection, async (record, tx) => {
		await writePreference(record, tx, BUYING_RULES, rules);
		return { value: good({ currency: rules.currency }), label: 'Rules of buying' };
	});
}
