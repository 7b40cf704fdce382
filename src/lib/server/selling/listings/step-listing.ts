import { eq } from 'drizzle-orm';
import { parseAmount } from '../../../core/money/amount.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { ListingId, SlipId } from '../../../core/row-id.ts';
import {
	channelFee,
	listingState,
	stepsOf,
	type ListingStep
} from '../../../core/selling/listings/listing.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { listingCards, listings } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { SELLING_RULES } from '../selling-rules.ts';
import { letGo, takeIn, whatCannotComeBack, whatCannotGo } from './listing-cards.ts';
import { dropIfEmpty, dropSlip, pullSlip } from './pull-slip.ts';

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
				slip = await pullSlip(record, tx, collection.now(), listing.title, cards);
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

/** What the channel takes by its rule; one that is not known takes nothing. */
async function usualFee(tx: Transaction, { channel }: Listing, paidMinor: number): Promise<number> {
	const { channels } = await readPreference(tx, SELLING_RULES);
	const known = channels.find(({ name }) => name === channel);
	return known ? channelFee(known, paidMinor) : 0;
}
