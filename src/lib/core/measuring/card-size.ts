/** 2.5 × 3.5 in */
export const STANDARD_CARD = { widthMm: 63.5, heightMm: 88.9 } as const;
/** Stock that is taken for a card with a swatch where a checklist says none. An assumption of ours. */
export const SWATCH_STOCK_PT = 100;
