import { group, sum } from 'd3-array';
import { asc, eq, inArray, sql } from 'drizzle-orm';
import { setImmediate } from 'node:timers/promises';
import { USUAL_BOX_RULES, DIVIDER_UM } from '../../../core/storage/plan/choose-box.ts';
import {
	planRoom,
	type RoomPlan,
	type RoomRow,
	type SmallRow,
	type RoomRules
} from '../../../core/storage/plan/plan-room.ts';
import { homeFinder } from '../../../core/storage/runs/find-home.ts';
import { nameRun, runOrder } from '../../../core/storage/runs/run.ts';
import { chunks } from '../../database/chunks.ts';
import type { Keeping } from '../../../core/storage/classes/keeping.ts';
import type { Reader } from '../../database/open.ts';
import { dividers, dividerSums, releases } from '../../database/tables/index.ts';
import { readKeeping } from '../../places/keeping.ts';
import { releasesWithLoose } from '../../places/loose-releases.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';
import { readBoxes, type StoredBox } from '../room/read-storage.ts';
import { homelessRuns, type StoredHomelessRun } from '../runs/homeless-runs.ts';
import type { Progress } from '../../progress.ts';
import type { LooseCards } from '../runs/loose-cards.ts';
import { readAmong, readHomes, runOfDivider } from '../runs/read-homes.ts';
import { readRunNames } from '../runs/run-names.ts';
import type { ReleaseId } from '../../../core/row-id.ts';

const USUAL_STORAGE: RoomRules = { school: 'year', rules: USUAL_BOX_RULES, growth: 0.5 };

/** Where all that has no place should go, and what that is. */
export interface StoragePlan extends RoomPlan {
	readonly sets: readonly StoredHomelessRun[];
}

/** Releases read at a time; between chunks the server answers others. */
const RELEASES_A_CHUNK = 20;

/** What is told while a plan is made. */
export interface PlanWatch {
	/** After each chunk of releases. */
	readonly tell?: (told: Progress) => void;
	/** The cards of each run. */
	readonly keep?: (key: string, cards: readonly LooseCards[]) => void;
}

/** Plans places for every copy that has none (`planRoom`). */
export async function planStorage(
	db: Reader,
	options: RoomRules = USUAL_STORAGE,
	{ tell, keep }: PlanWatch = {}
): Promise<StoragePlan> {
	const heads: (typeof releases.$inferSelect)[] = [];
	for (const ids of chunks(await releasesWithLoose(db), 500)) {
		const some = inArray(releases.id, [...ids]);
		heads.push(...(await db.select().from(releases).where(some).orderBy(asc(releases.id))));
	}
	const keeping = await readKeeping(db);
	const { mostStrays } = options.rules;
	const sets: StoredHomelessRun[] = [];
	let done = 0;
	for (const some of chunks(heads, RELEASES_A_CHUNK)) {
		sets.push(...(await homelessRuns(db, some, keeping, mostStrays, keep)));
		done += some.length;
		tell?.({ done, total: heads.length });
		await setImmediate();
	}
	const homes = await readHomes(db);
	const asHead = ({ run, use, year, cards }: StoredHomelessRun) => {
		return { run, use, year, isFew: cards <= mostStrays };
	};
	const findOwn = homeFinder(homes);
	const lost = sets.filter((set) => findOwn(asHead(set)).length === 0);
	const among = await readAmong(
		db,
		lost.map(({ id }) => id),
		keeping
	);
	const findHome = homeFinder(homes, among);
	const room = {
		keeping,
		rows: await readSharedRows(db, keeping),
		smallRows: smallRowsOf(await readBoxes(db)),
		isHoused: (head: Parameters<typeof findHome>[0]) => findHome(head).length > 0,
		kinds: await readBoxKinds(db)
	};
	return { sets, ...planRoom(room, sets, options) };
}

/** Rows in which small boxes stand. */
function smallRowsOf(all: readonly StoredBox[]): readonly SmallRow[] {
	return all.flatMap(({ id: boxId, use, kind, inside, rows }) =>
		rows.flatMap(({ row, usedUm }) =>
			inside.some((inner) => inner.row === row)
				? [{ boxId, use, row, freeUm: kind.rowMm * 1000 - usedUm }]
				: []
		)
	);
}

/** Rows that sets share, with what stands in them. Of sets, boxes of one row are some set's own. */
async function readSharedRows(
	db: Reader,
	{ isKeptApart }: Pick<Keeping, 'isKeptApart'>
): Promise<readonly RoomRow[]> {
	const shared = (await readBoxes(db)).filter(({ use, kind }) => isKeptApart(use) || kind.rows > 1);
	const rows = await db
		.select({ divider: dividers, um: sql<number>`coalesce(${dividerSums.um}, 0)` })
		.from(dividers)
		.leftJoin(dividerSums, eq(dividerSums.dividerId, dividers.id))
		.where(
			inArray(
				dividers.boxId,
				shared.map(({ id }) => id)
			)
		)
		.orderBy(asc(dividers.boxId), asc(dividers.row), asc(dividers.position));
	const ids = [...new Set(rows.flatMap(({ divider }) => divider.releaseId ?? []))];
	const headOf = new Map<ReleaseId, typeof releases.$inferSelect>();
	for (const some of chunks(ids, 500)) {
		const heads = await db
			.select()
			.from(releases)
			.where(inArray(releases.id, [...some]));
		for (const head of heads) headOf.set(head.id, head);
	}
	const namesOf = await readRunNames(db, ids);
	const standing = group(rows, ({ divider }) => `${divider.boxId} ${divider.row}`);
	return shared.flatMap(({ id: boxId, use, kind, inside }) =>
		Array.from({ length: kind.rows }, (_, i): RoomRow => ({
			boxId,
			use,
			row: i + 1,
			rowUm:
				kind.rowMm * 1000 -
				sum(
					inside.filter(({ row }) => row === i + 1),
					({ um }) => um
				),
			standing: (standing.get(`${boxId} ${i + 1}`) ?? []).map(({ divider, um }) => {
				const head = divider.releaseId === null ? undefined : headOf.get(divider.releaseId);
				const run = runOfDivider(divider, head?.key ?? null);
				const names = head && namesOf(head.id);
				const set =
					head === undefined || names === undefined || run === null
						? null
						: {
								...head,
								theme: head.theme ?? '',
								part: nameRun(run, names),
								order: runOrder(run, names)
							};
				return { um: um + DIVIDER_UM, set, label: divider.straysOf ?? divider.label };
			})
		}))
	);
}
