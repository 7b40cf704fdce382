/**
 * What a box is for: sets by year and number, the cards of a storage class or of a value tier (by its name,
 * what lies in rigid holders apart), sealed packs, or supplies.
 */
export type BoxUse = string;

/** Boxes in which sets stand, and those in which no single card does. */
export const SETS = 'sets';
export const USES_WITHOUT_CARDS = ['sealed packs', 'supplies'] as const;
