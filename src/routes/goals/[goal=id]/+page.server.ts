import { sum } from 'd3-array';
import { error, fail, redirect } from '@sveltejs/kit';
import { runsOf } from '$lib/core/checklist/versions/production';
import {
	explainSpares,
	explainUnfit,
	nameQuality,
	slotsToUpgrade,
	type SpareReason
} from '$lib/core/goal/explain-copies';
import { isAtHand } from '$lib/core/copies/copy-record';
import { goalGroups } from '$lib/core/goal/goal-groups';
import type { Copy } from '$lib/core/copies/copy';
import type { Slot } from '$lib/core/goal/slot';
import { resolveRules } from '$lib/core/goal/goal-rules';
import { obtainableOf } from '$lib/core/goal/obtainable';
import { newlyKnown } from '$lib/core/goal/newly-known';
import { nextRings } from '$lib/core/goal/next-ring';
import { progressBy } from '$lib/core/goal/progress-by';
import { totalProgress } from '$lib/core/goal/progress';
import { wholeSets } from '$lib/core/goal/whole-sets';
import { RingFormSchema } from '$lib/schemas/forms/releases';
import { readFormOf } from '$lib/server/read-form';
import { makeBinder } from '$lib/server/binders/change-binder';
import { listBinders } from '$lib/server/binders/read-binder';
import { theCollection } from '$lib/server/collection';
import { countIncoming, countOwned } from '$lib/server/copies/read-copies';
import { changeGoal, removeGoal } from '$lib/server/goals/make-goal';
import { readGoal, readHistory } from '$lib/server/goals/read-goals';
import { rowId } from '$lib/core/row-id';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const found = await readGoal(db, rowId(Number(params.goal)));
	if (!found) error(404, 'There is no such goal. It may have been removed; undo brings it back.');
	const { goal, releases, copies, slots, skipped, filling } = found;
	const rules = resolveRules(goal.rules);
	const atHand = copies.filter(isAtHand);
	const copyOf = new Map(copies.map((copy) => [copy.key, copy]));
	const named = ({ copy, quantity, reason }: SpareReason) => ({
		quantity,
		reason,
		version: copyOf.get(copy)?.version ?? '',
		quality: nameQuality(copyOf.get(copy) ?? {})
	});
	const groups = goalGroups(releases, slots, filling).map(({ cards: _, section, ...group }) => ({
		...group,
		kind: section.kind
	}));
	const history = await readHistory(db, goal.id);
	const { have, need } = totalProgress(groups);
	return {
		goal: { id: goal.id, name: goal.name, rules: goal.rules },
		releases,
		owned: [...countOwned(copies)],
		incoming: [...countIncoming(copies)],
		needed: [...new Set(slots.flatMap(({ versions }) => versions))],
		upgrades: slotsToUpgrade(slots, atHand, filling, rules.wishCondition),
		groups,
		skipped,
		have,
		need,
		divisions: progressBy(releases, slots, filling),
		rings: need > 0 && have === need ? nextRings(releases, goal.rules) : [],
		known:
			goal.decidedOn === null || have === need ? null : newlyKnown(history, need, goal.decidedOn),
		obtainable: obtainableOf(slots, filling),
		whole: wholeSetsOf(slots, atHand),
		limits: runsOf(slots.filter(({ set }) => set === 1).map(({ version }) => version)),
		history,
		spares: explainSpares(slots, atHand, filling).map(named),
		unfit: explainUnfit(slots, atHand, filling).map(named),
		binders: (await listBinders(db)).filter(({ goals }) => goals.some(({ id }) => id === goal.id))
	};
};

/** How many whole sets there are, and how many cards the next one lacks. */
function wholeSetsOf(slots: readonly (Slot & { readonly set: number })[], copies: readonly Copy[]) {
	const { sets, lacking } = wholeSets(
		slots.filter(({ set }) => set === 1),
		copies
	);
	return { sets, lacking: sum(lacking, ({ quantity }) => quantity) };
}

export const actions = {
	binder: async ({ params }) => {
		const id = await makeBinder(await theCollection(), {
			goalId: rowId(Number(params.goal)),
			name: ''
		});
		if (id === null) error(404, 'There is no such goal.');
		redirect(303, `/binders/${id}`);
	},
	/** A goal that is done goes on to its next ring. */
	ring: async ({ params, request }) => {
		const form = await readFormOf(request, RingFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const collection = await theCollection();
		const id = rowId<'goals'>(Number(params.goal));
		const found = await readGoal(collection.db, id);
		if (!found) error(404, 'There is no such goal.');
		const { goal, releases } = found;
		const ring = nextRings(releases, goal.rules).find(({ key }) => key === form.value.ring);
		const changed =
			ring && (await changeGoal(collection, id, { name: goal.name, rules: ring.rules }));
		if (changed?.ok) return { problems: [] };
		return fail(400, {
			problems: changed?.problems ?? [
				{ message: 'this ring brings nothing more', remedy: 'Choose another one.' }
			]
		});
	},
	remove: async ({ params }) => {
		if (!(await removeGoal(await theCollection(), rowId(Number(params.goal))))) {
			error(404, 'There is no such goal.');
		}
		redirect(303, '/goals');
	}
};
