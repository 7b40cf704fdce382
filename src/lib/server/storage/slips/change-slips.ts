import { insertOne, type Recorder } from '../../database/record.ts';
import { eq } from 'drizzle-orm';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import type { SlipSort, SlipState } from '../../../core/storage/slips/slip-line.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { copies, discrepancies, releases, slipLines, slips } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { findHomeless, findStanding, type SlipCards, type SlipSource } from './find-slip-cards.ts';
import { readKeeping } from '../../places/keeping.ts';
import { homelessCopies } from '../../places/homeless.ts';
import { readSlip } from './slips.ts';
import { standBehind, takeOut } from '../../places/stand-behind.ts';
import type { CopyId, SlipId, SlipLineId } from '../../../core/row-id.ts';

/** Makes a slip; refused where it would have no line. */
export function makeSlip(
	collection: Collection,
	sort: SlipSort,
	name: string,
	source: SlipSource
): Promise<Outcome<{ readonly id: SlipId }>> {
	return makeChange(collection, async (record, tx) => {
		const found =
			sort === 'put away' ? await findHomeless(tx, source) : await findStanding(tx, source);
		if (!found.ok) return refused(found.problems);
		if (found.value.length === 0) {
			return refused([
				sort === 'put away'
					? {
							message: 'no such card waits for a place behind a divider that stands',
							remedy: 'Log it first, or let the plan find its set a place.'
						}
					: {
							message: 'no such card stands in a box',
							remedy: 'It may lie in a binder, or have no place.'
						}
			]);
		}
		const slip = await addSlip(record, collection.now(), sort, name, found.value);
		return {
			value: good({ id: slip.id }, found.notes),
			label: `Slip ${slip.name}`
		};
	});
}

/** Writes a slip with its lines, within a change. */
export async function addSlip(
	record: Recorder,
	now: string,
	sort: SlipSort,
	name: string,
	lines: readonly SlipCards[]
): Promise<{ readonly id: SlipId; readonly name: string }> {
	const usual = sort === 'put away' ? 'Put away' : 'Pull';
	const slip = await insertOne(record, slips, {
		sort,
		name: name.trim() || `${usual}, ${now.slice(0, 10)}`,
		createdAt: now
	});
	await record.insert(
		slipLines,
		lines.map((line) => ({ ...line, slipId: slip.id, state: 'open' as const }))
	);
	return slip;
}

/**
 * Answers a line: done, skipped, open again, or not there, which opens a discrepancy. `divider` is
 * the one that was shown; where the card goes elsewhere by now, nothing is recorded.
 */
export function answerLine(
	collection: Collection,
	slipId: SlipId,
	lineId: SlipLineId,
	state: SlipState,
	divider: number | null
): Promise<Outcome<{ readonly id: SlipLineId }>> {
	return makeChange(collection, async (record, tx) => {
		const slip = await readSlip(tx, slipId);
		const line = slip?.lines.find(({ id }) => id === lineId);
		if (!slip || !line)
			return refused([{ message: 'there is no such line', remedy: 'Reload the slip.' }]);
		const isWaiting = line.state === 'open' || line.state === 'skipped';
		const dividerId = line.place?.dividerId ?? null;
		if (!isWaiting || (state === 'done' && (dividerId === null || dividerId !== divider))) {
			return refused([
				{
					message: 'the slip has changed since it was shown',
					remedy: 'Look at it as it is now; nothing was recorded.'
				}
			]);
		}
		if (state === 'done' && slip.sort === 'put away') {
			const [copy] = await homelessCopies(tx, await readKeeping(tx), { copies: [line.copyId] });
			if (!copy || copy.free < line.quantity || dividerId === null) {
				return refused([{ message: `${line.card} has a place already`, remedy: 'Skip it.' }]);
			}
			const { um, mg } = copy;
			await standBehind(record, tx, dividerId, [
				{ copyId: copy.id, quantity: line.quantity, um, mg }
			]);
		}
		if (state === 'done' && slip.sort === 'pull' && dividerId !== null) {
			const taken = await takeOut(record, tx, line.copyId, line.quantity, dividerId);
			// A pile that goes on behind another divider is taken from both.
			await takeOut(record, tx, line.copyId, line.quantity - taken);
		}
		if (state === 'not there') {
			await record.insert(discrepancies, [
				{
					sort: 'not there',
					dividerId: slip.sort === 'pull' ? dividerId : null,
					copyId: line.copyId,
					version: await versionOf(tx, line.copyId),
					quantity: line.quantity,
					at: collection.now()
				}
			]);
		}
		await record.update(slipLines, lineId, { state });
		return {
			value: good({ id: lineId }),
			label: `${slip.name}: ${line.card} ${state}`
		};
	});
}

/** Removes a slip; what was done stays done. */
export function removeSlip(collection: Collection, id: SlipId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [slip] = await tx.select().from(slips).where(eq(slips.id, id));
		if (!slip) return { value: false, label: '' };
		const lines = await tx
			.select({ id: slipLines.id })
			.from(slipLines)
			.where(eq(slipLines.slipId, id));
		await record.remove(
			slipLines,
			lines.map((line) => line.id)
		);
		await record.remove(slips, [id]);
		return { value: true, label: `Throw away the slip ${slip.name}` };
	});
}

async function versionOf(tx: Transaction, copyId: CopyId): Promise<string> {
	const [row] = await tx
		.select({
			release: releases.key,
			card: copies.cardKey,
			parallel: copies.parallelKey,
			variant: copies.variantKey
		})
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.where(eq(copies.id, copyId));
	if (!row) throw new RangeError(`versionOf: no copy ${copyId}`);
	return formatVersionKey(row);
}
