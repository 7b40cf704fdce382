import { at } from '../../../core/at.ts';
import type { BoxId, DividerId, ReleaseId } from '../../../core/row-id.ts';
import { boxKindOf } from '../../../core/storage/kinds/box-kind.ts';
import { SETS, type BoxUse } from '../../../core/storage/kinds/box-use.ts';
import { freeName } from '../../../core/storage/plan/free-name.ts';
import type { Keeping } from '../../../core/storage/classes/keeping.ts';
import type { Run } from '../../../core/storage/runs/run.ts';
import type { Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { boxes, dividers } from '../../database/tables/index.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';
import { columnsOfRun } from '../runs/read-homes.ts';
import type { StoragePlan } from './plan-storage.ts';

/** A divider that stands, and the runs whose cards go behind it. */
export interface StoodDivider {
	readonly id: DividerId;
	readonly sets: readonly string[];
	/** The length it has of its row. */
	readonly um: number;
	/** Whether nothing else stands in its box. */
	readonly isAlone: boolean;
}

/** The run that stands alone behind a divider, and the release it is of. */
export type RunOf = (sets: readonly string[]) => {
	readonly run: Run;
	readonly releaseId: ReleaseId;
};

type NewDivider = typeof dividers.$inferInsert & Omit<StoodDivider, 'id'>;

/** What a new box that several sets share is called, before its number. */
function sharedName(use: BoxUse): string {
	return use === SETS ? 'Long box' : use.charAt(0).toUpperCase() + use.slice(1);
}

/**
 * Stands the new boxes of a plan with their dividers, small ones in larger ones: however many they are, in three
 * statements. Cards are not stood yet.
 *
 * @returns ids of the boxes that are not in others, and the dividers in the order of the plan
 */
export async function standBoxes(
	record: Recorder,
	tx: Transaction,
	plan: Pick<StoragePlan, 'boxes' | 'addedSmall'>,
	runOf: RunOf,
	{ isKeptApart }: Keeping
): Promise<{ readonly ids: readonly BoxId[]; readonly stood: readonly StoodDivider[] }> {
	const standing = await tx
		.select({ name: boxes.name, insideId: boxes.insideId, insideRow: boxes.insideRow })
		.from(boxes);
	const name = namer(standing.map((box) => box.name));
	const nextIn = positions(standing);
	const kinds = await readBoxKinds(tx);
	const made = await record.insert(
		boxes,
		plan.boxes.map(({ kind, use, rows }) => {
			const isOwn = boxKindOf(kind, kinds).rows === 1 && !isKeptApart(use);
			const label = rows.flatMap(({ entries }) => entries)[0]?.label ?? 'Box';
			const called = isOwn ? name(label) : name(sharedName(use), 1);
			return { shelfId: null, position: 0, name: called, kind, use };
		})
	);
	const ids = made.map(({ id }) => id);
	const small = [
		...plan.addedSmall.map((box) => ({ ...box, um: 1 })),
		...plan.boxes.flatMap(({ use, rows }, b) =>
			rows.flatMap(({ entries }, r) =>
				entries.flatMap(({ sets: [set = ''], label, smallBox: kind, um }) =>
					kind === undefined ? [] : [{ use, set, label, kind, boxId: at(ids, b), row: r + 1, um }]
				)
			)
		)
	];
	const smallMade = await record.insert(
		boxes,
		small.map(({ label, kind, use, boxId, row }) => ({
			...{ shelfId: null, position: nextIn(boxId, row), name: name(label), kind, use },
			...{ insideId: boxId, insideRow: row }
		}))
	);
	const behindSmall = small.map(({ set, label, um }, i): NewDivider => {
		const { releaseId, run } = runOf([set]);
		return {
			...{ boxId: at(smallMade, i).id, row: 1, position: 0, label, straysOf: null, releaseId },
			...{ ...columnsOfRun(run), sets: [set], um, isAlone: true }
		};
	});
	const behind = plan.boxes.flatMap(({ rows }, b): readonly NewDivider[] => {
		const loose = rows.map(({ entries }) => entries.filter(({ smallBox }) => !smallBox));
		const isAlone = loose.flat().length === 1;
		return loose.flatMap((entries, r) =>
			entries.map(({ sets, label, straysOf = null, um }, position): NewDivider => {
				const { releaseId, run } = straysOf === null ? runOf(sets) : { releaseId: null, run: null };
				return {
					...{ boxId: at(ids, b), row: r + 1, position, label, straysOf, releaseId },
					...{ ...columnsOfRun(run), sets, um, isAlone }
				};
			})
		);
	});
	const all = [...behindSmall, ...behind];
	const stood = await record.insert(dividers, all);
	return {
		ids,
		stood: all.map(({ sets, um, isAlone }, i) => ({ id: at(stood, i).id, sets, um, isAlone }))
	};
}

/** Names that nothing else bears, in turn (`freeName`). */
function namer(names: readonly string[]) {
	const taken = new Set(names);
	return (wanted: string, from?: number): string => {
		const name = freeName(wanted, taken, from);
		taken.add(name);
		return name;
	};
}

/** The next position in a row of a larger box. */
function positions(
	standing: readonly Pick<typeof boxes.$inferSelect, 'insideId' | 'insideRow'>[]
): (boxId: BoxId, row: number) => number {
	const counts = new Map<string, number>();
	const next = (boxId: BoxId, row: number): number => {
		const key = `${boxId} ${row}`;
		const count = counts.get(key) ?? 0;
		counts.set(key, count + 1);
		return count;
	};
	for (const { insideId, insideRow } of standing)
		if (insideId !== null) next(insideId, insideRow ?? 1);
	return next;
}
