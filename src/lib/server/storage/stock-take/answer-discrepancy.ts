import { and, asc, eq } from 'drizzle-orm';
import { DISCREPANCY_ANSWERS } from '../../../core/storage/stock-take/discrepancy.ts';
import { cardBulk } from '../../../core/storage/room/card-bulk.ts';
import { parseVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import { placeOf } from '../../copies/copy-rows.ts';
import { removeCopyRows } from '../../removal/remove-copy-rows.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { boxCards, copies, discrepancies, releases } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import type { Recorder } from '../../database/record.ts';
import { readKeeping } from '../../places/keeping.ts';
import { homelessCopies } from '../../places/homeless.ts';
import { formatColumns, formatOf } from '../../places/kept-columns.ts';
import { readSwatches } from '../../places/read-swatches.ts';
import { standBehind, takeOut } from '../../places/stand-behind.ts';
import type { CopyId, DiscrepancyId, ReleaseId } from '../../../core/row-id.ts';

type Row = typeof discrepancies.$inferSelect;

/** Answers a discrepancy by the key of an answer, and closes it. */
export function answerDiscrepancy(
	collection: Collection,
	id: DiscrepancyId,
	key: string
): Promise<Outcome<{ readonly id: DiscrepancyId }>> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(discrepancies).where(eq(discrepancies.id, id));
		const answer = row && DISCREPANCY_ANSWERS[row.sort].find((choice) => choice.key === key);
		if (!row || !answer) {
			return refused([{ message: 'there is no such question', remedy: 'Reload the page.' }]);
		}
		const releaseKey = parseVersionKey(row.version)?.release ?? '';
		const [release] = await tx.select().from(releases).where(eq(releases.key, releaseKey));
		const isHere = answer.act === 'here';
		const left = isHere && release ? await moveHere(record, tx, row, release.id) : 0;
		if (isHere && left === row.quantity) {
			const remedy = 'Then it is new: log it.';
			return refused([{ message: 'none of these has another place, or none', remedy }]);
		}
		// Of some that were found here only a part was known.
		if (left > 0) await record.update(discrepancies, id, { quantity: left });
		else await record.remove(discrepancies, [id]);
		if (answer.act === 'out') await takeOutRow(record, tx, row);
		if (answer.act === 'gone') await loseCards(record, tx, row);
		if (answer.act === 'log' && release) {
			const place = placeOf(release.id, row.version);
			const fields = { quantity: row.quantity, loggedAt: collection.now() };
			const [made] = await record.insert(copies, [{ ...place, ...fields }]);
			if (made) await stand(record, tx, row, made.id, row.quantity);
		}
		return { value: good({ id }), label: `${answer.name}: ${row.version}` };
	});
}

async function takeOutRow(record: Recorder, tx: Transaction, row: Row): Promise<void> {
	if (row.copyId === null || row.dividerId === null) return;
	await takeOut(record, tx, row.copyId, row.quantity, row.dividerId);
}

/** Cards that are gone leave the collection; a copy of which none is left goes whole. */
async function loseCards(record: Recorder, tx: Transaction, row: Row): Promise<void> {
	if (row.copyId === null) return;
	await takeOutRow(record, tx, row);
	const [copy] = await tx.select().from(copies).where(eq(copies.id, row.copyId));
	if (!copy) return;
	if (copy.quantity <= row.quantity) await removeCopyRows(record, tx, [copy.id]);
	else await record.update(copies, copy.id, { quantity: copy.quantity - row.quantity });
}

/** Stands cards that had no place, and then such that stand elsewhere, behind the divider. How many are left. */
async function moveHere(
	record: Recorder,
	tx: Transaction,
	row: Row,
	releaseId: ReleaseId
): Promise<number> {
	const { cardKey, parallelKey, variantKey } = placeOf(releaseId, row.version);
	let left = row.quantity;
	const homeless = await homelessCopies(tx, await readKeeping(tx), { releases: [releaseId] });
	for (const copy of homeless) {
		const isIt =
			copy.cardKey === cardKey &&
			copy.parallelKey === parallelKey &&
			copy.variantKey === variantKey;
		const count = isIt ? Math.min(left, copy.free) : 0;
		if (count === 0) continue;
		await stand(record, tx, row, copy.id, count);
		left -= count;
	}
	const elsewhere = await tx
		.select({
			copyId: boxCards.copyId,
			dividerId: boxCards.dividerId,
			quantity: boxCards.quantity,
			parallel: copies.parallelKey,
			variant: copies.variantKey
		})
		.from(boxCards)
		.innerJoin(copies, eq(boxCards.copyId, copies.id))
		.where(and(eq(copies.releaseId, releaseId), eq(copies.cardKey, cardKey)))
		.orderBy(asc(boxCards.id));
	for (const place of elsewhere) {
		const isIt =
			place.dividerId !== row.dividerId &&
			place.parallel === parallelKey &&
			place.variant === variantKey;
		const count = isIt ? Math.min(left, place.quantity) : 0;
		if (count === 0) continue;
		await takeOut(record, tx, place.copyId, count, place.dividerId);
		await stand(record, tx, row, place.copyId, count);
		left -= count;
	}
	return left;
}

async function stand(
	record: Recorder,
	tx: Transaction,
	row: Row,
	copyId: CopyId,
	quantity: number
): Promise<void> {
	if (row.dividerId === null) return;
	const { releaseId, cardKey, parallelKey } = copies;
	const level = { releaseId, cardKey, parallelKey };
	const [found] = await tx
		.select({ ...formatColumns, ...level })
		.from(copies)
		.where(eq(copies.id, copyId));
	if (!found) throw new RangeError(`stand: no copy ${copyId}`);
	const swatchOf = await readSwatches(tx, [found.releaseId]);
	const bulk = cardBulk(formatOf(found, swatchOf(found)), found.holder);
	await standBehind(record, tx, row.dividerId, [{ copyId, quantity, ...bulk }]);
}
