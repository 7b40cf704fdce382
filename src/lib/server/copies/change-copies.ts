import { eq, inArray } from 'drizzle-orm';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import type { CopyId } from '../../core/row-id.ts';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import type { Recorder } from '../database/record.ts';
import { copies } from '../database/tables/index.ts';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import { readHolderKinds } from '../places/keeping.ts';
import { measureAnew } from '../places/measure-anew.ts';
import { loadReleases } from '../releases/load-release.ts';
import { problemsOf } from './check-copy-row.ts';
import { fieldsAsRow, placeAsked, type CopyFields } from './copy-rows.ts';
import { splitOff } from './split-off.ts';

/** So many cards of a copy. */
export interface CopyPick {
	readonly copyId: CopyId;
	readonly quantity: number;
}

/** A pick with what is to be said of its cards. */
export interface PickedChange extends CopyPick {
	readonly fields: Omit<CopyFields, 'quantity'>;
	/** The version they are, where they were taken for another one. */
	readonly version?: string;
}

/**
 * Says the same of many copies, or of each something else, within one change: where only some cards of a
 * copy are meant, they become a copy apart. Gives the copies that bear it now, in the order of the picks;
 * with any problem nothing is changed, and each is told once.
 */
export async function changePicked(
	record: Recorder,
	tx: Transaction,
	picks: readonly PickedChange[]
): Promise<Outcome<readonly CopyId[]>> {
	const rows = new Map<CopyId, typeof copies.$inferSelect>();
	for (const some of chunks([...new Set(picks.map(({ copyId }) => copyId))], 5000)) {
		for (const row of await tx.select().from(copies).where(inArray(copies.id, some))) {
			rows.set(row.id, row);
		}
	}
	const stored = await loadReleases(tx, [
		...new Set([...rows.values()].map(({ releaseId }) => releaseId))
	]);
	const releaseOf = new Map(stored.map(({ id, release }) => [id, release]));
	const holders = await readHolderKinds(tx);
	const told = new Map<string, Problem>();
	const left = new Map([...rows].map(([id, { quantity }]) => [id, quantity]));
	for (const { copyId, quantity, fields, version } of picks) {
		const row = rows.get(copyId);
		const release = row && releaseOf.get(row.releaseId);
		const after = (left.get(copyId) ?? 0) - quantity;
		left.set(copyId, after);
		const problems =
			row && release && after >= 0
				? problemsOf(
						release,
						version ??
							formatVersionKey({
								release: release.key,
								card: row.cardKey,
								parallel: row.parallelKey,
								variant: row.variantKey
							}),
						{
							...row,
							...(version === undefined ? {} : placeAsked(row.releaseId, version)),
							...fieldsAsRow(fields),
							quantity
						},
						holders
					)
				: [{ message: 'a copy is gone', remedy: 'Look at the list as it is now.' }];
		for (const problem of problems) told.set(problem.message, problem);
	}
	if (told.size > 0) return bad([...told.values()]);
	const changed: CopyId[] = [];
	for (const { copyId, quantity, fields, version } of picks) {
		const [row] = await tx.select().from(copies).where(eq(copies.id, copyId));
		if (!row) throw new RangeError(`changePicked: copy ${copyId} went while it was changed`);
		const said = {
			...(version === undefined ? {} : placeAsked(row.releaseId, version)),
			...fieldsAsRow(fields)
		};
		if (quantity < row.quantity) changed.push(await splitOff(record, tx, row, quantity, said));
		else {
			await record.update(copies, copyId, said);
			changed.push(copyId);
		}
	}
	for (const some of chunks(changed, 5000)) await measureAnew(record, tx, some);
	return good(changed);
}
