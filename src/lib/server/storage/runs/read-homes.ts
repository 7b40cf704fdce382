import { group } from 'd3-array';
import { eq, inArray, isNull, or, sql } from 'drizzle-orm';
import type { BoxUse } from '../../../core/storage/kinds/box-use.ts';
import type { Keeping } from '../../../core/storage/classes/keeping.ts';
import type { HomeDivider } from '../../../core/storage/runs/find-home.ts';
import { runForUse } from '../../../core/storage/runs/run-for-use.ts';
import { runKeyOfAnySet, type Run } from '../../../core/storage/runs/run.ts';
import { chunks } from '../../database/chunks.ts';
import type { Reader } from '../../database/open.ts';
import { boxCards, boxes, copies, dividers, releases } from '../../database/tables/index.ts';
import { FILED_CARD, WITH_FILED_CARD } from '../../places/filed-card.ts';
import type { DividerId, ReleaseId } from '../../../core/row-id.ts';

type DividerRow = typeof dividers.$inferSelect;

/** The run that a divider is of; null: strays, or what a person put there. */
export function runOfDivider(
	{
		sectionKey,
		parallelKey,
		setNumber
	}: Pick<DividerRow, 'sectionKey' | 'parallelKey' | 'setNumber'>,
	release: string | null
): Run | null {
	if (release === null) return null;
	return { release, section: sectionKey, parallel: parallelKey, set: setNumber ?? 1 };
}

/** A divider's columns for a run; nothing of them for strays. */
export function columnsOfRun(run: Run | null) {
	return {
		sectionKey: run?.section ?? null,
		parallelKey: run?.parallel ?? null,
		setNumber: run === null || run.section === null ? null : run.set
	};
}

/** So many releases are asked for by their ids; of more all dividers are read. */
const FEW_RELEASES = 200;

/**
 * Every divider with what belongs behind it.
 *
 * @param of the releases that are looked for a home: of others only where their cards stand is read
 */
export async function readHomes(
	db: Reader,
	of?: readonly ReleaseId[]
): Promise<readonly HomeDivider[]> {
	const isFew = of !== undefined && of.length <= FEW_RELEASES;
	const rows = await db
		.select({
			id: dividers.id,
			use: boxes.use,
			release: releases.key,
			straysOf: dividers.straysOf,
			sectionKey: dividers.sectionKey,
			parallelKey: dividers.parallelKey,
			setNumber: dividers.setNumber
		})
		.from(dividers)
		.innerJoin(boxes, eq(dividers.boxId, boxes.id))
		.leftJoin(releases, eq(dividers.releaseId, releases.id))
		.where(
			isFew
				? or(
						isNull(dividers.releaseId),
						inArray(dividers.releaseId, [...of]),
						inArray(dividers.id, behindWhich(db, of))
					)
				: undefined
		);
	return rows.map(({ id, use, straysOf, release, ...row }) => ({
		id,
		use,
		straysOf,
		run: runOfDivider(row, release)
	}));
}

/** Dividers behind which a card of some releases stands, whosever they are. */
const behindWhich = (db: Reader, of: readonly ReleaseId[]) =>
	db
		.select({ id: boxCards.dividerId })
		.from(copies)
		.innerJoin(boxCards, eq(boxCards.copyId, copies.id))
		.where(inArray(copies.releaseId, [...of]));

/**
 * Runs of some releases whose cards stand behind dividers of others, by divider: among strays, where a
 * person put them, or where they stood before runs were told apart.
 */
export async function readAmong(
	db: Reader,
	releaseIds: readonly ReleaseId[],
	{ isKeptApart }: Pick<Keeping, 'isKeptApart'>
): Promise<ReadonlyMap<DividerId, ReadonlySet<string>>> {
	const found: { divider: DividerId; key: string }[] = [];
	for (const ids of chunks([...new Set(releaseIds)], 200)) {
		const rows = await db.all<{
			divider: DividerId;
			use: BoxUse;
			release: string;
			section: string | null;
			parallel: string | null;
		}>(sql`
			select distinct d.id as divider, x.use as use, r.key as release,
				${FILED_CARD.sectionKey} as section, "copies"."parallel_key" as parallel
			from ${boxCards} b join ${copies} on "copies"."id" = b.copy_id
				join ${dividers} d on d.id = b.divider_id join ${boxes} x on x.id = d.box_id
				join ${releases} r on r.id = "copies"."release_id" ${WITH_FILED_CARD}
			where ${inArray(copies.releaseId, [...ids])} and not (d.release_id is "copies"."release_id"
				and d.section_key is ${FILED_CARD.sectionKey} and d.parallel_key is "copies"."parallel_key")`);
		for (const { divider, use, ...run } of rows) {
			found.push({ divider, key: runKeyOfAnySet(runForUse(isKeptApart(use), { ...run, set: 1 })) });
		}
	}
	return new Map(
		[...group(found, ({ divider }) => divider)].map(([id, rows]) => [
			id,
			new Set(rows.map(({ key }) => key))
		])
	);
}
