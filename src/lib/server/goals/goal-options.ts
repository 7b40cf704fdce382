import { asc, isNotNull, sql } from 'drizzle-orm';
import { wholeSections } from '../../core/checklist/edition.ts';
import { cardsOf } from '../../core/checklist/release.ts';
import type { Reader } from '../database/open.ts';
import { cards } from '../database/tables/index.ts';
import { loadRelease } from '../releases/load-release.ts';

/** What the rules of a goal can be chosen from, seen from one release. */
export async function goalOptions(db: Reader, releaseKey: string) {
	const stored = await loadRelease(db, releaseKey);
	if (!stored) return null;
	const { release } = stored;
	const subjects = await db.all<{ value: string }>(
		sql`select distinct value from (select distinct subjects from ${cards} where subjects <> '[]'), json_each(subjects)
			order by value limit 5000`
	);
	const groups = await db
		.selectDistinct({ group: cards.group })
		.from(cards)
		.where(isNotNull(cards.group))
		.orderBy(asc(cards.group))
		.limit(5000);
	const variants = new Set(release.variants.map(({ kind }) => kind));
	const listed = cardsOf(release);
	return {
		release: { key: release.key, name: release.name },
		sections: wholeSections(release).map(({ key, name, kind, edition, cards: held }) => ({
			key: `${release.key}/${key}`,
			name,
			kind,
			isEdition: edition !== undefined,
			cards: held.length
		})),
		parallels: release.parallels.map(({ key, name }) => ({ key, name })),
		cards: listed.map(({ section, card: { key, number, title } }) => ({
			key: `${release.key}/${key}`,
			number,
			title,
			section: section.name
		})),
		subjects: subjects.map(({ value }) => value),
		groups: groups.flatMap(({ group }) => group ?? []),
		hasErrors: variants.has('error') || variants.has('corrected'),
		hasVariations: ['image variation', 'print variation', 'quirk', 'piece'].some((kind) =>
			variants.has(kind as never)
		),
		hasPanels: listed.some(({ card }) => card.panelOf.length > 0),
		hasStrips: release.sections.some(({ arrangement }) => arrangement?.kind === 'strip')
	};
}

export type GoalOptions = NonNullable<Awaited<ReturnType<typeof goalOptions>>>;
