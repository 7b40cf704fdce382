import { and, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import { COLLECTIBLE_PREFIX } from '../../core/checklist/with-collectibles.ts';
import type { BoxUse } from '../../core/storage/kinds/box-use.ts';
import type { CardBulk } from '../../core/storage/room/card-bulk.ts';
import { chunks } from '../database/chunks.ts';
import type { Reader } from '../database/open.ts';
import { readJoined } from '../database/read-joined.ts';
import { copies } from '../database/tables/index.ts';
import type { Keeping } from '../../core/storage/classes/keeping.ts';
import { qualityRank, type Condition } from '../../core/copies/condition.ts';
import { FILED_CARD, WITH_FILED_CARD } from './filed-card.ts';
import { keptAs, keptColumns, type KeptRow } from './kept-columns.ts';
import { PLAIN, readFacts, VARIANT } from './kept-facts.ts';
import { readSwatches } from './read-swatches.ts';
import type { CopyId, ReleaseId } from '../../core/row-id.ts';

/** Cards that are here: what is on its way stands nowhere, and a poster goes into no box of cards. */
export const isHere = and(
	inArray(copies.status, ['kept', 'spare', 'to sell']),
	sql`${copies.cardKey} not glob ${`${COLLECTIBLE_PREFIX}*`}`
);

/** How many cards of a copy lie in no pocket and stand in no box. */
export const FREE = sql<number>`"copies"."quantity"
	- coalesce((select sum(b.quantity) from box_cards b where b.copy_id = "copies"."id"), 0)
	- (select count(*) from binder_pockets p where p.copy_id = "copies"."id")`;

/** Cards of a copy that lie in no pocket, stand in no box, and have no place in words. */
export interface HomelessCopy extends CardBulk {
	readonly id: CopyId;
	readonly releaseId: ReleaseId;
	readonly cardKey: string;
	readonly parallelKey: string | null;
	readonly variantKey: string | null;
	readonly number: string | null;
	readonly title: string;
	/** What it is sorted as where it has no number; null: its title. */
	readonly sortAs: string | null;
	/** The section in whose numbering its card is filed; null: the checklist has it no more. */
	readonly sectionKey: string | null;
	/** How good it is (`qualityRank`). */
	readonly rank: number;
	readonly use: BoxUse;
	/** How many of them. */
	readonly free: number;
}

/** Homeless copies of some releases, or of all; oldest first. */
export async function homelessCopies(
	db: Reader,
	keeping: Keeping,
	only: { readonly releases?: readonly ReleaseId[]; readonly copies?: readonly CopyId[] } = {}
): Promise<readonly HomelessCopy[]> {
	const wheres = only.copies
		? chunks(only.copies, 500).map((ids) => inArray(copies.id, [...ids]))
		: only.releases
			? chunks(only.releases, 500).map((ids) => inArray(copies.releaseId, [...ids]))
			: [undefined];
	const found: (readonly HomelessCopy[])[] = [];
	for (const where of wheres) found.push(await readHomeless(db, keeping, where));
	return found.flat();
}

type HomelessRow = Omit<HomelessCopy, 'rank' | 'use' | 'um' | 'mg'> & {
	readonly condition: Condition | null;
	readonly grade: number | null;
	readonly isAuthentic: number;
} & KeptRow;

async function readHomeless(
	db: Reader,
	keeping: Keeping,
	where: SQL | undefined
): Promise<readonly HomelessCopy[]> {
	// What is free is worked out once a copy, before anything is read of it or joined to it.
	const free = sql`(
		with f as materialized (
			select "copies"."id", ${FREE} as free
			from "copies" where ${and(isHere, isNull(copies.place), where)}
		) select * from f where free > 0) as f cross join "copies" on "copies"."id" = f.id`;
	const {
		holder: _holder,
		status: _status,
		format: _format,
		valueMinor: _value,
		currency: _currency,
		...fragments
	} = keptColumns(keeping);
	const rows = await readJoined<HomelessRow>(
		db,
		{
			id: sql`"copies"."id"`,
			releaseId: sql`"copies"."release_id"`,
			cardKey: sql`"copies"."card_key"`,
			parallelKey: sql`"copies"."parallel_key"`,
			variantKey: sql`"copies"."variant_key"`,
			...FILED_CARD,
			condition: sql`"copies"."condition"`,
			grade: sql`"copies"."grade"`,
			isAuthentic: sql`"copies"."is_authentic"`,
			holder: sql`"copies"."holder"`,
			status: sql`"copies"."status"`,
			valueMinor: sql`"copies"."value_minor"`,
			currency: sql`"copies"."currency"`,
			free: sql`f.free`,
			...fragments
		},
		sql`${free} ${WITH_FILED_CARD} order by "copies"."id"`
	);
	const releaseIds = [...new Set(rows.map(({ releaseId }) => releaseId))];
	const swatchOf = await readSwatches(db, releaseIds);
	const factsOf = await readFacts(db, keeping, releaseIds);
	// Most copies are kept as many others are: what follows from their features is worked out once.
	const kept = new Map<string, ReturnType<typeof keptAs>>();
	const keptLike = (row: HomelessRow) => {
		const { format, parallelPt, holder, status, isGraded, isNumbered } = row;
		const swatch = swatchOf(row);
		const facts = factsOf(row);
		const told = facts === PLAIN ? '' : facts === VARIANT ? 'variant' : JSON.stringify(facts);
		const features = `${format ?? ''}|${parallelPt ?? ''}|${holder ?? ''}|${status}|${isGraded}${isNumbered}${swatch ?? ''}|${row.attributes}|${row.valueMinor ?? ''}${row.currency ?? ''}|${told}`;
		let found = kept.get(features);
		if (!found) kept.set(features, (found = keptAs(row, swatch, keeping, facts)));
		return found;
	};
	return rows.map((row) => {
		const { use, um, mg } = keptLike(row);
		return {
			id: row.id,
			releaseId: row.releaseId,
			cardKey: row.cardKey,
			parallelKey: row.parallelKey,
			variantKey: row.variantKey,
			sectionKey: row.sectionKey,
			number: row.number,
			title: row.title,
			sortAs: row.sortAs,
			free: row.free,
			rank: rankOf(row),
			use,
			um,
			mg
		};
	});
}

function rankOf({
	condition,
	grade,
	isAuthentic
}: Pick<HomelessRow, 'condition' | 'grade' | 'isAuthentic'>): number {
	return qualityRank({
		...(condition === null ? {} : { condition }),
		...(grade === null ? {} : { grade }),
		isAuthentic: isAuthentic === 1
	});
}
