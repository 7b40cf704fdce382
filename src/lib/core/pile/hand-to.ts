/** To whom a pile is handed: a put-away slip, what is to sell, or nobody, for it lies where it belongs. */
export const HAND_TO = ['slip', 'to sell', 'put away'] as const;
export type HandTo = (typeof HAND_TO)[number];
