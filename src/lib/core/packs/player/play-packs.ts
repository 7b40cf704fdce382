import type { LastCardsAsked } from './last-cards.ts';

/**
 * Opens packs of a set one after another, until nothing is missing or so many were opened.
 *
 * @param random a number from 0 to below 1, each time another one
 * @returns missing cards after 0, 1, 2, … packs
 */
export function playPacks(
	{ cards, owned, draws }: LastCardsAsked,
	random: () => number,
	most: number
): readonly number[] {
	let missing = cards - owned;
	const course = [missing];
	while (missing > 0 && course.length <= most) {
		let here = random();
		const law = draws.find(({ chance }) => (here -= chance) < 0) ?? draws.at(-1);
		// Each card of the pack is another one: of those left to draw, so many are missing still.
		for (let drawn = 0; drawn < (law?.count ?? 0); drawn++) {
			if (random() * (cards - drawn) < missing) missing--;
		}
		course.push(missing);
	}
	return course;
}
