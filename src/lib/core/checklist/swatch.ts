export const SWATCHES = ['with', 'without', 'unknown'] as const;
/** A level of a card exists either with a swatch or without; until one was seen it is unknown. */
export type Swatch = (typeof SWATCHES)[number];
