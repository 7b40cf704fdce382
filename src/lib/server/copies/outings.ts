import { and, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { rollup, sum } from 'd3-array';
import {
	checkOuting,
	compareOutings,
	outingState,
	type Outing,
	type OutingState
} from '../../core/copies/outing.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { CopyId, OutingId, SubmissionId } from '../../core/row-id.ts';
import { chunks } from '../database/chunks.ts';
import type { Collection, Reader } from '../database/open.ts';
import { copies, outings, submissionCards } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { readJoined } from '../database/read-joined.ts';
import { NAMED_COPY, nameOfCopy, WITH_NAMES, type NamedCopy } from '../places/named-copy.ts';
import type { CopyPick } from './change-copies.ts';

/** Days before a card is due from which on one is reminded. */
const REMIND_DAYS = 7;
const A_DAY_MS = 86_400_000;

type Row = typeof outings.$inferSelect;

/** Cards that are out, as they are listed. */
export interface OutingLine extends Outing {
	readonly id: OutingId;
	readonly copyId: CopyId;
	/** ISO 8601 date; null: they are out still. */
	readonly backOn: string | null;
	readonly state: OutingState;
	/** "27 Quiet Harbour Light, Brass" */
	readonly name: string;
	readonly release: string;
	/** The submission that it belongs to: the grading desk takes it back. null: to none. */
	readonly submissionId: SubmissionId | null;
	readonly releaseKey: string;
	readonly cardKey: string;
}

/** Sends cards out, all in one step; with any problem none. */
export function sendOut(
	collection: Collection,
	picks: readonly CopyPick[],
	said: Omit<Outing, 'quantity' | 'outOn'> & { readonly outOn?: string }
): Promise<Outcome<{ readonly cards: number }>> {
	return makeChange(collection, async (record, tx) => {
		const outOn = said.outOn ?? dayOf(collection.now());
		const ids = [...new Set(picks.map(({ copyId }) => copyId))];
		const here = new Map<CopyId, number>();
		for (const some of chunks(ids, 500)) {
			const rows = await tx
				.select({ id: copies.id, quantity: copies.quantity })
				.from(copies)
				.where(inArray(copies.id, [...some]));
			for (const { id, quantity } of rows) here.set(id, quantity);
		}
		for (const [id, out] of await outOf(tx, ids)) here.set(id, (here.get(id) ?? 0) - out);
		const told = new Map<string, Problem>();
		const tell = (problem: Problem) => told.set(problem.message, problem);
		if (picks.length === 0) tell({ message: 'no copy is chosen', remedy: 'Choose some.' });
		for (const { copyId, quantity } of picks) {
			const left = here.get(copyId);
			if (left === undefined) {
				tell({ message: 'a copy is gone', remedy: 'Look at the list as it is now.' });
				continue;
			}
			here.set(copyId, left - quantity);
			checkOuting({ ...said, outOn, quantity }, Math.max(0, left)).forEach(tell);
		}
		if (told.size > 0) return refused([...told.values()]);
		const { kind, dueOn } = said;
		const to = said.to.trim();
		await record.insert(
			outings,
			picks.map(({ copyId, quantity }) => ({ copyId, quantity, kind, to, outOn, dueOn }))
		);
		const cards = sum(picks, ({ quantity }) => quantity);
		const label = `${cards === 1 ? 'A card goes' : `${cards} cards go`} out to ${to}`;
		return { value: good({ cards }), label };
	});
}

/** Says that cards are back: they stand where they stood. */
export function bringBack(
	collection: Collection,
	id: OutingId
): Promise<Outcome<{ readonly id: OutingId }>> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx
			.select()
			.from(outings)
			.where(and(eq(outings.id, id), isNull(outings.backOn)));
		if (!row) return refused([{ message: 'it is back already', remedy: 'Reload the page.' }]);
		if ((await submissionsOf(tx, [id])).has(id)) {
			const remedy = 'Say at the grading desk what came back.';
			return refused([{ message: 'it belongs to a submission', remedy }]);
		}
		await record.update(outings, id, { backOn: dayOf(collection.now()) });
		return { value: good({ id }), label: `Back from ${row.to}` };
	});
}

/** What is out of some copies, or of all. */
export async function openOutings(db: Reader, ids?: readonly CopyId[]): Promise<readonly Row[]> {
	const rows = await db.select().from(outings).where(isNull(outings.backOn));
	const wanted = ids && new Set(ids);
	return rows.filter(({ copyId }) => wanted?.has(copyId) ?? true);
}

/** How many cards of some copies, or of all, are out. */
export async function outOf(
	db: Reader,
	ids?: readonly CopyId[]
): Promise<ReadonlyMap<CopyId, number>> {
	return rollup(
		await openOutings(db, ids),
		(same) => sum(same, ({ quantity }) => quantity),
		({ copyId }) => copyId
	);
}

/** What is out, the most pressing first. */
export async function listOutings(db: Reader, now: string): Promise<readonly OutingLine[]> {
	return (await named(db, await openOutings(db), now)).toSorted(compareOutings);
}

/** What came back, the last first. */
export async function listBack(
	db: Reader,
	now: string,
	most: number
): Promise<readonly OutingLine[]> {
	const rows = await db
		.select()
		.from(outings)
		.where(isNotNull(outings.backOn))
		.orderBy(desc(outings.backOn), desc(outings.id))
		.limit(most);
	return named(db, rows, now);
}

async function named(
	db: Reader,
	rows: readonly Row[],
	now: string
): Promise<readonly OutingLine[]> {
	const today = dayOf(now);
	const soon = soonOf(today);
	const submissions = await submissionsOf(
		db,
		rows.map(({ id }) => id)
	);
	const ids = JSON.stringify(rows.map(({ copyId }) => copyId));
	const found = await readJoined<NamedCopy & { id: CopyId; releaseKey: string; cardKey: string }>(
		db,
		{
			id: sql`"copies"."id"`,
			...NAMED_COPY,
			releaseKey: sql`r.key`,
			cardKey: sql`"copies"."card_key"`
		},
		sql`"copies" ${WITH_NAMES} where "copies"."id" in (select value from json_each(${ids}))`
	);
	const nameOf = new Map(found.map((row) => [row.id, row]));
	return rows.flatMap((row): OutingLine[] => {
		const copy = nameOf.get(row.copyId);
		if (!copy) return [];
		const { release, releaseKey, cardKey } = copy;
		const state = outingState(row, today, soon);
		const submissionId = submissions.get(row.id) ?? null;
		return [{ ...row, state, name: nameOfCopy(copy), release, releaseKey, cardKey, submissionId }];
	});
}

/** The submissions that outings belong to. */
async function submissionsOf(
	db: Reader,
	ids: readonly OutingId[]
): Promise<ReadonlyMap<OutingId, SubmissionId>> {
	const rows = await db
		.select({ outingId: submissionCards.outingId, submissionId: submissionCards.submissionId })
		.from(submissionCards)
		.where(inArray(submissionCards.outingId, [...ids]));
	return new Map(
		rows.flatMap(({ outingId, submissionId }) =>
			outingId === null ? [] : [[outingId, submissionId] as const]
		)
	);
}

/** The day of a moment (ISO 8601). */
export const dayOf = (now: string) => now.slice(0, 10);

/** The last day that counts as soon, as seen from a day. */
export const soonOf = (today: string) =>
	dayOf(new Date(Date.parse(today) + REMIND_DAYS * A_DAY_MS).toISOString());
