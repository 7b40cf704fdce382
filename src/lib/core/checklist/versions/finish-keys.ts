import type { Card } from '../card.ts';
import { runRuleFor } from '../parallel.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';

/** Keys of the finishes in which a card was made: null for the base finish, where there is one, then its parallels. */
export function finishKeysOf(
	release: Release,
	section: Section,
	card: Card
): readonly (string | null)[] {
	const base = section.noBaseFinish ? [] : [null];
	const made = release.parallels.filter((parallel) => runRuleFor(parallel, section, card));
	return [...base, ...made.map(({ key }) => key)];
}
