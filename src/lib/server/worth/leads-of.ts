import { and, asc, eq, ne } from 'drizzle-orm';
import type { Card } from '../../core/checklist/card.ts';
import type { ReleaseId } from '../../core/row-id.ts';
import { populations } from '../../core/worth/population/population.ts';
import type { Reader } from '../database/open.ts';
import { goalNext, goals, populationReports } from '../database/tables/index.ts';
import { nameVersions } from '../releases/name-versions.ts';

/** From this grade on copies count as good. Common practice, no source. */
const GOOD_GRADE = 8;

/**
 * Where research goes on from a card: its sister issues (the same card or picture, as checklists say it), how many of it houses
 * graded, and what is best done next in the goals of its release.
 */
export async function leadsOf(db: Reader, releaseId: ReleaseId, card: Card) {
	const sisters = [...new Set([...(card.sameAs ?? []), ...(card.samePictureAs ?? [])])];
	const names = await nameVersions(db, sisters);
	const reports = await db
		.select()
		.from(populationReports)
		.where(
			and(eq(populationReports.releaseId, releaseId), eq(populationReports.cardKey, card.key))
		);
	const known = populations(
		reports.map(({ house, saidOn, counts, statedTotal, parallelKey, variantKey }) => ({
			version: [card.key, parallelKey, variantKey].join(' '),
			...{ house, on: saidOn, counts },
			...(statedTotal === null ? {} : { total: statedTotal })
		})),
		GOOD_GRADE
	);
	return {
		sisters: sisters.flatMap((key) => {
			const name = names.get(key);
			const [release = '', cardKey = ''] = key.split('/');
			return name ? [{ key, releaseKey: release, cardKey, ...name }] : [];
		}),
		graded: known.reduce((sum, { graded }) => sum + graded, 0),
		next: await db
			.select({
				id: goals.id,
				goal: goals.name,
				name: goalNext.name,
				left: goalNext.left,
				text: goalNext.text
			})
			.from(goals)
			.innerJoin(goalNext, eq(goalNext.goalId, goals.id))
			.where(and(eq(goals.releaseId, releaseId), ne(goalNext.name, '')))
			.orderBy(asc(goals.id))
			.limit(3)
	};
}
