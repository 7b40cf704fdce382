/** Cards go to where they belong, or come out. */
export type SlipSort = 'put away' | 'pull';

export const SLIP_STATES = ['open', 'done', 'skipped', 'not there'] as const;
export type SlipState = (typeof SLIP_STATES)[number];
