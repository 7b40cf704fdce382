/** Which side of a card a photo shows. */
export const PHOTO_SIDES = ['front', 'back'] as const;
export type PhotoSide = (typeof PHOTO_SIDES)[number];
