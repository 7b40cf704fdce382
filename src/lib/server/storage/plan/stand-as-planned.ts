import { group, sum } from 'd3-array';
import { setImmediate } from 'node:timers/promises';
import { at } from '../../../core/at.ts';
import type { DividerId } from '../../../core/row-id.ts';
import { DIVIDER_UM } from '../../../core/storage/plan/choose-box.ts';
import { standCards } from '../../../core/storage/plan/stand-cards.ts';
import { usesOfPlan } from '../../../core/storage/supplies/uses-of-plan.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { boxCards } from '../../database/tables/index.ts';
import { makeChange } from '../../journal/change.ts';
import { journalMark } from '../../journal/journal-mark.ts';
import { readKeeping } from '../../places/keeping.ts';
import { forgetHoused } from '../../places/loose-releases.ts';
import { writePreference } from '../../preferences/preferences.ts';
import type { Progress } from '../../progress.ts';
import { insertDivider } from '../room/insert-divider.ts';
import { useSupplies } from '../supplies/stock.ts';
import type { StoragePlan } from './plan-storage.ts';
import { prepareStanding, type CardsToStand, type PreparedStanding } from './prepare-standing.ts';
import { putOnShelves } from './put-on-shelves.ts';
import { STORAGE_CHOICE, type StorageChoice } from './read-storage-options.ts';
import { standBoxes, type RunOf, type StoodDivider } from './stand-boxes.ts';

/** What standing the planned boxes did. */
export interface Stood {
	readonly boxes: number;
	readonly cards: number;
}

/** How far standing is: releases that were looked through, then cards that stand. */
export interface StandTold extends Progress {
	readonly of: 'releases' | 'cards';
}

/** Cards that are stood between two words of how far it is. */
const CARDS_A_CHUNK = 20_000;

/**
 * Records that the planned boxes stand, with their dividers and cards, heavy ones on low shelves. All is read and
 * decided before the change, which only writes: others wait for no more than that. What was done meanwhile is
 * not overlooked: then it is planned again.
 *
 * @param tell is told how far it is: releases read, then cards stood
 */
export async function standAsPlanned(
	collection: Collection,
	choice: StorageChoice = STORAGE_CHOICE.usual,
	tell?: (told: StandTold) => void
): Promise<Stood> {
	const tellRead = tell && ((told: Progress) => tell({ ...told, of: 'releases' }));
	const ready = await prepareStanding(collection.db, choice, tellRead);
	return makeChange(collection, async (record, tx) => {
		const holds = (await journalMark(tx)) === ready.mark;
		const prepared = holds ? ready : await prepareStanding(tx, choice, tellRead);
		const { plan } = prepared;
		const runOf = runsOf(plan);
		const added = await standAdded(record, tx, plan, runOf);
		const { ids, stood } = await standBoxes(record, tx, plan, runOf, await readKeeping(tx));
		const cards = await standBehindNew(record, [...added, ...stood], prepared, tell);
		await useSupplies(record, tx, usesOfPlan(plan));
		await putOnShelves(record, tx, ids);
		await forgetHoused(tx);
		if (cards > 0) await writePreference(record, tx, STORAGE_CHOICE, choice);
		const label =
			ids.length > 0
				? `Stand ${ids.length === 1 ? 'one box' : `${ids.length} boxes`}`
				: 'Stand new dividers';
		return { value: { boxes: ids.length, cards }, label };
	});
}

function runsOf({ sets }: StoragePlan): RunOf {
	const known = new Map(sets.map((set) => [set.key, set]));
	return ([key = '']) => {
		const set = known.get(key);
		if (!set) throw new RangeError(`runsOf: no run "${key}" in the plan`);
		return { releaseId: set.id, run: set.run };
	};
}

/** New dividers in rows that stand. */
async function standAdded(
	record: Recorder,
	tx: Transaction,
	{ added }: StoragePlan,
	runOf: RunOf
): Promise<readonly StoodDivider[]> {
	const stood: StoodDivider[] = [];
	for (const { boxId, row, at: position, sets, label, straysOf } of added) {
		const id = await insertDivider(record, tx, {
			...{ boxId, row, at: position, label, straysOf: straysOf ?? null, partOf: null },
			...(straysOf === undefined ? runOf(sets) : { releaseId: null, run: null })
		});
		stood.push({ id, sets, um: 1, isAlone: true });
	}
	return stood;
}

/**
 * Stands the cards of runs behind dividers behind which nothing stands yet. A run that goes on in the next row, or
 * box, is dealt over all its dividers at once.
 */
async function standBehindNew(
	record: Recorder,
	stood: readonly StoodDivider[],
	{ cardsOf, cards: total }: PreparedStanding,
	tell?: (told: StandTold) => void
): Promise<number> {
	let done = 0;
	let rows: ReturnType<typeof behind> = [];
	/** Written as they come: half a million rows are not held twice. */
	const write = async () => {
		await record.insert(boxCards, rows);
		done += sum(rows, ({ quantity }) => quantity);
		rows = [];
		tell?.({ done, total, of: 'cards' });
		// Others are answered in between.
		await setImmediate();
	};
	for (const parts of group(stood, ({ sets }) => sets.join(' ')).values()) {
		// A set alone in its box has no divider to pay for. The divider of the set's own part is in its length; of those that go on in what rows keep free.
		const room = parts.map(({ um, isAlone }, i) => (i === 0 && !isAlone ? um - DIVIDER_UM : um));
		const dealt = standCards(at(parts, 0).sets.flatMap(cardsOf), room);
		for (const [i, cards] of dealt.entries()) rows.push(...behind(at(parts, i).id, cards));
		if (rows.length >= CARDS_A_CHUNK) await write();
	}
	if (rows.length > 0) await write();
	return done;
}

/** Cards of one copy may come for several sets: the first and doubles among the same strays. */
function behind(dividerId: DividerId, cards: readonly CardsToStand[]) {
	const byCopy = new Map<number, CardsToStand & { readonly dividerId: DividerId }>();
	for (const { copyId, um, mg, quantity } of cards) {
		const before = byCopy.get(copyId)?.quantity ?? 0;
		byCopy.set(copyId, { dividerId, copyId, um, mg, quantity: quantity + before });
	}
	return [...byCopy.values()];
}
