/** Where a pile waits: to be logged, to be put away once it is logged, or for ever: bulk that is never logged. */
export const TRAYS = ['to log', 'to sort', 'never to log'] as const;
export type Tray = (typeof TRAYS)[number];
