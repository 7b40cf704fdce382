import { eq } from 'drizzle-orm';
import type { SlipId } from '../../../core/row-id.ts';
import type { Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { slipLines, slips } from '../../database/tables/index.ts';
import { addSlip } from '../../storage/slips/change-slips.ts';
import { findStanding } from '../../storage/slips/find-slip-cards.ts';
import type { ListingCardRow } from './read-listings.ts';

/** A slip to pull the cards that stand in boxes; null: none does. */
export async function pullSlip(
	record: Recorder,
	tx: Transaction,
	now: string,
	title: string,
	cards: readonly ListingCardRow[]
): Promise<SlipId | null> {
	const ids = cards.flatMap(({ copyId }) => copyId ?? []);
	const standing = await findStanding(tx, { of: 'copies', ids });
	if (!standing.ok || standing.value.length === 0) return null;
	const name = `Sold: ${title}`.slice(0, 200);
	return (await addSlip(record, now, 'pull', name, standing.value)).id;
}

/** Throws a slip away of which nothing was done. */
export async function dropSlip(record: Recorder, tx: Transaction, id: SlipId): Promise<void> {
	const lines = await tx.select().from(slipLines).where(eq(slipLines.slipId, id));
	if (lines.some(({ state }) => state !== 'open')) return;
	await record.remove(
		slipLines,
		lines.map((line) => line.id)
	);
	const [slip] = await tx.select({ id: slips.id }).from(slips).where(eq(slips.id, id));
	if (slip) await record.remove(slips, [id]);
}

/** Throws a slip away whose cards have all gone; false where some are left. */
export async function dropIfEmpty(record: Recorder, tx: Transaction, id: SlipId): Promise<boolean> {
	const [line] = await tx
		.select({ id: slipLines.id })
		.from(slipLines)
		.where(eq(slipLines.slipId, id))
		.limit(1);
	if (line) return false;
	await dropSlip(record, tx, id);
	return true;
}
