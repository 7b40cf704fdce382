/** Cards in the order in which they stand; `um` is the thickness of one. */
export interface StandingCards {
	readonly key: string;
	readonly quantity: number;
	readonly um: number;
}

/**
 * Deals the cards of a set over the parts of rows planned for it, in order and in proportion to the
 * parts' lengths, so that each keeps its share of the room to grow. Equal cards stay together.
 */
export function standCards<Card extends StandingCards>(
	cards: readonly Card[],
	partsUm: readonly number[]
): readonly (readonly Card[])[] {
	const room = partsUm.reduce((sum, um) => sum + um, 0);
	const length = cards.reduce((sum, { quantity, um }) => sum + quantity * um, 0);
	const parts: Card[][] = partsUm.map(() => []);
	if (parts.length === 0) return [];
	let part = 0;
	let stood = 0;
	let border = (partsUm[0] ?? 0) / room;
	for (const card of cards) {
		const middle = stood + (card.quantity * card.um) / 2;
		while (part < parts.length - 1 && middle / length > border) {
			part++;
			border += (partsUm[part] ?? 0) / room;
		}
		parts[part]?.push(card);
		stood += card.quantity * card.um;
	}
	return parts;
}
