import { and, asc, eq, inArray, ne } from 'drizzle-orm';
import type { BinderKind } from '../../core/binder/binder-kind.ts';
import { resolveLayout, type BinderLayout } from '../../core/binder/binder-layout.ts';
import type { BinderSlot } from '../../core/binder/binder-slot.ts';
import { binderSlots } from '../../core/binder/binder-slots.ts';
import { nameItems, type CopyInPocket, type NamedItem } from '../../core/binder/name-items.ts';
import type { PageKind } from '../../core/binder/page-kind.ts';
import { planBinder, type BinderPlan, type BinderSetting } from '../../core/binder/plan-binder.ts';
import { pocketCards, type KeptApart, type PocketCard } from '../../core/binder/pocket-cards.ts';
import { pocketName } from '../../core/binder/pocket-name.ts';
import { settlePlan } from '../../core/binder/settle-plan.ts';
import type { Release } from '../../core/checklist/release.ts';
import { chunks } from '../database/chunks.ts';
import type { Reader } from '../database/open.ts';
import {
	binderPockets,
	binders,
	boxCards,
	boxes,
	dividers,
	goals,
	ownKinds
} from '../database/tables/index.ts';
import { readGoal } from '../goals/read-goals.ts';
import type { GoalState } from '../goals/work-out-goals.ts';

export type BinderRow = typeof binders.$inferSelect;

/** A binder worked out: its goal, its pages as they should be, and what lies in them. */
export interface BinderState {
	readonly binder: BinderRow;
	readonly layout: BinderLayout;
	readonly setting: BinderSetting;
	readonly goal: GoalState;
	readonly slots: readonly BinderSlot[];
	/** What the pockets of filled slots hold. */
	readonly cards: ReadonlyMap<string, PocketCard>;
	readonly plan: BinderPlan;
	/** As it lies, and as it should. */
	readonly now: readonly NamedItem[];
	readonly target: readonly NamedItem[];
}

export async function listBinders(db: Reader) {
	return db
		.select({ id: binders.id, name: binders.name, goalId: goals.id, goalName: goals.name })
		.from(binders)
		.innerJoin(goals, eq(binders.goalId, goals.id))
		.orderBy(asc(binders.id));
}

/** Page and binder kinds of one's own, as they were added. */
export async function readOwnKinds(
	db: Reader
): Promise<Pick<BinderSetting, 'pageKinds' | 'binderKinds'>> {
	const rows = await db.select().from(ownKinds).orderBy(asc(ownKinds.id));
	const of = (sort: 'page' | 'binder') =>
		rows.filter((row) => row.sort === sort).map(({ kind }) => kind);
	return { pageKinds: of('page') as PageKind[], binderKinds: of('binder') as BinderKind[] };
}

/** A binder with its goal worked out and its pages planned; null where there is none. */
export async function readBinder(db: Reader, id: number): Promise<BinderState | null> {
	const [binder] = await db.select().from(binders).where(eq(binders.id, id));
	if (!binder) return null;
	const goal = await readGoal(db, binder.goalId);
	if (!goal) throw new RangeError(`readBinder: the goal of binder ${id} is gone`);
	const layout = resolveLayout(binder.layout);
	const setting = { ...(await readOwnKinds(db)), rarities: raritiesOf(goal.releases) };
	const lying = await readLying(db, id);
	const apart = await keptApart(db, goal.copies);
	const cards = pocketCards(
		goal.slots,
		goal.filling,
		goal.copies,
		layout.pulled,
		binder.name,
		apart
	);
	const slots = binderSlots(goal.releases, goal.slots, arrivals(goal, cards));
	const planned = planBinder(slots, layout, setting);
	const pages = settlePlan(planned.pages, layout, pocketsBySlot(lying, cards));
	const plan = { ...planned, pages };
	return {
		binder,
		layout,
		setting,
		goal,
		slots,
		cards,
		plan,
		...nameItems(lying, targetsOf(plan, cards))
	};
}

/** Which copies stand in boxes apart from the sets, and in which. */
async function keptApart(db: Reader, some: GoalState['copies']): Promise<KeptApart> {
	const found = new Map<string, string>();
	for (const ids of chunks(
		some.map(({ id }) => id),
		5000
	)) {
		const rows = await db
			.select({ copyId: boxCards.copyId, name: boxes.name })
			.from(boxCards)
			.innerJoin(dividers, eq(boxCards.dividerId, dividers.id))
			.innerJoin(boxes, eq(dividers.boxId, boxes.id))
			.where(and(inArray(boxCards.copyId, [...ids]), ne(boxes.use, 'sets')));
		for (const { copyId, name } of rows) found.set(String(copyId), name);
	}
	return found;
}

/** What is known to lie in the pockets of a binder. */
async function readLying(db: Reader, binderId: number): Promise<readonly CopyInPocket[]> {
	const rows = await db
		.select({
			pocket: binderPockets.pocket,
			slot: binderPockets.slotKey,
			copy: binderPockets.copyId
		})
		.from(binderPockets)
		.where(eq(binderPockets.binderId, binderId))
		.orderBy(asc(binderPockets.id));
	return rows.map((row) => ({ ...row, copy: String(row.copy) }));
}

/** Rarity classes of releases, in their order. */
export function raritiesOf(releases: readonly Release[]): readonly string[] {
	return [...new Set(releases.flatMap((release) => release.rarities))];
}

/** When what fills each slot arrived; only slots that are filled are named. */
export function arrivals(
	goal: Pick<GoalState, 'copies'>,
	cards: ReadonlyMap<string, PocketCard>
): ReadonlyMap<string, { readonly arrivedOn: string }> {
	const known = new Map(goal.copies.map((copy) => [copy.key, copy]));
	return new Map(
		[...cards].map(([slot, { filling }]) => {
			const copy = known.get(filling);
			return [slot, { arrivedOn: copy?.acquiredOn ?? copy?.loggedAt.slice(0, 10) ?? '' }];
		})
	);
}

function pocketsBySlot(
	lying: readonly CopyInPocket[],
	cards: ReadonlyMap<string, PocketCard>
): ReadonlyMap<string, string> {
	return new Map(
		lying
			.filter(({ slot, copy }) => cards.get(slot)?.inPocket === copy)
			.map(({ slot, pocket }) => [slot, pocket])
	);
}

/** What shall lie where: the copies that belong in pockets, page by page. */
function targetsOf(
	plan: BinderPlan,
	cards: ReadonlyMap<string, PocketCard>
): readonly CopyInPocket[] {
	return plan.pages.flatMap((page) =>
		page.pockets.flatMap((slot, pocket) => {
			const copy = slot === null ? null : (cards.get(slot)?.inPocket ?? null);
			return slot === null || copy === null
				? []
				: [{ slot, copy, pocket: pocketName({ ...page, pocket }) }];
		})
	);
}
