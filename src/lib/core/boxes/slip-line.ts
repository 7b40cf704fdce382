/** Cards go to where they belong, or come out. */
export const SLIP_SORTS = ['put away', 'pull'] as const;
export type SlipSort = (typeof SLIP_SORTS)[number];

export const SLIP_STATES = ['open', 'done', 'skipped', 'not there'] as const;
export type SlipState = (typeof SLIP_STATES)[number];
