import { asc, desc, eq } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { isAtHand } from '../../core/copies/copy-record.ts';
import { fillGoals, slotName } from '../../core/goal/fill-goals.ts';
import type { Filling } from '../../core/goal/fill-slots.ts';
import { resolveRules } from '../../core/goal/goal-rules.ts';
import { scopeGoals, type Scope } from '../../core/goal/scope-goal.ts';
import { readCopies, type StoredCopy } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import { binderPockets, binders, goals } from '../database/tables/index.ts';
import { loadReleases, type StoredRelease } from '../releases/load-release.ts';
import { loadGoalReleases, releasesOf } from './goal-scope.ts';
import type { CopyId, ReleaseId } from '../../core/row-id.ts';

export type GoalRow = typeof goals.$inferSelect;

/** A goal worked out: its releases, its slots, and how the copies fill them. */
export interface GoalState extends Scope {
	readonly goal: GoalRow;
	/** The releases it goes over; one that only shares a section is cut down to that. */
	readonly releases: readonly Release[];
	/** Every copy of these releases, whatever is to become of it. */
	readonly copies: readonly StoredCopy[];
	readonly filling: Filling;
}

/**
 * Works goals out. Those that keep their own copies compete with each other, so all of them take part
 * in the filling, whichever are asked for.
 */
export async function workOutGoals(
	db: Reader,
	isAsked: (goal: GoalRow, releaseIds: readonly ReleaseId[]) => boolean
): Promise<readonly GoalState[]> {
	const all = await Promise.all(
		(await db.select().from(goals).orderBy(asc(goals.id))).map(async (goal) => ({
			goal,
			ids: await releasesOf(db, goal),
			keepsOwn: resolveRules(goal.rules).keepsOwn
		}))
	);
	const asked = all.filter(({ goal, ids }) => isAsked(goal, ids));
	const reach = new Set(asked.flatMap(({ ids }) => ids));
	const taking = all.filter(
		(goal) => asked.includes(goal) || (goal.keepsOwn && goal.ids.some((id) => reach.has(id)))
	);
	const load = keepLoaded(db);
	const scoped = await Promise.all(
		taking.map(async ({ goal, keepsOwn }) => {
			const { releases, ids: read } = await loadGoalReleases(db, goal, load.releases);
			const copies = await load.copies(read);
			return { goal, keepsOwn, releases, copies, ...scopeGoals(releases, goal.rules) };
		})
	);
	const everything = new Map(scoped.flatMap(({ copies }) => copies.map((copy) => [copy.id, copy])));
	const held = await heldInBinders(db);
	const filled = fillGoals(
		scoped.map(({ goal, slots, keepsOwn }) => ({ key: String(goal.id), slots, keepsOwn })),
		[...everything.values()].filter(isAtHand).map((copy) => {
			const heldIn = held.get(copy.id);
			return heldIn === undefined ? copy : { ...copy, heldIn };
		})
	);
	return scoped.flatMap(({ keepsOwn: _, ...state }) => {
		const filling = filled.get(String(state.goal.id));
		return filling && asked.some(({ goal }) => goal.id === state.goal.id)
			? [{ ...state, filling }]
			: [];
	});
}

/** The slot in whose pocket a copy lies; of a pile in several pockets, the first. */
async function heldInBinders(db: Reader): Promise<ReadonlyMap<CopyId, string>> {
	const rows = await db
		.select({
			copyId: binderPockets.copyId,
			goalId: binders.goalId,
			slot: binderPockets.slotKey
		})
		.from(binderPockets)
		.innerJoin(binders, eq(binderPockets.binderId, binders.id))
		.orderBy(desc(binderPockets.id));
	return new Map(rows.map(({ copyId, goalId, slot }) => [copyId, slotName(String(goalId), slot)]));
}

/** Reads each release and its copies once. */
function keepLoaded(db: Reader) {
	const releases = new Map<ReleaseId, Promise<StoredRelease | undefined>>();
	const copies = new Map<ReleaseId, Promise<readonly StoredCopy[]>>();
	const once = <Value>(map: Map<ReleaseId, Value>, id: ReleaseId, make: () => Value): Value => {
		const known = map.get(id);
		if (known !== undefined) return known;
		const made = make();
		map.set(id, made);
		return made;
	};
	return {
		releases: async (ids: readonly ReleaseId[]) =>
			(
				await Promise.all(
					ids.map((id) => once(releases, id, async () => (await loadReleases(db, [id]))[0]))
				)
			).filter((found) => found !== undefined),
		copies: async (ids: readonly ReleaseId[]) =>
			(await Promise.all(ids.map((id) => once(copies, id, () => readCopies(db, id))))).flat()
	};
}
