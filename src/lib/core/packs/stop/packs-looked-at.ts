import type { PackType } from '../../checklist/release.ts';

/** Boxes, and packs, up to which it is looked when to stop. */
const BOXES = 12;
const LEAST_PACKS = 120;
/** Nothing is followed further. */
export const MOST_PACKS = 2000;

/** Packs of a kind up to which it is looked when to stop; as many as are asked for, at least. */
export const packsLookedAt = (
	{ packsPerBox = 1 }: Pick<PackType, 'packsPerBox'>,
	asked = 0
): number => Math.min(MOST_PACKS, Math.max(asked, BOXES * packsPerBox, LEAST_PACKS));
