import { asc, eq } from 'drizzle-orm';
import {
	matchOffers,
	type OfferRow,
	type OffersMatch
} from '../../../core/buying/offers/match-offers.ts';
import { bad, good, type Outcome } from '../../../core/problem.ts';
import type { OfferRowId, SellerId } from '../../../core/row-id.ts';
import { readEntry } from '../../copies/read-entry.ts';
import type { Collection, Reader } from '../../database/open.ts';
import { offerRows, releases, sellers } from '../../database/tables/index.ts';
import { candidatesOfRows } from '../../holdings/import-holdings.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { keepOffers } from './keep-offers.ts';

const gone = [{ message: 'this row waits no more', remedy: 'Reload the page.' }];

/** Gives the rows of a seller's list to the cards of the collection; only checklists that may be meant are read. */
export async function matchOffersInCollection(
	db: Reader,
	rows: readonly OfferRow[],
	choices: Readonly<Record<string, string>>
): Promise<OffersMatch> {
	const some = await candidatesOfRows(
		db,
		rows.map(({ card }) => card),
		choices
	);
	return matchOffers(
		rows,
		some.map(({ release }) => release),
		choices
	);
}

/** Takes a seller's list in, in one step: what fits is offered, the rest is kept to be settled. `source` names the file. */
export function importOffers(
	collection: Collection,
	sellerId: SellerId,
	source: string,
	rows: readonly OfferRow[],
	choices: Readonly<Record<string, string>>
): Promise<Outcome<{ readonly offers: number; readonly review: number }>> {
	return makeChange(collection, async (record, tx) => {
		const [seller] = await tx.select().from(sellers).where(eq(sellers.id, sellerId));
		if (!seller)
			return refused([{ message: 'there is no such seller', remedy: 'Choose another.' }]);
		const { offers, review } = await matchOffersInCollection(tx, rows, choices);
		const heads = await tx.select({ id: releases.id, key: releases.key }).from(releases);
		const idOf = new Map(heads.map(({ id, key }) => [key, id]));
		const seenOn = collection.now().slice(0, 10);
		await keepOffers(
			record,
			tx,
			sellerId,
			offers.flatMap(({ line: _, ...offer }) => {
				const releaseId = idOf.get(offer.version.split('/')[0] ?? '');
				return releaseId === undefined ? [] : [{ ...offer, releaseId, seenOn }];
			})
		);
		const rowOf = new Map(rows.map((row) => [row.line, row]));
		// The same file read again: its rows wait once.
		const waiting = await listOfferRows(tx, sellerId);
		await record.remove(
			offerRows,
			waiting.filter((row) => row.source === source).map(({ id }) => id)
		);
		await record.insert(
			offerRows,
			review.flatMap(({ line, reason }) => {
				const row = rowOf.get(line);
				return row ? [{ sellerId, source, reason, row }] : [];
			})
		);
		const label = `Offers of ${seller.name} from ${source}`;
		return { value: good({ offers: offers.length, review: review.length }), label };
	});
}

/** Rows of a seller that wait to be settled. */
export async function listOfferRows(db: Reader, sellerId: SellerId) {
	return db
		.select()
		.from(offerRows)
		.where(eq(offerRows.sellerId, sellerId))
		.orderBy(asc(offerRows.id));
}

/** Settles a row: an entry line says which card it is; its price must be understood. */
export function settleOfferRow(
	collection: Collection,
	id: OfferRowId,
	release: string,
	line: string
): Promise<Outcome<{ readonly offers: number }>> {
	return makeChange(collection, async (record, tx) => {
		const [kept] = await tx.select().from(offerRows).where(eq(offerRows.id, id));
		if (!kept) return refused(gone);
		const { row, sellerId } = kept;
		if (row.breaks.length === 0) {
			const message = `its price is not understood: ${row.wrong}`;
			return refused([{ message, remedy: 'Type the offer in, and drop the row.' }]);
		}
		const entry = await readEntry(tx, release, line);
		if (!entry.ok) return refused(entry.problems);
		const { additions, releaseId } = entry.value;
		if (additions.length !== 1) {
			return refused([{ message: 'a row is one card', remedy: 'Write its number.' }]);
		}
		const seenOn = collection.now().slice(0, 10);
		const { fields } = row.card;
		await keepOffers(
			record,
			tx,
			sellerId,
			additions.map(({ version, condition, quantity }) => ({
				...{ releaseId, version, seenOn, breaks: row.breaks },
				// "27x3" says how many; else what the row says.
				quantity: quantity > 1 ? quantity : fields.quantity,
				condition: condition ?? fields.condition ?? null,
				...{ grade: fields.grade ?? null, house: fields.house ?? null, note: fields.note ?? null }
			}))
		);
		await record.remove(offerRows, [id]);
		return { value: good({ offers: 1 }), label: `Settle a row of ${kept.source}` };
	});
}

/** Gives a row up. Undo brings it back. */
export function dropOfferRow(
	collection: Collection,
	id: OfferRowId
): Promise<Outcome<{ readonly dropped: OfferRowId }>> {
	return makeChange(collection, async (record, tx) => {
		const [kept] = await tx.select().from(offerRows).where(eq(offerRows.id, id));
		if (!kept) return { value: bad(gone), label: '' };
		await record.remove(offerRows, [id]);
		return { value: good({ dropped: id }), label: `Drop a row of ${kept.source}` };
	});
}
