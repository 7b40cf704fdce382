import type { Problem } from '../../problem.ts';

/** One card, several cards that are not a set, or a set. */
export const LISTING_KINDS = ['single', 'lot', 'set'] as const;
export type ListingKind = (typeof LISTING_KINDS)[number];

/** What happened to a listing, and when: ISO 8601 dates; null: it has not come to that. */
export interface ListingDays {
	readonly listedOn: string | null;
	readonly soldOn: string | null;
	readonly sentOn: string | null;
	readonly paidOn: string | null;
	readonly returnedOn: string | null;
}

/**
 * Where a listing stands. Paying and sending come in either order: `sent` waits for its money, `paid` for its parcel, `done`
 * for neither.
 */
export const LISTING_STATES = [
	'ready',
	'listed',
	'sold',
	'paid',
	'sent',
	'done',
	'returned'
] as const;
export type ListingState = (typeof LISTING_STATES)[number];

/** What can be done with a listing. */
export const LISTING_STEPS = ['list', 'unlist', 'sell', 'unsell', 'pay', 'send', 'return'] as const;
export type ListingStep = (typeof LISTING_STEPS)[number];

/**
 * The state of a listing by its days.
 *
 * @example listingState({ listedOn: '1996-09-01', soldOn: '1996-09-08', sentOn: '1996-09-10', paidOn: null, returnedOn: null }) // 'sent'
 */
export function listingState(days: ListingDays): ListingState {
	const { listedOn, soldOn, sentOn, paidOn, returnedOn } = days;
	if (returnedOn !== null) return 'returned';
	if (soldOn === null) return listedOn === null ? 'ready' : 'listed';
	if (sentOn !== null) return paidOn === null ? 'sent' : 'done';
	return paidOn === null ? 'sold' : 'paid';
}

const STEPS: Readonly<Record<ListingState, readonly ListingStep[]>> = {
	ready: ['list', 'sell'],
	listed: ['sell', 'unlist'],
	sold: ['send', 'pay', 'unsell'],
	paid: ['send', 'unsell'],
	sent: ['pay', 'return'],
	done: ['return'],
	returned: []
};

/** What can be done next, the usual first. */
export function stepsOf(state: ListingState): readonly ListingStep[] {
	return STEPS[state];
}

/** What a listing brings and costs, in minor units of its currency; null: nothing is said, counted as nothing. */
export interface ListingMoney {
	readonly soldMinor: number | null;
	/** Postage that the buyer pays. */
	readonly chargedMinor: number | null;
	/** What the channel takes. */
	readonly feeMinor: number | null;
	/** Postage that the seller pays. */
	readonly postageMinor: number | null;
	readonly suppliesMinor: number | null;
	/** What the cards cost; null: of some nobody knows. */
	readonly costMinor: number | null;
}

/** What is left of a sale. */
export interface ListingProfit {
	/** What comes in after fee, postage and supplies. */
	readonly netMinor: number;
	/** That less what the cards cost; null: of some nobody knows. */
	readonly profitMinor: number | null;
}

/**
 * What a sale leaves. A listing that was returned brings nothing, and its postage and supplies are lost.
 *
 * @example listingProfit({ soldMinor: 1000, chargedMinor: 300, feeMinor: 130, postageMinor: 250, suppliesMinor: 20, costMinor: 400 }, 'done') // { netMinor: 900, profitMinor: 500 }
 */
export function listingProfit(money: ListingMoney, state: ListingState): ListingProfit {
	const { soldMinor, chargedMinor, feeMinor, postageMinor, suppliesMinor, costMinor } = money;
	const spent = (postageMinor ?? 0) + (suppliesMinor ?? 0);
	if (state === 'returned') return { netMinor: -spent, profitMinor: -spent };
	const netMinor = (soldMinor ?? 0) + (chargedMinor ?? 0) - (feeMinor ?? 0) - spent;
	return { netMinor, profitMinor: costMinor === null ? null : netMinor - costMinor };
}

/** Where something is sold, and what is taken there. */
export interface Channel {
	readonly name: string;
	/** Of price and postage charged: 0 to 100. */
	readonly feePercent: number;
	/** Of each sale, in minor units. */
	readonly feeMinor: number;
}

/**
 * What a channel takes of a sale, in whole minor units.
 *
 * @example channelFee({ name: 'fair', feePercent: 10, feeMinor: 30 }, 1005) // 131
 */
export function channelFee({ feePercent, feeMinor }: Channel, paidMinor: number): number {
	return paidMinor === 0 ? 0 : Math.round((paidMinor * feePercent) / 100) + feeMinor;
}

/** What cannot be of prices: the floor is above what is asked, or it is sold for less than the floor (told, not refused). */
export function checkAsking(askingMinor: number, floorMinor: number): readonly Problem[] {
	return floorMinor > askingMinor
		? [
				{
					field: 'floor',
					message: 'the floor is above what is asked',
					remedy: 'Ask more, or lower the floor.'
				}
			]
		: [];
}
