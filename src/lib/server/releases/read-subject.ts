import { asc, eq, sql } from 'drizzle-orm';
import type { Reader } from '../database/open.ts';
import { cards, releases, sections } from '../database/tables/index.ts';

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

/** Every card that shows a subject, over all releases, by year; a card may show several subjects. */
export async function readSubject(db: Reader, subject: string): Promise<readonly SubjectCard[]> {
	return db
		.select({
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
		.where(sql`exists (select 1 from json_each(${cards.subjects}) where value = ${subject})`)
		.orderBy(asc(releases.year), asc(cards.id));
}
