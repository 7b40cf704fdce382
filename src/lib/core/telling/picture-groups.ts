import bitsApart from 'sharp-phash/distance';

/** A picture by its perceptual hash: 64 signs, 0 or 1. */
export interface HashedPicture {
	readonly key: string;
	readonly bits: string;
}

/**
 * From so many differing bits of 64 on two photos are taken for other pictures. Measured on drawn cards: in
 * other light 0 to 2 differ, cut closer or askew 7 to 13, other pictures 25 and more; a small thing that
 * was added some 11, so that it may be missed. A suggestion, never a finding.
 */
export const OTHER_PICTURE_BITS = 12;

/**
 * Groups of photos that seem to show one picture: two are in a group where a chain of photos leads from one to
 * the other, each less than `least` bits from the next. The largest group first; more than one group under
 * the same number suggests another picture.
 */
export function pictureGroups(
	pictures: readonly HashedPicture[],
	least = OTHER_PICTURE_BITS
): readonly (readonly string[])[] {
	const groups: HashedPicture[][] = [];
	for (const picture of pictures) {
		const near = groups.filter((group) =>
			group.some(({ bits }) => bitsApart(bits, picture.bits) < least)
		);
		const [first, ...others] = near;
		if (!first) {
			groups.push([picture]);
			continue;
		}
		first.push(picture, ...others.flat());
		for (const other of others) groups.splice(groups.indexOf(other), 1);
	}
	return groups.sort((a, b) => b.length - a.length).map((group) => group.map(({ key }) => key));
}
