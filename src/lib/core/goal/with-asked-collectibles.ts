import type { Release } from '../checklist/release.ts';
import { COLLECTIBLE_KINDS } from '../checklist/beside-cards.ts';
import { isCollectible, withCollectibles } from '../checklist/with-collectibles.ts';
import type { GoalRules } from './goal-rules.ts';

/** A release with what a goal asks for beside its cards, by kind or by hand, as a section. */
export function withAskedCollectibles(
	release: Release,
	{ collectibles, versions }: Pick<GoalRules, 'collectibles' | 'versions'>
): Release {
	return withCollectibles(release, versions.some(isCollectible) ? COLLECTIBLE_KINDS : collectibles);
}
