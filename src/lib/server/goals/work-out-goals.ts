import { asc, desc, inArray } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { isAtHand } from '../../core/copies/copy-record.ts';
import { joinGoals, type JoinedGoals } from '../../core/binder/join-goals.ts';
import { fillGoals } from '../../core/goal/fill-goals.ts';
import type { Filling } from '../../core/goal/fill-slots.ts';
import { resolveRules } from '../../core/goal/goal-rules.ts';
import { scopeGoals, type Scope } from '../../core/goal/scope-goal.ts';
import { readCopies, type StoredCopy } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import { binderPockets, goals } from '../database/tables/index.ts';
import { loadReleases, type StoredRelease } from '../releases/load-release.ts';
import { goalsOfBinders } from '../held-goals/goals-of-binders.ts';
import { loadGoalReleases, releasesOf } from './goal-scope.ts';
import type { GoalId, ReleaseId } from '../../core/row-id.ts';

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
 * @param fills which copies may fill slots: those at hand; for buying those on their way as well
 */
export async function workOutGoals(
	db: Reader,
	isAsked: (goal: GoalRow, releaseIds: readonly ReleaseId[]) => boolean,
	fills: (copy: StoredCopy) => boolean = isAtHand
): Promise<readonly GoalState[]> {
	const { taking, atHand } = await takeGoals(db, isAsked, fills);
	const filled = fillGoals(taking, atHand);
	return taking.flatMap(({ isWanted, state }) => {
		const filling = filled.get(String(state.goal.id));
		return filling && isWanted ? [{ ...state, filling }] : [];
	});
}

/** What a binder holds: its goals joined, in its order, and every copy of their releases. */
export interface BinderContent extends JoinedGoals {
	readonly goals: readonly GoalRow[];
	readonly copies: readonly StoredCopy[];
}

/** Works out the goals of a binder together; `lying` says in which of its slots copies lie. */
export async function workOutContent(
	db: Reader,
	held: readonly GoalId[],
	lying: ReadonlyMap<string, string>,
	fills: (copy: StoredCopy) => boolean = isAtHand
): Promise<BinderContent> {
	const { taking, atHand } = await takeGoals(db, ({ id }) => held.includes(id), fills);
	const wanted = held.flatMap((id) => taking.find(({ state }) => state.goal.id === id) ?? []);
	const copies = new Map(
		wanted.flatMap(({ state }) => state.copies.map((copy) => [copy.id, copy] as const))
	);
	return {
		...joinGoals(
			wanted.map((goal) => ({
				...goal,
				releases: goal.state.releases
			})),
			taking.filter(({ keepsOwn }) => keepsOwn),
			atHand,
			lying
		),
		goals: wanted.map(({ state }) => state.goal),
		copies: [...copies.values()]
	};
}

/** The goals that are asked for and those that compete with them, with all copies that may fill their slots. */
async function takeGoals(
	db: Reader,
	isAsked: (goal: GoalRow, releaseIds: readonly ReleaseId[]) => boolean,
	fills: (copy: StoredCopy) => boolean
) {
	const all = await Promise.all(
		(await db.select().from(goals).orderBy(asc(goals.id))).map(async (goal) => ({
			goal,
			ids: await releasesOf(db, goal),
			keepsOwn: resolveRules(goal.rules).keepsOwn
		}))
	);
	const asked = all.filter(({ goal, ids }) => isAsked(goal, ids));
	const reach = new Set(asked.flatMap(({ ids }) => ids));
	const load = keepLoaded(db);
	const competing = all.filter(
		(goal) => asked.includes(goal) || (goal.keepsOwn && goal.ids.some((id) => reach.has(id)))
	);
	const heldBy = await heldInBinders(
		db,
		competing.map(({ goal }) => goal.id)
	);
	const taking = await Promise.all(
		competing.map(async (taken) => {
			const { goal, keepsOwn } = taken;
			const { releases, ids: read } = await loadGoalReleases(db, goal, load.releases);
			const copies = await load.copies(read);
			const state = { goal, releases, copies, ...scopeGoals(releases, goal.rules) };
			return {
				key: String(goal.id),
				keepsOwn,
				slots: state.slots,
				held: heldBy(goal.id),
				isWanted: asked.includes(taken),
				state
			};
		})
	);
	const everything = new Map(
		taking.flatMap(({ state }) => state.copies.map((copy) => [copy.id, copy] as const))
	);
	return { taking, atHand: [...everything.values()].filter(fills) };
}

/**
 * For each of some goals the slot in whose pocket a copy lies; of a pile in several pockets, the first. A pocket
 * serves all goals of its binder, but for one that names the goal that keeps it for itself.
 */
async function heldInBinders(
	db: Reader,
	goalIds: readonly GoalId[]
): Promise<(goal: GoalId) => ReadonlyMap<string, string>> {
	const goalsOf = await goalsOfBinders(db);
	const holding = [...goalsOf].flatMap(([id, held]) =>
		held.some(({ goalId }) => goalIds.includes(goalId)) ? [id] : []
	);
	const rows = await db
		.select({
			copyId: binderPockets.copyId,
			binderId: binderPockets.binderId,
			slot: binderPockets.slotKey
		})
		.from(binderPockets)
		.where(inArray(binderPockets.binderId, holding))
		.orderBy(desc(binderPockets.id));
	const held = new Map<GoalId, Map<string, string>>();
	for (const { copyId, binderId, slot } of rows) {
		const [key = slot, keeper] = slot.split('@');
		for (const { goalId } of goalsOf.get(binderId) ?? []) {
			if (keeper !== undefined && keeper !== '0' && keeper !== String(goalId)) continue;
			const ofGoal = held.get(goalId) ?? new Map<string, string>();
			held.set(goalId, ofGoal.set(String(copyId), key));
		}
	}
	return (goal) => held.get(goal) ?? new Map();
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
