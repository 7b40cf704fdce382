import { inArray } from 'drizzle-orm';
import type { Problem } from '../../../core/problem.ts';
import type { CopyId } from '../../../core/row-id.ts';
import { outOf } from '../../copies/outings.ts';
import { splitOff } from '../../copies/split-off.ts';
import type { Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { copies, listingCards, releases } from '../../database/tables/index.ts';
import { removeCopyRows } from '../../removal/remove-copy-rows.ts';
import type { ListingCardRow } from './read-listings.ts';

/** Cards that are out, or of which fewer are left than were sold. */
export async function whatCannotGo(
	tx: Transaction,
	cards: readonly ListingCardRow[]
): Promise<readonly Problem[]> {
	const ids = cards.flatMap(({ copyId }) => copyId ?? []);
	const rows = await readCopyRows(tx, ids);
	const out = await outOf(tx, ids);
	const left = cards.filter(({ copyId, quantity }) => {
		if (copyId === null) return false;
		return (rows.get(copyId)?.quantity ?? 0) - (out.get(copyId) ?? 0) < quantity;
	});
	const lost = cards.filter(({ copyId }) => copyId === null);
	return [
		...(left.length > 0
			? [
					{
						message: `${left.length} of its cards are out of the house, or fewer than were sold`,
						remedy: 'Say first that they are back.'
					}
				]
			: []),
		...(lost.length > 0
			? [
					{
						message: `${lost.length} of its cards are no longer in the collection`,
						remedy: 'Say that it is not sold after all, remove the listing and make it anew.'
					}
				]
			: [])
	];
}

/** Cards whose release is no longer here. */
export async function whatCannotComeBack(
	tx: Transaction,
	cards: readonly ListingCardRow[]
): Promise<readonly Problem[]> {
	const wanted = [...new Set(cards.flatMap((card) => card.gone.map(({ releaseId }) => releaseId)))];
	const known = await tx
		.select({ id: releases.id })
		.from(releases)
		.where(inArray(releases.id, wanted));
	return known.length === wanted.length
		? []
		: [{ message: 'its release is no longer here', remedy: 'Bring the checklist in again first.' }];
}

async function readCopyRows(tx: Transaction, ids: readonly CopyId[]) {
	const rows = await tx
		.select()
		.from(copies)
		.where(inArray(copies.id, [...ids]));
	return new Map(rows.map((row) => [row.id, row]));
}

/** Cards leave the collection; how they were is kept. */
export async function letGo(
	record: Recorder,
	tx: Transaction,
	cards: readonly ListingCardRow[]
): Promise<void> {
	const rows = await readCopyRows(
		tx,
		cards.flatMap(({ copyId }) => copyId ?? [])
	);
	const going: CopyId[] = [];
	for (const card of cards) {
		const row = card.copyId === null ? undefined : rows.get(card.copyId);
		if (!row) continue;
		const id =
			row.quantity > card.quantity ? await splitOff(record, tx, row, card.quantity) : row.id;
		const { id: _, ...asItWas } = row;
		await record.update(listingCards, card.id, {
			gone: [{ ...asItWas, quantity: card.quantity }],
			copyId: null
		});
		going.push(id);
	}
	await removeCopyRows(record, tx, going);
}

/** Cards come back: as they were, spare, without a place. */
export async function takeIn(
	record: Recorder,
	tx: Transaction,
	cards: readonly ListingCardRow[]
): Promise<void> {
	for (const card of cards) {
		const [row] = card.gone;
		if (!row) continue;
		const [back] = await record.insert(copies, [
			{ ...row, status: 'spare', place: null, orderLineId: null }
		]);
		await record.update(listingCards, card.id, { copyId: back?.id ?? null, gone: [] });
	}
}
