import { inArray, isNotNull } from 'drizzle-orm';
import { wholeSections } from '../../core/checklist/edition.ts';
import { chunks } from '../database/chunks.ts';
import type { Reader, Transaction } from '../database/open.ts';
import { editionCards, sections } from '../database/tables/index.ts';
import { loadReleases } from '../releases/load-release.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** Works out anew which cards the editions of some releases repeat. */
export async function refreshEditionCards(
	tx: Transaction,
	releaseIds: readonly ReleaseId[]
): Promise<void> {
	for (const ids of chunks([...new Set(releaseIds)], 500)) {
		await tx.delete(editionCards).where(inArray(editionCards.releaseId, [...ids]));
		const withEditions = await tx
			.select({ id: sections.id, key: sections.key, releaseId: sections.releaseId })
			.from(sections)
			.where(inArray(sections.releaseId, [...ids]));
		const idOf = new Map(withEditions.map(({ id, key, releaseId }) => [`${releaseId} ${key}`, id]));
		for (const { id: releaseId, release } of await loadReleases(
			tx,
			await releasesWithEditions(tx, ids)
		)) {
			const listed = new Set(release.sections.flatMap(({ cards }) => cards.map(({ key }) => key)));
			const rows = wholeSections(release).flatMap((section) => {
				const sectionId = idOf.get(`${releaseId} ${section.key}`);
				return section.edition === undefined || sectionId === undefined
					? []
					: section.cards
							.filter(({ key }) => !listed.has(key))
							.map(({ key, number, title, subjects, marks, ...card }) => ({
								...{ releaseId, sectionId, key, number, title, subjects, marks },
								group: card.group ?? null,
								tags: card.tags ?? null,
								sortAs: card.sortAs ?? null
							}));
			});
			for (const some of chunks(rows, 500)) await tx.insert(editionCards).values(some);
		}
	}
}

async function releasesWithEditions(tx: Reader, ids: readonly ReleaseId[]): Promise<ReleaseId[]> {
	const rows = await tx
		.selectDistinct({ id: sections.releaseId, edition: sections.edition })
		.from(sections)
		.where(inArray(sections.releaseId, [...ids]));
	return [...new Set(rows.flatMap(({ id, edition }) => (edition === null ? [] : [id])))];
}

/** Releases of a collection made before these cards were kept: worked out once, when it is opened. */
export async function releasesWithoutEditionCards(db: Reader): Promise<readonly ReleaseId[]> {
	const rows = await db
		.selectDistinct({ id: sections.releaseId })
		.from(sections)
		.where(isNotNull(sections.edition));
	const known = new Set(
		(await db.selectDistinct({ id: editionCards.releaseId }).from(editionCards)).map(({ id }) => id)
	);
	return rows.map(({ id }) => id).filter((id) => !known.has(id));
}
