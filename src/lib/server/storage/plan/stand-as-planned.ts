import { group } from 'd3-array';
import { setImmediate } from 'node:timers/promises';
import { boxKindOf } from '../../../core/storage/kinds/box-kind.ts';
import { SETS, type BoxUse } from '../../../core/storage/kinds/box-use.ts';
import { DIVIDER_UM } from '../../../core/storage/plan/choose-box.ts';
import { standCards } from '../../../core/storage/plan/stand-cards.ts';
import { freeName } from '../../../core/storage/plan/free-name.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { boxes, dividers } from '../../database/tables/index.ts';
import { makeChange } from '../../journal/change.ts';
import { insertOne, type Recorder } from '../../database/record.ts';
import { at } from '../../../core/at.ts';
import { writePreference } from '../../preferences/preferences.ts';
import { readKeeping } from '../../places/keeping.ts';
import type { HomelessCopy } from '../../places/homeless.ts';
import { looseCardsInTurn } from '../runs/loose-cards.ts';
import { columnsOfRun } from '../runs/read-homes.ts';
import type { StoredHomelessRun } from '../runs/homeless-runs.ts';
import { planStorage, type StoragePlan } from './plan-storage.ts';
import { putOnShelves } from './put-on-shelves.ts';
import type { Keeping } from '../../../core/storage/classes/keeping.ts';
import type { RoomBox } from '../../../core/storage/plan/plan-room.ts';
import { runKey } from '../../../core/storage/runs/run.ts';
import { STORAGE_CHOICE, storageOptions, type StorageChoice } from './read-storage-options.ts';
import { usesOfPlan } from '../../../core/storage/supplies/uses-of-plan.ts';
import { useSupplies } from '../supplies/stock.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';
import { insertDivider } from '../room/insert-divider.ts';
import { inRow } from '../room/read-box.ts';
import { standBehind } from '../../places/stand-behind.ts';
import { type BoxId, type DividerId, type ReleaseId } from '../../../core/row-id.ts';

/** What a new box that several sets share is called, before its number. */
function sharedName(use: BoxUse): string {
	return use === SETS ? 'Long box' : use.charAt(0).toUpperCase() + use.slice(1);
}

/** What standing the planned boxes did. */
export interface Stood {
	readonly boxes: number;
	readonly cards: number;
}

/** Records that the planned boxes stand, with their dividers and cards, heavy ones on low shelves. */
export function standAsPlanned(
	collection: Collection,
	choice: StorageChoice = STORAGE_CHOICE.usual
): Promise<Stood> {
	return makeChange(collection, async (record, tx) => {
		const keeping = await readKeeping(tx);
		const plan = await planStorage(tx, storageOptions(choice));
		const stander = await openStander(record, tx, plan, keeping);
		for (const { boxId, row, at, sets, label, straysOf } of plan.added) {
			const id = await insertDivider(record, tx, {
				boxId,
				row,
				at,
				label,
				straysOf: straysOf ?? null,
				partOf: null,
				...(straysOf === undefined ? stander.runOf(sets) : { releaseId: null, run: null })
			});
			await stander.stand(sets, id);
		}
		for (const { set, label, kind, use, boxId, row } of plan.addedSmall) {
			const small = await standSmallBox(record, tx, { kind, use, boxId, row, label }, stander, [
				set
			]);
			await stander.stand([set], small);
		}
		const ids: BoxId[] = [];
		for (const box of plan.boxes) {
			ids.push(await standBox(record, tx, box, stander, keeping));
			// Others are answered in between.
			await setImmediate();
		}
		// A set that goes on in the next row, or box, is dealt over all its dividers at once.
		await stander.finish();
		await useSupplies(record, tx, usesOfPlan(plan));
		await putOnShelves(record, tx, ids);
		if (stander.count() > 0) await writePreference(record, tx, STORAGE_CHOICE, choice);
		const label =
			ids.length > 0
				? `Stand ${ids.length === 1 ? 'one box' : `${ids.length} boxes`}`
				: 'Stand new dividers';
		return { value: { boxes: ids.length, cards: stander.count() }, label };
	});
}

interface Stander {
	/** The run that stands alone behind a divider, and the release it is of. */
	readonly runOf: (
		sets: readonly string[]
	) => Pick<StoredHomelessRun, 'run'> & { readonly releaseId: ReleaseId };
	/** Remembers a part of some runs, for `finish` to stand behind its divider. */
	readonly plan: (
		sets: readonly string[],
		divider: DividerId,
		um: number,
		isAlone: boolean
	) => void;
	/** Stands all of some runs behind a divider at once. */
	readonly stand: (sets: readonly string[], divider: DividerId) => Promise<void>;
	readonly finish: () => Promise<void>;
	readonly count: () => number;
}

async function openStander(
	record: Recorder,
	tx: Transaction,
	plan: StoragePlan,
	keeping: Keeping
): Promise<Stander> {
	const fresh = new Set(
		[
			...plan.added,
			...plan.addedSmall.map(({ set }) => ({ sets: [set] })),
			...plan.boxes.flatMap(({ rows }) => rows.flatMap((row) => row.entries))
		].flatMap(({ sets }) => sets)
	);
	const known = new Map(plan.sets.map((set) => [set.key, set]));
	const wanted = [...new Set([...fresh].flatMap((key) => known.get(key)?.id ?? []))];
	const loose = await looseCardsInTurn(tx, keeping, wanted);
	const bySet = group(loose, ({ copy, run }) => `${copy.use} ${runKey(run)}`);
	const parts = new Map<string, { sets: readonly string[]; dividers: DividerId[]; um: number[] }>();
	let count = 0;
	const cardsOf = (sets: readonly string[]) =>
		sets.flatMap((key) =>
			(bySet.get(key) ?? [])
				.map(({ copy, quantity }) => ({ ...copy, copyId: copy.id, quantity }))
				.sort(byNumber)
		);
	const deal = async (
		sets: readonly string[],
		ids: readonly DividerId[],
		um: readonly number[]
	) => {
		const dealt = standCards(cardsOf(sets), um);
		for (const [i, cards] of dealt.entries()) {
			await standBehind(record, tx, at(ids, i), cards);
			count += cards.reduce((total, { quantity }) => total + quantity, 0);
		}
	};
	return {
		runOf([key = '']) {
			const set = known.get(key);
			if (!set) throw new RangeError(`runOf: no run "${key}" in the plan`);
			return { releaseId: set.id, run: set.run };
		},
		plan(sets, divider, um, isAlone) {
			const key = sets.join(' ');
			const part = parts.get(key) ?? { sets, dividers: [], um: [] };
			part.dividers.push(divider);
			// A set alone in its box has no divider to pay for. The divider of the set's own part is in its length; of those that go on in what rows keep free.
			part.um.push(part.um.length === 0 && !isAlone ? um - DIVIDER_UM : um);
			parts.set(key, part);
		},
		stand: (sets, divider) => deal(sets, [divider], [1]),
		async finish() {
			for (const { sets, dividers: ids, um } of parts.values()) {
				await deal(sets, ids, um);
				// Others are answered in between.
				await setImmediate();
			}
		},
		count: () => count
	};
}

function byNumber(a: HomelessCopy, b: HomelessCopy): number {
	const marks = ({ number, title, sortAs, cardKey, parallelKey, variantKey }: HomelessCopy) => ({
		release: '',
		number,
		title,
		sortAs,
		version: `${cardKey} ${parallelKey ?? ''} ${variantKey ?? ''}`
	});
	return inRow(marks(a), marks(b));
}

async function standBox(
	record: Recorder,
	tx: Transaction,
	{ kind, use, rows }: RoomBox,
	stander: Stander,
	{ isKeptApart }: Keeping
): Promise<BoxId> {
	const taken = new Set(
		(await tx.select({ name: boxes.name }).from(boxes)).map(({ name }) => name)
	);
	const kinds = await readBoxKinds(tx);
	const entries = rows.flatMap((row) => row.entries);
	const isOwn = boxKindOf(kind, kinds).rows === 1 && !isKeptApart(use);
	const name = isOwn
		? freeName(entries[0]?.label ?? 'Box', taken)
		: freeName(sharedName(use), taken, 1);
	const { id: boxId } = await insertOne(record, boxes, {
		...{ shelfId: null, position: 0, name, kind, use }
	});
	for (const [r, row] of rows.entries()) {
		for (const { sets, label, smallBox, um } of row.entries) {
			if (smallBox === undefined) continue;
			const where = { kind: smallBox, use, boxId, row: r + 1, label };
			stander.plan(sets, await standSmallBox(record, tx, where, stander, sets), um, true);
		}
	}
	const loose = entries.filter(({ smallBox }) => smallBox === undefined);
	const places = rows.flatMap((row, r) =>
		row.entries
			.filter(({ smallBox }) => smallBox === undefined)
			.map(({ sets, label, straysOf = null }, position) => {
				const { releaseId, run } =
					straysOf === null ? stander.runOf(sets) : { releaseId: null, run: null };
				return { boxId, row: r + 1, position, label, straysOf, releaseId, ...columnsOfRun(run) };
			})
	);
	const stood = await record.insert(dividers, places);
	for (const [i, { sets, um }] of loose.entries()) {
		stander.plan(sets, at(stood, i).id, um, loose.length === 1);
	}
	return boxId;
}

/** A small box at the end of a row of a larger one, with its set behind the only divider. */
async function standSmallBox(
	record: Recorder,
	tx: Transaction,
	{
		kind,
		use,
		boxId,
		row,
		label
	}: { kind: string; use: BoxUse; boxId: BoxId; row: number; label: string },
	stander: Stander,
	sets: readonly string[]
): Promise<DividerId> {
	const all = await tx
		.select({ name: boxes.name, insideId: boxes.insideId, insideRow: boxes.insideRow })
		.from(boxes);
	const name = freeName(label, new Set(all.map((box) => box.name)));
	const position = all.filter((box) => box.insideId === boxId && box.insideRow === row).length;
	const small = await insertOne(record, boxes, {
		...{ shelfId: null, position, name, kind, use },
		...{ insideId: boxId, insideRow: row }
	});
	const { releaseId, run } = stander.runOf(sets);
	const made = await insertOne(record, dividers, {
		...{ boxId: small.id, row: 1, position: 0, label, straysOf: null, releaseId },
		...columnsOfRun(run)
	});
	return made.id;
}
