import { group, sum } from 'd3-array';
import { pickDetails } from '../card-details.ts';
import { wholeSections } from '../edition.ts';
import { expand, type Version } from '../versions/expand.ts';
import { foldCards } from '../fold-runs.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import type { Chapter, ChapterQuirk, ReleaseChapters } from './chapter.ts';
import { doubtsOf } from './doubts-of.ts';
import { evidenceOf } from './evidence.ts';
import { finishesOf } from './finishes-of.ts';
import { quirkFinder } from './quirk-finder.ts';

/** Tells a release part by part. Every card is in one chapter: its section's. */
export function chaptersOf(release: Release): ReleaseChapters {
	const versions = group(expand(release), ({ sectionKey }) => sectionKey);
	const quirksOf = quirkFinder(release);
	const sections = wholeSections(release);
	const chapters = sections.map((section) =>
		chapterOf(
			release,
			section,
			sections.filter(({ numberedIn }) => numberedIn === section.key),
			versions.get(section.key) ?? [],
			quirksOf
		)
	);
	return {
		parts: chapters.filter(({ edition }) => edition === undefined),
		editions: chapters.filter(({ edition }) => edition !== undefined),
		omitted: chapters.flatMap(({ isListed, name }) => (isListed ? [] : name)),
		doubts: doubtsOf(release)
	};
}

function chapterOf(
	release: Release,
	section: Section,
	subsets: readonly Section[],
	versions: readonly Version[],
	quirksOf: (section: Section) => readonly ChapterQuirk[]
): Chapter {
	const nameOf = (key: string) => release.sections.find((other) => other.key === key)?.name ?? key;
	const packOf = (key: string) => release.packTypes.find((known) => known.key === key)?.name ?? key;
	const { numberedIn, edition } = section;
	const stored = release.sections.find(({ key }) => key === section.key);
	return {
		key: section.key,
		name: section.name,
		kind: section.kind,
		...(numberedIn === undefined ? {} : { numberedIn: nameOf(numberedIn) }),
		...(edition
			? {
					edition: {
						of: edition.of.map(nameOf),
						without: edition.without,
						changes: edition.changes.length,
						added: stored?.cards.length ?? 0,
						...pickDetails(edition, ['from'])
					}
				}
			: {}),
		isListed: section.listed,
		cards: section.cards.length,
		inNumbering: sum([section, ...subsets], ({ cards }) => cards.length),
		numbers: foldCards(section.cards.filter(({ number }) => number !== null)),
		...pickDetails(section, ['statedTotal', 'note', 'howToTell', 'difficulty', 'lettering']),
		...evidenceOf(section),
		odds: section.odds.map((odds) => ({ ...odds, pack: packOf(odds.packType) })),
		onlyIn: (section.onlyIn ?? []).map(packOf),
		finishes: finishesOf(release, section, versions),
		keyCards: section.cards.filter(
			({ marks }) => marks.includes('key') || marks.includes('rookie')
		),
		quirks: quirksOf(section)
	};
}
