import { eq, inArray, sql } from 'drizzle-orm';
import { cardFinder } from '../../../core/checklist/versions/find-version.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { groupName } from '../../../core/goal/missing-list.ts';
import { convertMinor, type ExchangeRate } from '../../../core/money/exchange-rates.ts';
import type { BinderId, BoxId, GoalId, ReleaseId } from '../../../core/row-id.ts';
import type { WorthCopy } from '../../../core/worth/value/set-worth.ts';
import { qualityOfRow } from '../../copies/quality-of-row.ts';
import type { Reader } from '../../database/open.ts';
import { readRows } from '../../database/read-rows.ts';
import {
	binderPockets,
	boxCards,
	copies,
	copySums,
	dividers,
	releases
} from '../../database/tables/index.ts';
import { workOutGoals } from '../../goals/work-out-goals.ts';
import { loadReleases } from '../../releases/load-release.ts';

/** Whose worth is asked for. */
export type WorthScope =
	| { readonly sort: 'all' }
	| { readonly sort: 'release'; readonly key: string }
	| { readonly sort: 'goal'; readonly id: GoalId }
	| { readonly sort: 'binder'; readonly id: BinderId }
	| { readonly sort: 'box'; readonly id: BoxId };

/** How owners' values are converted. */
interface Money {
	readonly currency: string;
	readonly rates: readonly ExchangeRate[];
}

/** What a row of copies, or of their sums, says. */
type SummedRow = Omit<typeof copySums.$inferSelect, 'status'>;

/** The copies of a scope as worth takes them, equal ones together, and the releases they are of. */
export async function readWorthCopies(
	db: Reader,
	scope: WorthScope,
	money: Money
): Promise<{
	readonly copies: readonly WorthCopy[];
	readonly releases: ReadonlyMap<ReleaseId, string>;
}> {
	const rows = await rowsOf(db, scope);
	const heads = await db
		.select({ id: releases.id, key: releases.key, name: releases.name })
		.from(releases);
	const headOf = new Map(heads.map((head) => [head.id, head]));
	const used = [...new Set(rows.map(({ releaseId }) => releaseId))];
	const isByRelease = scope.sort === 'all' || scope.sort === 'binder' || scope.sort === 'box';
	const loaded = isByRelease ? [] : await loadReleases(db, used);
	const details = new Map(
		loaded.map(({ id, release }) => [id, { release, find: cardFinder(release) }])
	);
	return {
		releases: new Map(used.map((id) => [id, headOf.get(id)?.key ?? ''])),
		copies: rows.map((row, i): WorthCopy => {
			const { cardKey: card, parallelKey: parallel, variantKey: variant } = row;
			const head = headOf.get(row.releaseId);
			const version = formatVersionKey({ release: head?.key ?? '', card, parallel, variant });
			const detail = details.get(row.releaseId);
			const found = detail?.find(version);
			const code = row.currency ?? money.currency;
			const said =
				row.valueMinor === null
					? null
					: convertMinor(row.valueMinor, code, money.currency, money.rates);
			const { house, quantity } = row;
			return {
				...{ key: `${i}`, version, quantity },
				group:
					detail && found
						? groupName(detail.release, found.section, found.version.parallelKey)
						: (head?.name ?? ''),
				isKey: found?.card.marks.some((mark) => mark === 'key' || mark === 'rookie') ?? false,
				...qualityOfRow(row),
				...(house === null ? {} : { house }),
				...(said === null ? {} : { saidMinor: said })
			};
		})
	};
}

/** What is there; copies on their way are not. */
async function rowsOf(db: Reader, scope: WorthScope): Promise<readonly SummedRow[]> {
	const isHere = sql`${copySums.status} <> 'incoming'`;
	const inOrder = sql`${copySums.releaseId}, ${copySums.cardKey}`;
	switch (scope.sort) {
		case 'all':
			return readRows(db, copySums, isHere, inOrder);
		case 'release': {
			const [head] = await db
				.select({ id: releases.id })
				.from(releases)
				.where(eq(releases.key, scope.key));
			if (!head) return [];
			return readRows(db, copySums, sql`${isHere} and ${copySums.releaseId} = ${head.id}`, inOrder);
		}
		case 'goal': {
			const [state] = await workOutGoals(db, (goal) => goal.id === scope.id);
			if (!state) return [];
			const counts = new Map<string, number>();
			for (const { copy } of state.filling.placements) {
				counts.set(copy, (counts.get(copy) ?? 0) + 1);
			}
			return copiesAsRows(db, counts);
		}
		case 'binder': {
			const lying = await db
				.select({ id: binderPockets.copyId })
				.from(binderPockets)
				.where(eq(binderPockets.binderId, scope.id));
			const counts = new Map<string, number>();
			for (const { id } of lying) counts.set(`${id}`, (counts.get(`${id}`) ?? 0) + 1);
			return copiesAsRows(db, counts);
		}
		case 'box': {
			const standing = await db
				.select({ id: boxCards.copyId, quantity: boxCards.quantity })
				.from(boxCards)
				.innerJoin(dividers, eq(dividers.id, boxCards.dividerId))
				.where(eq(dividers.boxId, scope.id));
			const counts = new Map<string, number>();
			for (const { id, quantity } of standing) {
				counts.set(`${id}`, (counts.get(`${id}`) ?? 0) + quantity);
			}
			return copiesAsRows(db, counts);
		}
	}
}

/** So many of some copies. */
async function copiesAsRows(
	db: Reader,
	counts: ReadonlyMap<string, number>
): Promise<readonly SummedRow[]> {
	const ids = [...counts.keys()].map(Number);
	const rows = await readRows(
		db,
		copies,
		inArray(copies.id, sql`(select value from json_each(${JSON.stringify(ids)}))`),
		sql`${copies.id}`
	);
	return rows.flatMap((row) =>
		row.status === 'incoming' ? [] : [{ ...row, quantity: counts.get(`${row.id}`) ?? 0 }]
	);
}
