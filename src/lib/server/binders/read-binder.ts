import { and, asc, eq, inArray, ne } from 'drizzle-orm';
import type { BinderKind } from '../../core/binder/binder-kind.ts';
import type { CopyInPocket } from '../../core/binder/name-items.ts';
import type { PageKind } from '../../core/binder/page-kind.ts';
import type { BinderSetting } from '../../core/binder/plan-binder.ts';
import type { KeptApart } from '../../core/binder/pocket-cards.ts';
import { workOutBinder, type BinderState } from '../../core/binder/work-out-binder.ts';
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
import { readHolderKinds } from '../places/keeping.ts';
import { goalsOfBinders, type BinderGoal } from '../held-goals/goals-of-binders.ts';
import { workOutContent, type BinderContent } from '../goals/work-out-goals.ts';
import type { BinderId } from '../../core/row-id.ts';

export type BinderRow = typeof binders.$inferSelect;

/** A binder worked out, with its row and what it holds. */
export interface StoredBinder extends BinderState {
	readonly binder: BinderRow;
	readonly content: BinderContent;
	readonly held: readonly BinderGoal[];
}

/** Binders with the goals that they hold, in their order. */
export async function listBinders(db: Reader) {
	const rows = await db
		.select({ id: binders.id, name: binders.name })
		.from(binders)
		.orderBy(asc(binders.id));
	const names = new Map(
		(await db.select({ id: goals.id, name: goals.name }).from(goals)).map(
			({ id, name }) => [id, name] as const
		)
	);
	const held = await goalsOfBinders(db);
	return rows.map(({ id, name }) => ({
		id,
		name,
		goals: (held.get(id) ?? []).map(({ goalId }) => ({
			id: goalId,
			name: names.get(goalId) ?? ''
		}))
	}));
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

/** A binder with its goals worked out and its pages planned; null where there is none. */
export async function readBinder(db: Reader, id: BinderId): Promise<StoredBinder | null> {
	const [binder] = await db.select().from(binders).where(eq(binders.id, id));
	if (!binder) return null;
	const held = (await goalsOfBinders(db, [id])).get(id) ?? [];
	const lying = await readLying(db, id);
	const content = await workOutContent(
		db,
		held.map(({ goalId }) => goalId),
		// Of a pile in several pockets, the first.
		new Map([...lying].reverse().map(({ copy, slot }) => [copy, slot]))
	);
	const state = workOutBinder({
		name: binder.name,
		layout: {
			...binder.layout,
			goals: held.map(({ goalId, order }) => ({
				goal: String(goalId),
				...(order ? { order } : {})
			}))
		},
		content,
		copies: content.copies,
		apart: await keptApart(db, content.copies),
		lying,
		kinds: { ...(await readOwnKinds(db)), holders: await readHolderKinds(db) }
	});
	return { binder, content, held, ...state };
}

/** Which copies stand in boxes apart from the sets, and in which. */
async function keptApart(db: Reader, some: BinderContent['copies']): Promise<KeptApart> {
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
async function readLying(db: Reader, binderId: BinderId): Promise<readonly CopyInPocket[]> {
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
