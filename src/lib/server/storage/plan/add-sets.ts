import { group, rollup } from 'd3-array';
import { asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { addToRows, type MarkedRun } from '../../../core/storage/plan/add-to-rows.ts';
import type { BoxKind } from '../../../core/storage/kinds/box-kind.ts';
import type { BoxUse } from '../../../core/storage/kinds/box-use.ts';
import { chooseBox, completeUm, DIVIDER_UM } from '../../../core/storage/plan/choose-box.ts';
import { labelOf, strayLabel } from '../../../core/storage/plan/plan-boxes.ts';
import { marksOf } from '../../../core/storage/plan/school.ts';
import { isKeptApart } from '../../../core/storage/kinds/use-of-copy.ts';
import type { Reader } from '../../database/open.ts';
import {
	boxCards,
	boxes as boxTable,
	copies,
	dividers,
	releases
} from '../../database/tables/index.ts';
import type { HomelessSet } from './homeless-sets.ts';
import type { StorageOptions } from './plan-storage.ts';
import { readBoxes } from '../room/read-storage.ts';

/** A divider for new sets in a row that stands: behind how many others. */
export interface AddedDivider {
	readonly use: BoxUse;
	readonly sets: readonly string[];
	readonly label: string;
	/** The year whose strays they are. */
	readonly straysOf?: string;
	readonly boxId: number;
	readonly row: number;
	readonly at: number;
}

/** Who stands where, by the use of the box. */
export interface Housed {
	/** Releases behind dividers of their own, or among strays. */
	readonly releases: ReadonlyMap<BoxUse, ReadonlySet<number>>;
	/** Years whose strays have a divider. */
	readonly strays: ReadonlyMap<BoxUse, ReadonlySet<string>>;
}

export async function readHoused(db: Reader): Promise<Housed> {
	const own = await db
		.select({ use: boxTable.use, id: dividers.releaseId, straysOf: dividers.straysOf })
		.from(dividers)
		.innerJoin(boxTable, eq(dividers.boxId, boxTable.id));
	const among = await db
		.selectDistinct({ use: boxTable.use, id: copies.releaseId })
		.from(dividers)
		.innerJoin(boxTable, eq(dividers.boxId, boxTable.id))
		.innerJoin(boxCards, eq(boxCards.dividerId, dividers.id))
		.innerJoin(copies, eq(boxCards.copyId, copies.id))
		.where(isNull(dividers.releaseId));
	return {
		releases: rollup(
			[...own, ...among],
			(rows) => new Set(rows.flatMap(({ id }) => id ?? [])),
			({ use }) => use
		),
		strays: rollup(
			own,
			(rows) => new Set(rows.flatMap(({ straysOf }) => straysOf ?? [])),
			({ use }) => use
		)
	};
}

type NewRun = MarkedRun & {
	readonly sets: readonly HomelessSet[];
	readonly label: string;
	readonly straysOf?: string;
};

/** New sets and strays that find room between those that stand in shared boxes of their use. */
export async function addSets(
	db: Reader,
	fresh: readonly HomelessSet[],
	options: StorageOptions,
	kinds: readonly BoxKind[]
): Promise<readonly AddedDivider[]> {
	const boxes = await readBoxes(db);
	const added: AddedDivider[] = [];
	for (const [use, sets] of group(fresh, (set) => set.use)) {
		// Of sets, and of the personal collection, boxes of one row are some set's own.
		const shared = boxes.filter(
			(box) => box.use === use && (isKeptApart(use) || box.kind.rows > 1)
		);
		if (shared.length === 0) continue;
		const standing = await standingRuns(
			db,
			shared.map(({ id }) => id),
			options.school
		);
		const byRow = group(standing, (run) => run.row);
		const rows = shared.flatMap(({ id, kind }) =>
			Array.from({ length: kind.rows }, (_, i) => {
				const key = `${id} ${i + 1}`;
				return { key, rowUm: kind.rowMm * 1000, runs: byRow.get(key) ?? [] };
			})
		);
		const runs = isKeptApart(use)
			? sets.map((set) => runOf(set, options, 0))
			: [...sharedRuns(sets, options, kinds), ...strayRuns(sets, options)];
		const known = new Map(runs.map((run) => [run.key, run]));
		for (const { run, row, at } of addToRows(rows, runs).placed) {
			const found = known.get(run);
			if (!found) throw new RangeError(`addSets: no run "${run}"`);
			const { sets: own, label, straysOf } = found;
			const [boxId = 0, number = 0] = row.split(' ').map(Number);
			added.push({
				use,
				sets: own.map(({ key }) => key),
				label,
				...(straysOf === undefined ? {} : { straysOf }),
				boxId,
				row: number,
				at
			});
		}
	}
	return added;
}

function sharedRuns(
	sets: readonly HomelessSet[],
	options: StorageOptions,
	kinds: readonly BoxKind[]
): readonly NewRun[] {
	return sets
		.filter((set) => chooseBox(set, options.rules, kinds).choice === 'shared')
		.map((set) => runOf(set, options, options.growth));
}

/** A set with its divider, and room for a share of what it misses. */
function runOf(set: HomelessSet, { school }: StorageOptions, growth: number): NewRun {
	const kept = { ...set, need: set.have + growth * (set.need - set.have) };
	return {
		key: set.key,
		um: DIVIDER_UM + completeUm(kept),
		marks: marksOf(set, school),
		sets: [set],
		label: labelOf(set)
	};
}

function strayRuns(sets: readonly HomelessSet[], { rules }: StorageOptions): readonly NewRun[] {
	const strays = sets.filter((set) => set.cards <= rules.mostStrays);
	return [...group(strays, (set) => set.year)].map(([year, own]) => {
		const cardsUm = own.map((set) => completeUm({ ...set, need: 0, have: 0 }));
		const um = cardsUm.reduce((sum, one) => sum + one, DIVIDER_UM);
		return {
			key: `strays ${year}`,
			um,
			marks: [year],
			sets: own,
			label: strayLabel(year),
			straysOf: year
		};
	});
}

/** What stands in the rows of some boxes, with what it is ordered by. */
async function standingRuns(
	db: Reader,
	boxIds: readonly number[],
	school: StorageOptions['school']
): Promise<readonly (MarkedRun & { readonly row: string })[]> {
	const rows = await db
		.select({
			id: dividers.id,
			boxId: dividers.boxId,
			row: dividers.row,
			label: dividers.label,
			straysOf: dividers.straysOf,
			release: releases,
			um: sql<number>`coalesce((select sum(${boxCards.quantity} * ${boxCards.um}) from ${boxCards} where ${boxCards.dividerId} = ${dividers.id}), 0)`
		})
		.from(dividers)
		.leftJoin(releases, eq(dividers.releaseId, releases.id))
		.where(inArray(dividers.boxId, [...boxIds]))
		.orderBy(asc(dividers.boxId), asc(dividers.row), asc(dividers.position));
	return rows.map(({ id, boxId, row, label, straysOf, release, um }) => ({
		key: String(id),
		row: `${boxId} ${row}`,
		um: um + DIVIDER_UM,
		marks: release
			? marksOf({ ...release, theme: release.theme ?? '' }, school)
			: [straysOf ?? label]
	}));
}
