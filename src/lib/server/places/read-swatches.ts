import { and, inArray, like, sql } from 'drizzle-orm';
import { wholeSections } from '../../core/checklist/edition.ts';
import { runRuleFor } from '../../core/checklist/parallel.ts';
import type { Swatch } from '../../core/checklist/swatch.ts';
import type { Reader } from '../database/open.ts';
import { parallels, sections } from '../database/tables/index.ts';
import { loadReleases } from '../releases/load-release.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** A copy, as far as its swatch hangs on it. */
interface Level {
	readonly releaseId: ReleaseId;
	readonly cardKey: string;
	readonly parallelKey: string | null;
}

/**
 * Whether copies of some releases, or of all, hold a swatch: that is a rule of their finish. Releases are
 * loaded only where a rule speaks of swatches.
 */
export async function readSwatches(
	db: Reader,
	releaseIds?: readonly ReleaseId[]
): Promise<(copy: Level) => Swatch | null> {
	const rows = await db
		.select({ releaseId: parallels.releaseId, key: parallels.key })
		.from(parallels)
		.where(
			and(
				like(sql`${parallels.runs}`, '%"swatch"%'),
				// A long list would not fit into a statement: all are read then, they are few.
				releaseIds && releaseIds.length <= 500
					? inArray(parallels.releaseId, [...releaseIds])
					: undefined
			)
		);
	const inBase = await db
		.selectDistinct({ releaseId: sections.releaseId })
		.from(sections)
		.where(like(sql`${sections.details}`, '%"swatch"%'));
	const speaking = new Set(rows.map(({ releaseId, key }) => `${releaseId} ${key}`));
	const stored = await loadReleases(db, [
		...new Set([...rows, ...inBase].map(({ releaseId }) => releaseId))
	]);
	const known = new Map(
		stored.map(({ id, release }) => [
			id,
			{
				parallels: new Map(release.parallels.map((parallel) => [parallel.key, parallel])),
				cards: new Map(
					wholeSections(release).flatMap((section) =>
						section.cards.map((card) => [card.key, { section, card }] as const)
					)
				)
			}
		])
	);
	return ({ releaseId, cardKey, parallelKey }) => {
		const release = known.get(releaseId);
		if (parallelKey === null) return release?.cards.get(cardKey)?.section.swatch ?? null;
		if (!speaking.has(`${releaseId} ${parallelKey}`)) return null;
		const parallel = release?.parallels.get(parallelKey);
		const listed = release?.cards.get(cardKey);
		if (!parallel || !listed) return null;
		return runRuleFor(parallel, listed.section, listed.card)?.swatch ?? null;
	};
}
