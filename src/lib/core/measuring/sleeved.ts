import { cardUm, SLEEVE_UM } from './stock.ts';

/** Film of a leaf of pockets, in micrometres. An assumption of ours. */
export const LEAF_FILM_UM = 200;

/** How thick a sleeved card is, in micrometres; left out: standard stock. */
export function sleevedUm(stockPt: number | undefined): number {
	return cardUm(stockPt) + SLEEVE_UM;
}
