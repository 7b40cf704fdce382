import type { Keeping } from '../../../core/storage/classes/keeping.ts';
import { group, sum } from 'd3-array';
import { eq, inArray, sql } from 'drizzle-orm';
import { UM_A_PT } from '../../../core/measuring/stock.ts';
import type { HomelessRun } from '../../../core/storage/plan/plan-room.ts';
import { cardsOfRun } from '../../../core/storage/runs/cards-of-run.ts';
import { DOUBLES, nameRun, runKey, runOrder, type Run } from '../../../core/storage/runs/run.ts';
import type { Reader } from '../../database/open.ts';
import type { releases } from '../../database/tables/index.ts';
import { cards, editionCards, sections } from '../../database/tables/index.ts';
import { FILED_CARD, WITH_FILED_CARD } from '../../places/filed-card.ts';
import { loadReleases } from '../../releases/load-release.ts';
import { looseCards, type LooseCards } from './loose-cards.ts';
import { readRunNames } from './run-names.ts';
import { setsBuilt } from './sets-built.ts';
import type { ReleaseId } from '../../../core/row-id.ts';

/** What has no place, with the id of its release. */
export interface StoredHomelessRun extends HomelessRun {
	readonly id: ReleaseId;
}

type Head = typeof releases.$inferSelect;

/**
 * What of some releases has no place, run by run and use by use. A run is as complete as the share of its
 * numbers that is there; numbers that have a place elsewhere need none. Its stock is the mean of its cards
 * with their holders.
 *
 * @param keep is given the cards of each run
 */
export async function homelessRuns(
	db: Reader,
	heads: readonly Head[],
	keeping: Keeping,
	mostStrays: number,
	keep: (key: string, cards: readonly LooseCards[]) => void = () => undefined
): Promise<readonly StoredHomelessRun[]> {
	const ids = heads.map(({ id }) => id);
	const loose = await looseCards(db, keeping, ids);
	if (loose.length === 0) return [];
	const namesOf = await readRunNames(db, ids);
	const builtOf = await setsBuilt(db);
	const needOf = await runSizes(db, loose, mostStrays, builtOf);
	const placedOf = await placedNumbers(db, keeping, [
		...new Set(loose.map(({ copy }) => copy.releaseId))
	]);
	const headOf = new Map(heads.map((head) => [head.id, head]));
	const parts = group(loose, ({ copy, run }) => `${copy.use} ${runKey(run)}`);
	return [...parts].flatMap(([key, ofRun]): StoredHomelessRun[] => {
		const [first] = ofRun;
		const head = first && headOf.get(first.copy.releaseId);
		if (!first || !head) return [];
		keep(key, ofRun);
		const { run } = first;
		const { use } = first.copy;
		const { name, year, maker, theme, id } = head;
		const names = namesOf(id);
		const count = sum(ofRun, ({ quantity }) => quantity);
		const numbers = new Set(ofRun.map(({ copy }) => copy.cardKey)).size;
		const isSet = run.section !== null && run.set !== DOUBLES;
		const placed = isSet ? placedOf(id, run) : 0;
		const need = isSet ? Math.max(numbers, (needOf(id, run) ?? numbers) - placed) : numbers;
		return [
			{
				...{ id, key, name, year, maker, use, run, cards: count, need },
				...(theme === null ? {} : { theme }),
				...(keeping.isKeptApart(use)
					? {}
					: { part: nameRun(run, names), order: runOrder(run, names) }),
				have: Math.min(numbers, count),
				stockPt: sum(ofRun, ({ copy, quantity }) => quantity * copy.um) / count / UM_A_PT
			}
		];
	});
}

/** How many cards a run has when complete; of finishes only where a goal asks for them and there are more than strays. */
async function runSizes(
	db: Reader,
	loose: Awaited<ReturnType<typeof looseCards>>,
	mostStrays: number,
	builtOf: Awaited<ReturnType<typeof setsBuilt>>
) {
	const filed = (table: typeof cards | typeof editionCards, releaseIds: readonly ReleaseId[]) =>
		db
			.select({
				releaseId: table.releaseId,
				section: sql<string>`coalesce(${sections.numberedIn}, ${sections.key})`,
				count: sql<number>`count(*)`
			})
			.from(table)
			.innerJoin(sections, eq(table.sectionId, sections.id))
			.where(inArray(table.releaseId, [...releaseIds]))
			.groupBy(table.releaseId, sql`2`);
	const ids = [...new Set(loose.map(({ copy }) => copy.releaseId))];
	const rows = [...(await filed(cards, ids)), ...(await filed(editionCards, ids))];
	const base = new Map<string, number>();
	for (const { releaseId, section, count } of rows) {
		const key = `${releaseId} ${section}`;
		base.set(key, (base.get(key) ?? 0) + count);
	}
	const finishes = group(
		loose.filter(
			({ copy, run }) => run.parallel !== null && builtOf(copy.releaseId).isAsked(run.parallel)
		),
		({ copy, run }) => `${copy.releaseId} ${runKey(run)}`
	);
	const inFinish = [...finishes.values()].filter(
		(same) => sum(same, ({ quantity }) => quantity) > mostStrays
	);
	const stored = new Map(
		(
			await loadReleases(db, [
				...new Set(inFinish.flatMap(([first]) => first?.copy.releaseId ?? []))
			])
		).map(({ id, release }) => [id, release])
	);
	return (id: ReleaseId, run: Run): number | undefined => {
		if (run.parallel === null) return base.get(`${id} ${run.section ?? ''}`);
		const release = stored.get(id);
		return release && cardsOfRun(release, run).length;
	};
}

/** How many numbers of a run have a place already, as often as its set asks for: what is kept apart leaves its number's room free. */
async function placedNumbers(db: Reader, keeping: Keeping, releaseIds: readonly ReleaseId[]) {
	if (releaseIds.length === 0) return () => 0;
	const ofSets = keeping.uses.filter((use) => !keeping.isKeptApart(use));
	// `cross join` holds SQLite to this order: from the copies of these releases to what stands.
	const ofReleases = inArray(sql`c.release_id`, [...releaseIds]);
	const rows = await db.all<{
		releaseId: ReleaseId;
		section: string | null;
		parallel: string | null;
		placed: number;
		numbers: number;
	}>(sql`
		with placed_copies as (
			select c.id, sum(b.quantity) as placed from copies c
				cross join box_cards b on b.copy_id = c.id cross join dividers d on d.id = b.divider_id
				cross join boxes x on x.id = d.box_id
				where ${ofReleases} and ${inArray(sql`x.use`, ofSets)} group by 1
			union all
			select c.id, count(*) from copies c cross join binder_pockets p on p.copy_id = c.id
				where ${ofReleases} group by 1)
		select "releaseId", section, parallel, placed, count(*) as numbers from (
			select "copies"."release_id" as "releaseId", ${FILED_CARD.sectionKey} as section,
				"copies"."parallel_key" as parallel, "copies"."card_key", sum(p.placed) as placed
			from placed_copies p join "copies" on "copies"."id" = p.id ${WITH_FILED_CARD}
			group by 1, 2, 3, 4
		) group by 1, 2, 3, 4`);
	const byRun = group(rows, ({ releaseId, section, parallel }) =>
		JSON.stringify([releaseId, section, parallel])
	);
	return (id: ReleaseId, { section, parallel, set }: Run): number =>
		sum(
			(byRun.get(JSON.stringify([id, section, parallel])) ?? []).filter(
				({ placed }) => placed >= set
			),
			({ numbers }) => numbers
		);
}
