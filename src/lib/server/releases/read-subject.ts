import { group } from 'd3-array';
import { and, asc, eq, inArray, isNotNull } from 'drizzle-orm';
import { wholeSections } from '../../core/checklist/edition.ts';
import type { Reader } from '../database/open.ts';
import { cardSubjects, cards, releases, sections } from '../database/tables/index.ts';
import { loadReleases } from './load-release.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** A card of a subject, wherever it was printed. */
export interface SubjectCard {
	readonly releaseKey: string;
	readonly releaseName: string;
	readonly year: string;
	readonly section: string;
	readonly cardKey: string;
	readonly number: string | null;
	readonly title: string;
	/** The group it stood in on this card: it may change within a release. */
	readonly group: string | null;
}

/** The ids of the listed cards that show a subject, for a query. */
export const cardsOfSubject = (db: Reader, subject: string) =>
	db
		.select({ id: cardSubjects.cardId })
		.from(cardSubjects)
		.where(eq(cardSubjects.subject, subject));

/**
 * Every card that shows a subject, over all releases, by year; a card may show several subjects.
 * Cards that an edition repeats follow those of their release.
 */
export async function readSubject(db: Reader, subject: string): Promise<readonly SubjectCard[]> {
	const printed = await db
		.select({
			releaseId: releases.id,
			releaseKey: releases.key,
			releaseName: releases.name,
			year: releases.year,
			section: sections.name,
			cardKey: cards.key,
			number: cards.number,
			title: cards.title,
			group: cards.group
		})
		.from(cards)
		.innerJoin(releases, eq(cards.releaseId, releases.id))
		.innerJoin(sections, eq(cards.sectionId, sections.id))
		.where(inArray(cards.id, cardsOfSubject(db, subject)))
		.orderBy(asc(releases.year), asc(cards.id));
	const byRelease = group(printed, ({ releaseId }) => releaseId);
	const repeated = await readRepeated(db, [...byRelease.keys()], subject);
	return [...byRelease].flatMap(([id, shown]) => [
		...shown.map(({ releaseId: _, ...card }) => card),
		...(repeated.get(id) ?? [])
	]);
}

/** Cards of a subject that editions repeat: they are no rows, but follow from a rule. */
async function readRepeated(
	db: Reader,
	releaseIds: readonly ReleaseId[],
	subject: string
): Promise<ReadonlyMap<ReleaseId, readonly SubjectCard[]>> {
	const withEditions = await db
		.selectDistinct({ id: sections.releaseId })
		.from(sections)
		.where(and(inArray(sections.releaseId, [...releaseIds]), isNotNull(sections.edition)));
	const stored = await loadReleases(
		db,
		withEditions.map(({ id }) => id)
	);
	return new Map(
		stored.map(({ id, release }) => {
			const rows = new Set(
				release.sections.flatMap(({ cards: held }) => held.map(({ key }) => key))
			);
			const repeated = wholeSections(release).flatMap((section) =>
				section.cards
					.filter(({ key, subjects }) => !rows.has(key) && subjects.includes(subject))
					.map(({ key, number, title, group: of }) => ({
						releaseKey: release.key,
						releaseName: release.name,
						year: release.year,
						section: section.name,
						cardKey: key,
						number,
						title,
						group: of ?? null
					}))
			);
			return [id, repeated];
		})
	);
}
