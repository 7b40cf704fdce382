import { inArray } from 'drizzle-orm';
import { isAcrossReleases, resolveRules } from '../../core/goal/goal-rules.ts';
import { refreshEditionCards } from '../checklists/refresh-edition-cards.ts';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import type { binderPockets } from '../database/tables/index.ts';
import { copies, goals } from '../database/tables/index.ts';
import type { JournalledName, Row, RowChange } from '../database/tables/journalled.ts';
import type { Upkeep } from '../database/upkeep.ts';
import { releasesOf, type GoalPlace } from '../goals/goal-scope.ts';
import { refreshProgress } from '../goals/refresh-progress.ts';
import { refreshCopySums, type CardOfRelease } from '../releases/refresh-copy-sums.ts';
import { trimBoxCards } from '../places/trim-box-cards.ts';
import { type ReleaseId, rowId } from '../../core/row-id.ts';

/** No more cards stand in boxes than there are; progress, totals and what is next follow every change. */
export const COLLECTION_UPKEEP: Upkeep = {
	async complete(tx, record, changes) {
		const releases = [
			...releaseIdsOf(rowsOf(changes, ['copies'])),
			...(await releasesOfPockets(tx, changes))
		];
		await trimBoxCards(record, tx, [...new Set(releases)]);
	},
	async refresh(tx, changes, now) {
		const listed = [
			...rowsOf(changes, ['releases']).map(({ id }): ReleaseId => rowId(id)),
			...releaseIdsOf(rowsOf(changes, ['sections', 'cards']))
		];
		await refreshEditionCards(tx, [...new Set(listed)]);
		await refreshCopySums(tx, rowsOf(changes, ['copies']) as unknown as readonly CardOfRelease[]);
		await refreshProgress(tx, await touchedReleases(tx, changes), now);
	}
};

/** Rows of a release from which progress is worked out. */
const OF_A_RELEASE = ['sections', 'cards', 'parallels', 'variants', 'copies'] as const;

/** The releases whose goals a change may have moved. */
async function touchedReleases(
	tx: Transaction,
	changes: readonly RowChange[]
): Promise<readonly ReleaseId[]> {
	const touched = new Set([
		...rowsOf(changes, ['releases']).map(({ id }): ReleaseId => rowId(id)),
		...releaseIdsOf(rowsOf(changes, OF_A_RELEASE)),
		...(await releasesOfPockets(tx, changes))
	]);
	const moved = rowsOf(changes, ['goals']) as unknown as GoalPlace[];
	// A release that comes or goes moves the goals that go over it and others.
	const isOther = ({ before, after }: RowChange) => before.length !== after.length;
	if (changes.some((change) => change.table === 'releases' && isOther(change))) {
		const all = await tx.select().from(goals);
		moved.push(...all.filter(({ rules }) => isAcrossReleases(resolveRules(rules))));
	}
	for (const goal of moved) {
		touched.add(goal.releaseId);
		for (const id of await releasesOf(tx, goal)) touched.add(id);
	}
	return [...touched];
}

/** A goal keeps what lies in its binder: what comes into a pocket, or out of one, moves it. */
async function releasesOfPockets(
	tx: Transaction,
	changes: readonly RowChange[]
): Promise<readonly ReleaseId[]> {
	const rows = rowsOf(changes, ['binder_pockets']) as unknown as readonly BinderPocket[];
	const ids = [...new Set(rows.map(({ copyId }) => copyId))];
	const found = new Set<ReleaseId>();
	for (const some of chunks(ids, 500)) {
		const releases = await tx
			.selectDistinct({ id: copies.releaseId })
			.from(copies)
			.where(inArray(copies.id, [...some]));
		for (const { id } of releases) found.add(id);
	}
	return [...found];
}

type BinderPocket = typeof binderPockets.$inferSelect;

const releaseIdsOf = (rows: readonly Row[]): readonly ReleaseId[] =>
	rows.flatMap(({ releaseId }): ReleaseId[] =>
		typeof releaseId === 'number' ? [rowId(releaseId)] : []
	);

/** Rows of some tables, as they were and as they became. */
function rowsOf(changes: readonly RowChange[], tables: readonly JournalledName[]): readonly Row[] {
	return changes
		.filter(({ table }) => tables.includes(table))
		.flatMap(({ before, after }) => [...before, ...after]);
}
