import { inArray } from 'drizzle-orm';
import { tellingsOf } from '../../core/checklist/chapters/telling.ts';
import { wholeSections } from '../../core/checklist/edition.ts';
import { blockName } from '../../core/binder/binder-slots.ts';
import { joinReleases } from '../../core/binder/join-goals.ts';
import type { Release } from '../../core/checklist/release.ts';
import type { BinderId } from '../../core/row-id.ts';
import type { Reader } from '../database/open.ts';
import { goals } from '../database/tables/index.ts';
import { goalsOfBinders } from '../held-goals/goals-of-binders.ts';
import { loadGoalReleases } from '../goals/goal-scope.ts';

/** The lines that are told of each block of a binder, by the block's name; blocks of which nothing is told are left out. */
export async function tellBlocks(
	db: Reader,
	id: BinderId
): Promise<ReadonlyMap<string, readonly string[]>> {
	const releases = await releasesInBinder(db, id);
	const told = releases.flatMap((release) => {
		const sections = new Map(wholeSections(release).map((section) => [section.key, section]));
		return tellingsOf(release).flatMap(({ section: key, parallel, lines }) => {
			const section = sections.get(key);
			return section && lines.length > 0
				? [[blockName(release, section, parallel, releases.length > 1), lines] as const]
				: [];
		});
	});
	return new Map(told);
}

/** The releases over which the goals of a binder go. */
export async function releasesInBinder(db: Reader, id: BinderId): Promise<readonly Release[]> {
	const held = (await goalsOfBinders(db, [id])).get(id) ?? [];
	const rows = await db
		.select()
		.from(goals)
		.where(
			inArray(
				goals.id,
				held.map(({ goalId }) => goalId)
			)
		);
	return joinReleases(await Promise.all(rows.map((goal) => loadGoalReleases(db, goal))));
}
