import { eq, inArray } from 'drizzle-orm';
import { parseAmount } from '../../../core/money/amount.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { CopyId, ListingId, SlipId } from '../../../core/row-id.ts';
import {
	channelFee,
	listingState,
	stepsOf,
	type ListingStep
} from '../../../core/selling/listings/listing.ts';
import { outOf } from '../../copies/outings.ts';
import { splitOff } from '../../copies/split-off.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import {
	copies,
	listingCards,
	listings,
	releases,
	slipLines,
	slips
} from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { removeCopyRows } from '../../removal/remove-copy-rows.ts';
import { addSlip } from '../../storage/slips/change-slips.ts';
import { findStanding } from '../../storage/slips/find-slip-cards.ts';
import { SELLING_RULES } from '../selling-rules.ts';

/** What is said with a step; amounts as they are typed, empty: the usual, or what is there already. */
export interface TypedStep {
	readonly buyer: string;
	readonly price: string;
	/** Postage that the buyer pays, and that the seller pays. */
	readonly charged: string;
	readonly postage: string;
	readonly supplies: string;
	/** Empty: by the rule of the channel. */
	readonly fee: string;
}

type Listing = typeof listings.$inferSelect;
type ListingCard = typeof listingCards.$inferSelect;

/**
 * Takes a listing a step on. When it is sold its cards get a pull slip; when it is sent they leave their places and are gone;
 * when it comes back they are spares without a place.
 */
export function stepListing(
	collection: Collection,
	id: ListingId,
	step: ListingStep,
	typed: TypedStep
): Promise<Outcome<{ readonly slip: SlipId | null }>> {
	return makeChange(collection, async (record, tx) => {
		const [listing] = await tx.select().from(listings).where(eq(listings.id, id));
		if (!listing) return refused([gone]);
		const state = listingState(listing);
		if (!stepsOf(state).includes(step)) {
			const message = `"${step}" is no step of a listing that is ${state}`;
			return refused([{ message, remedy: 'Reload the page.' }]);
		}
		const problems: Problem[] = [];
		const amountOf = (text: string, field: string): number | null => {
			if (text.trim() === '') return null;
			const read = parseAmount(text, listing.currency);
			if (read.ok) return read.value.minor;
			problems.push(...read.problems.map((problem) => ({ ...problem, field })));
			return null;
		};
		const said = {
			soldMinor: amountOf(typed.price, 'price'),
			chargedMinor: amountOf(typed.charged, 'charged'),
			postageMinor: amountOf(typed.postage, 'postage'),
			suppliesMinor: amountOf(typed.supplies, 'supplies'),
			feeMinor: amountOf(typed.fee, 'fee')
		};
		const today = collection.now().slice(0, 10);
		const cards = await tx.select().from(listingCards).where(eq(listingCards.listingId, id));
		if (step === 'send') problems.push(...(await whatCannotGo(tx, cards)));
		if (step === 'return') problems.push(...(await whatCannotComeBack(tx, cards)));
		if (problems.length > 0) return refused(problems);
		let slip: SlipId | null = listing.slipId;
		switch (step) {
			case 'list':
				await record.update(listings, id, { listedOn: today });
				break;
			case 'unlist':
				await record.update(listings, id, { listedOn: null });
				break;
			case 'sell': {
				const soldMinor = said.soldMinor ?? listing.askingMinor;
				const chargedMinor = said.chargedMinor ?? 0;
				slip = await pullSlip(record, tx, collection.now(), listing, cards);
				await record.update(listings, id, {
					...{ soldOn: today, soldMinor, chargedMinor, slipId: slip },
					buyer: typed.buyer.trim() === '' ? null : typed.buyer.trim(),
					feeMinor: said.feeMinor ?? (await usualFee(tx, listing, soldMinor + chargedMinor))
				});
				break;
			}
			case 'unsell':
				if (slip !== null) await dropSlip(record, tx, slip);
				await record.update(listings, id, {
					...{ soldOn: null, paidOn: null, buyer: null, slipId: null },
					...{ soldMinor: null, chargedMinor: null, feeMinor: null }
				});
				slip = null;
				break;
			case 'pay':
				await record.update(listings, id, {
					paidOn: today,
					...(said.feeMinor === null ? {} : { feeMinor: said.feeMinor })
				});
				break;
			case 'send':
				await letGo(record, tx, cards);
				slip = slip !== null && (await dropIfEmpty(record, tx, slip)) ? null : slip;
				await record.update(listings, id, {
					...{ sentOn: today, slipId: slip },
					postageMinor: said.postageMinor ?? listing.postageMinor ?? 0,
					suppliesMinor: said.suppliesMinor ?? listing.suppliesMinor ?? 0
				});
				break;
			case 'return':
				await takeIn(record, tx, cards);
				await record.update(listings, id, { returnedOn: today });
				break;
		}
		return { value: good({ slip }), label: `${LABELS[step]}: ${listing.title}` };
	});
}

const gone: Problem = { message: 'this listing is gone', remedy: 'Reload the page.' };
const LABELS: Readonly<Record<ListingStep, string>> = {
	list: 'Listed',
	unlist: 'No longer listed',
	sell: 'Sold',
	unsell: 'Not sold after all',
	pay: 'Paid',
	send: 'Sent',
	return: 'Came back'
};

/** Removes a listing that was not sent; its cards stay, to be sold. */
export function removeListing(
	collection: Collection,
	id: ListingId
): Promise<Outcome<{ readonly id: ListingId }>> {
	return makeChange(collection, async (record, tx) => {
		const [listing] = await tx.select().from(listings).where(eq(listings.id, id));
		if (!listing) return refused([gone]);
		if (listing.sentOn !== null) {
			const remedy = 'It stays, for what was earned with it.';
			return refused([{ message: 'its cards were sent', remedy }]);
		}
		if (listing.slipId !== null) await dropSlip(record, tx, listing.slipId);
		const cards = await tx
			.select({ id: listingCards.id })
			.from(listingCards)
			.where(eq(listingCards.listingId, id));
		await record.remove(
			listingCards,
			cards.map((card) => card.id)
		);
		await record.remove(listings, [id]);
		return { value: good({ id }), label: `Remove the listing ${listing.title}` };
	});
}

/** A slip to pull the cards that stand in boxes; null: none does. */
async function pullSlip(
	record: Recorder,
	tx: Transaction,
	now: string,
	listing: Listing,
	cards: readonly ListingCard[]
): Promise<SlipId | null> {
	const ids = cards.flatMap(({ copyId }) => copyId ?? []);
	const standing = await findStanding(tx, { of: 'copies', ids });
	if (!standing.ok || standing.value.length === 0) return null;
	const name = `Sold: ${listing.title}`.slice(0, 200);
	return (await addSlip(record, now, 'pull', name, standing.value)).id;
}

/** Throws a slip away of which nothing was done. */
async function dropSlip(record: Recorder, tx: Transaction, id: SlipId): Promise<void> {
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
async function dropIfEmpty(record: Recorder, tx: Transaction, id: SlipId): Promise<boolean> {
	const [line] = await tx
		.select({ id: slipLines.id })
		.from(slipLines)
		.where(eq(slipLines.slipId, id))
		.limit(1);
	if (line) return false;
	await dropSlip(record, tx, id);
	return true;
}

/** What the channel takes by its rule; one that is not known takes nothing. */
async function usualFee(tx: Transaction, { channel }: Listing, paidMinor: number): Promise<number> {
	const { channels } = await readPreference(tx, SELLING_RULES);
	const known = channels.find(({ name }) => name === channel);
	return known ? channelFee(known, paidMinor) : 0;
}

/** Cards that are out, or of which fewer are left than were sold. */
async function whatCannotGo(
	tx: Transaction,
	cards: readonly ListingCard[]
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
async function whatCannotComeBack(
	tx: Transaction,
	cards: readonly ListingCard[]
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
async function letGo(
	record: Recorder,
	tx: Transaction,
	cards: readonly ListingCard[]
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
async function takeIn(
	record: Recorder,
	tx: Transaction,
	cards: readonly ListingCard[]
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
