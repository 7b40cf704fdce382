import { bad, good, type Outcome } from '../../problem.ts';
import { dropHunt, withHunts } from '../edit-beside.ts';
import type { Release } from '../release.ts';
import { readOutline } from './read-outline.ts';

/**
 * What was hunted is found: lines of an outline say the cards or variants that it is, and it leaves the
 * list. Lines that add nothing are refused, and so is a hunt that is not there.
 */
export function settleHunt(release: Release, key: string, lines: string): Outcome<Release> {
	const hunts = release.hunts ?? [];
	if (!hunts.some((hunt) => hunt.key === key)) return bad([gone]);
	const { release: grown, problems } = readOutline(lines, release);
	if (problems.length > 0) return bad(problems);
	const sizeOf = ({ sections, parallels, variants }: Release) =>
		sections.reduce((sum, { cards }) => sum + cards.length, 0) +
		parallels.reduce((sum, { runs }) => sum + runs.length, variants.length);
	if (sizeOf(grown) === sizeOf(release)) {
		const remedy = 'Write the card with its section, or the variant: 27: red back.';
		return bad([{ message: 'these lines add no card, finish or variant', remedy }]);
	}
	return dropHunt(grown, key);
}

/** It was looked for on a day (ISO 8601) somewhere, and not found; "" leaves the place as it was. */
export function lookAgain(
	release: Release,
	key: string,
	day: string,
	where: string
): Outcome<Release> {
	const hunts = release.hunts ?? [];
	if (!hunts.some((hunt) => hunt.key === key)) return bad([gone]);
	return good(
		withHunts(
			release,
			hunts.map((hunt) =>
				hunt.key === key
					? { ...hunt, lastLooked: day, ...(where.trim() ? { lookedWhere: where.trim() } : {}) }
					: hunt
			)
		)
	);
}

const gone = { message: 'this is no longer looked for', remedy: 'Reload the page.' };
