export const CARD_SHAPES = ['rectangle', 'die cut', 'round'] as const;

/** What the cards of a section are made like; a standard card is 63.5 × 88.9 mm. */
export interface CardFormat {
	readonly widthMm?: number;
	readonly heightMm?: number;
	/** Thickness in points, 1 pt = 0.001 in. */
	readonly stockPt?: number;
	readonly shape?: (typeof CARD_SHAPES)[number];
}

/**
 * What a card is made like: as its section, but for what it has of its own; undefined where neither says.
 *
 * @example formatOfCard({ format: { widthMm: 36, stockPt: 24 } }, { format: { stockPt: 55 } }) // { widthMm: 36, stockPt: 55 }
 */
export function formatOfCard(
	section: { readonly format?: CardFormat },
	card: { readonly format?: CardFormat }
): CardFormat | undefined {
	return card.format ? { ...section.format, ...card.format } : section.format;
}
