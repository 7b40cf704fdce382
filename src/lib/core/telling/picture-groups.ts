import bitsApart from 'sharp-phash/distance';

/** A picture by its perceptual hash: 64 signs, 0 or 1. */
export interface HashedPicture {
	readonly key: string;
	readonly bits: string;
}

/**
 * From so many differing bits of 64 on two photos are taken for other pictures. Photos of one card differ by
 * some 7 where they were taken in other light, askew or cut closer; other pictures by 25 and more, a thing
 * added by about 11, another colour of the sky by less than can be told. Measured on drawn cards; it is a
 * suggestion, never a finding.
 */
export const OTHER_PICTURE_BITS = 10;

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
