import { insertOne } from '../database/record.ts';
import { eq, inArray } from 'drizzle-orm';
import {
	resolveLayout,
	USUAL_LAYOUT,
	type BinderLayout,
	type LayoutChoice
} from '../../core/binder/binder-layout.ts';
import { BINDER_KINDS } from '../../core/binder/binder-kind.ts';
import { orderOf, swapInOrder, type PagePocket } from '../../core/binder/order-by-hand.ts';
import { PAGE_KINDS } from '../../core/binder/page-kind.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Transaction } from '../database/open.ts';
import { binders, goals } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { readBinder, readOwnKinds } from './read-binder.ts';
import { goalsOfBinders, type BinderGoal } from '../held-goals/goals-of-binders.ts';
import { holdGoals } from '../held-goals/hold-goals.ts';
import { removeBinderRows } from '../removal/remove-binder-rows.ts';
import type { BinderId, GoalId } from '../../core/row-id.ts';

const noBinder: Problem = {
	message: 'there is no such binder',
	remedy: 'It may have been removed; undo brings it back.'
};

/** Plans a binder for a goal; null where there is no such goal. */
export function makeBinder(
	collection: Collection,
	request: { readonly goalId: GoalId; readonly name: string; readonly layout?: LayoutChoice }
): Promise<BinderId | null> {
	return makeChange(collection, async (record, tx) => {
		const [goal] = await tx.select().from(goals).where(eq(goals.id, request.goalId));
		if (!goal) return { value: null, label: '' };
		const name = request.name.trim() || goal.name;
		const binder = await insertOne(record, binders, {
			goalId: goal.id,
			name,
			layout: request.layout ?? USUAL_LAYOUT,
			createdAt: collection.now()
		});
		return { value: binder.id, label: `Binder ${name}` };
	});
}

/** Changes name and layout; what is left out of `change` stays. */
export function changeBinder(
	collection: Collection,
	id: BinderId,
	change: { readonly name?: string; readonly layout?: Partial<LayoutChoice> }
): Promise<Outcome<{ readonly id: BinderId }>> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
		if (!binder) return refused([noBinder]);
		const name = change.name?.trim() || binder.name;
		const chosen = resolveLayout({ ...binder.layout, ...change.layout });
		const layout = await withOwnOrder(tx, binder, chosen);
		const problems = await unknownKinds(tx, layout);
		if (problems.length > 0) return refused(problems);
		const isSame = JSON.stringify(resolveLayout(binder.layout)) === JSON.stringify(layout);
		const value = good({ id });
		if (isSame && name === binder.name) return { value, label: '' };
		await record.update(binders, id, { name, layout });
		return {
			value,
			label: isSame ? `Rename ${binder.name} to ${name}` : `Lay out ${name}`
		};
	});
}

/**
 * Lets what lies in two pockets of the plan change places: from then on the binder lies by hand, in
 * the order that the plan shows.
 */
export function swapPockets(
	collection: Collection,
	id: BinderId,
	first: PagePocket,
	other: PagePocket
): Promise<Outcome<{ readonly id: BinderId }>> {
	return makeChange(collection, async (record, tx) => {
		const state = await readBinder(tx, id);
		if (!state) return refused([noBinder]);
		const { binder, layout, plan } = state;
		const stored = { ...resolveLayout(binder.layout), order: 'by-hand' } as const;
		const ownOrder = swapInOrder(plan.pages, layout.pageKind, first, other);
		if (!ownOrder) {
			return refused([
				{
					message: 'only pockets of the binder’s own pages can change places',
					remedy: 'Cards on other pages keep their order.'
				}
			]);
		}
		await record.update(binders, id, { layout: { ...stored, ownOrder } });
		return { value: good({ id }), label: `${binder.name}: two pockets swapped` };
	});
}

/** Decides which goals a binder holds, in their order, each with the others or in an order of its own. */
export function holdInBinder(
	collection: Collection,
	id: BinderId,
	held: readonly BinderGoal[]
): Promise<Outcome<{ readonly id: BinderId }>> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
		if (!binder) return refused([noBinder]);
		const ids = held.map(({ goalId }) => goalId);
		const known = await tx.select({ id: goals.id }).from(goals).where(inArray(goals.id, ids));
		const problems: readonly Problem[] = [
			...(held.length === 0
				? [
						{
							field: 'goal',
							message: 'a binder holds at least one goal',
							remedy: 'Remove the binder to take the last goal out.'
						}
					]
				: []),
			...(new Set(ids).size < ids.length
				? [{ field: 'goal', message: 'a goal is named twice', remedy: 'Name each once.' }]
				: []),
			...(known.length < new Set(ids).size
				? [
						{
							field: 'goal',
							message: 'there is no such goal',
							remedy: 'It may have been removed; reload the page.'
						}
					]
				: [])
		];
		if (problems.length > 0) return refused(problems);
		const before = (await goalsOfBinders(tx, [id])).get(id);
		const value = good({ id });
		if (JSON.stringify(before) === JSON.stringify(held)) return { value, label: '' };
		await holdGoals(record, tx, id, held);
		return { value, label: `Goals of ${binder.name}` };
	});
}

export function removeBinder(collection: Collection, id: BinderId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
		if (!binder) return { value: false, label: '' };
		await removeBinderRows(record, tx, [id]);
		return { value: true, label: `Remove binder ${binder.name}` };
	});
}

/** Laid by hand for the first time, a binder begins with the order in which it lay. */
async function withOwnOrder(
	tx: Transaction,
	binder: typeof binders.$inferSelect,
	layout: BinderLayout
): Promise<BinderLayout> {
	if (layout.order !== 'by-hand' || binder.layout.order === 'by-hand') return layout;
	if (layout.ownOrder.length > 0) return layout;
	const state = await readBinder(tx, binder.id);
	return state ? { ...layout, ownOrder: orderOf(state.plan.pages, state.layout.pageKind) } : layout;
}

async function unknownKinds(
	tx: Transaction,
	layout: Pick<LayoutChoice, 'pageKind' | 'binderKind'>
): Promise<readonly Problem[]> {
	const added = await readOwnKinds(tx);
	const isKnown = (key: string | undefined, kinds: readonly { readonly key: string }[]) =>
		kinds.some((kind) => kind.key === key);
	return [
		...(isKnown(layout.pageKind, [...PAGE_KINDS, ...added.pageKinds])
			? []
			: [{ field: 'pageKind', message: `there is no page kind "${layout.pageKind}"` }]),
		...(isKnown(layout.binderKind, [...BINDER_KINDS, ...added.binderKinds])
			? []
			: [{ field: 'binderKind', message: `there is no binder kind "${layout.binderKind ?? ''}"` }])
	];
}
