import { at } from '../../at.ts';
/** Cards in the order in which they stand; `um` is the thickness of one. */
export interface StandingCards {
	readonly quantity: number;
	readonly um: number;
}

/**
 * Deals the cards of a set over the parts of rows planned for it, in order and in proportion to the
 * parts' room, so that each keeps its share of the room to grow. A part takes whole cards; where each
 * part has the thickness of the thickest card to spare, none takes more than it has room for. Equal cards may be parted.
 */
export function standCards<Card extends StandingCards>(
	cards: readonly Card[],
	roomUm: readonly number[]
): readonly (readonly Card[])[] {
	const parts: Card[][] = roomUm.map(() => []);
	let left = cards.reduce((sum, { quantity, um }) => sum + quantity * um, 0);
	const whole = roomUm.reduce((sum, um) => sum + um, 0);
	const share = whole > 0 ? Math.min(1, left / whole) : 1;
	// Whole cards may leave a part short of its end by as much as the thickest.
	const thickest = cards.reduce((most, { um }) => Math.max(most, um), 0);
	const usable = roomUm.map((um) => um - thickest);
	let rest = usable.reduce((sum, um) => sum + um, 0);
	let part = 0;
	let stood = 0;
	rest -= usable[0] ?? 0;
	for (const card of cards) {
		let count = card.quantity;
		while (count > 0) {
			const room = at(roomUm, part);
			// Its share, or more where the parts behind it could not take what is left.
			const planned = Math.floor((room * share - stood) / card.um + 1e-9);
			const needed = Math.min(
				Math.ceil((left - rest) / card.um - 1e-9),
				Math.floor((room - stood) / card.um + 1e-9)
			);
			const isLast = part >= parts.length - 1;
			const fits = isLast ? count : Math.min(count, Math.max(0, planned, needed));
			if (fits > 0) parts[part]?.push(fits === card.quantity ? card : { ...card, quantity: fits });
			count -= fits;
			stood += fits * card.um;
			left -= fits * card.um;
			if (count === 0) break;
			part++;
			stood = 0;
			rest -= at(usable, part);
		}
	}
	return parts;
}
