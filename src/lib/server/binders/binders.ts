import { asc, eq } from 'drizzle-orm';
import { USUAL_LAYOUT, type BinderLayout } from '../../core/binder/binder-layout.ts';
import { binderSlots } from '../../core/binder/binder-slots.ts';
import { planBinder } from '../../core/binder/plan-binder.ts';
import type { Collection, Reader } from '../database/open.ts';
import { binders, goals } from '../database/tables/index.ts';
import { readGoal } from '../goals/read-goals.ts';
import { makeChange } from '../journal/change.ts';

export async function listBinders(db: Reader) {
	return db
		.select({
			id: binders.id,
			name: binders.name,
			layout: binders.layout,
			goalId: goals.id,
			goalName: goals.name
		})
		.from(binders)
		.innerJoin(goals, eq(binders.goalId, goals.id))
		.orderBy(asc(binders.id));
}

/** A binder with its goal worked out and its pages planned; null where there is none. */
export async function readBinder(db: Reader, id: number) {
	const [binder] = await db.select().from(binders).where(eq(binders.id, id));
	if (!binder) return null;
	const goal = await readGoal(db, binder.goalId);
	if (!goal) throw new RangeError(`readBinder: the goal of binder ${id} is gone`);
	const { releases } = goal;
	const slots = binderSlots(releases, goal.slots);
	const rarities = [...new Set(releases.flatMap((release) => release.rarities))];
	const plan = planBinder(slots, binder.layout, rarities);
	return { binder, plan, ...goal };
}

/** Plans a binder for a goal; null where there is no such goal. */
export function makeBinder(
	collection: Collection,
	request: { readonly goalId: number; readonly name: string; readonly layout?: BinderLayout }
): Promise<number | null> {
	return makeChange(collection, async (record, tx) => {
		const [goal] = await tx.select().from(goals).where(eq(goals.id, request.goalId));
		if (!goal) return { value: null, label: '', touches: [] };
		const name = request.name.trim() || goal.name;
		const [binder] = await record.insert(binders, [
			{ goalId: goal.id, name, layout: request.layout ?? USUAL_LAYOUT, createdAt: collection.now() }
		]);
		return { value: binder?.id ?? null, label: `Binder ${name}`, touches: [] };
	});
}

/** Changes how a binder is laid out; false where there is none. */
export function setLayout(
	collection: Collection,
	id: number,
	layout: BinderLayout
): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
		if (!binder) return { value: false, label: '', touches: [] };
		if (JSON.stringify(binder.layout) === JSON.stringify(layout))
			return { value: true, label: '', touches: [] };
		await record.update(binders, id, { layout });
		return { value: true, label: `Lay out ${binder.name}`, touches: [] };
	});
}

export function removeBinder(collection: Collection, id: number): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [binder] = await tx.select().from(binders).where(eq(binders.id, id));
		if (!binder) return { value: false, label: '', touches: [] };
		await record.remove(binders, [id]);
		return { value: true, label: `Remove binder ${binder.name}`, touches: [] };
	});
}
