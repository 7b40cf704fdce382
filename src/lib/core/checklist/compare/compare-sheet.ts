import type { Chapter, ChapterFinish } from '../chapters/chapter.ts';
import { chaptersOf } from '../chapters/chapters-of.ts';
import { wholeSections } from '../edition.ts';
import { formatOdds } from '../odds.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import { plainName } from '../slug.ts';
import { meetSections, type Counterpart } from './meet-sections.ts';

/** A release that is laid beside others, or one section of it. */
export interface ComparedSide {
	readonly release: Release;
	/** Key of the only section that is compared; left out: all. */
	readonly section?: string;
}

/** A line of the sheet: what it is about, and what each side says; '' where it says nothing. */
export interface SheetLine {
	readonly what: string;
	readonly cells: readonly string[];
	/** Whether sides that have such a section say different things. */
	readonly differs: boolean;
}

/** Sections that lie beside each other, line by line. */
export interface SheetPart {
	readonly members: readonly ({ readonly key: string; readonly name: string } | null)[];
	readonly byHand: boolean;
	readonly lines: readonly SheetLine[];
}

/**
 * Lays releases, or sections, beside each other: cards, numbers, odds, stock and size, notes and tells of each
 * section, then what each finish looks like, how it is told, where alone it comes from and its print runs.
 * Lines of which no side says anything are left out.
 */
export function compareSheet(
	sides: readonly ComparedSide[],
	counterparts: readonly Counterpart[] = []
): readonly SheetPart[] {
	const told = sides.map(({ release }) => {
		const { parts, editions } = chaptersOf(release);
		return new Map([...parts, ...editions].map((chapter) => [chapter.key, chapter]));
	});
	const compared = sides.map(({ release, section: only }) => ({
		release: release.key,
		sections: wholeSections(release).filter(({ key }) => only === undefined || key === only)
	}));
	return meetSections(compared, counterparts).map(({ sections, byHand }): SheetPart => {
		const chapters = sections.map((section, i) => told[i]?.get(section?.key ?? '') ?? null);
		return {
			members: sections.map((section) => section && { key: section.key, name: section.name }),
			byHand,
			lines: [
				...SECTION_LINES.map(({ what, say }) =>
					lineOf(
						what,
						sections.map((section, i) => {
							const chapter = chapters[i];
							return section && chapter ? say(chapter, section) : null;
						})
					)
				),
				...finishLines(chapters)
			].filter(({ cells }) => cells.some((cell) => cell !== ''))
		};
	});
}

/** What is told of a section, line by line. */
const SECTION_LINES: readonly {
	readonly what: string;
	readonly say: (chapter: Chapter, section: Section) => string;
}[] = [
	{ what: 'Cards', say: ({ cards }) => String(cards) },
	{ what: 'Numbers', say: ({ numbers }) => numbers },
	{
		what: 'Odds',
		say: ({ odds }) => odds.map((each) => `${each.pack} ${formatOdds(each)}`).join(', ')
	},
	{ what: 'Only in', say: ({ onlyIn }) => onlyIn.join(', ') },
	{ what: 'Stock and size', say: (_, { format }) => formatText(format) },
	{ what: 'To know it', say: ({ howToTell }) => howToTell ?? '' },
	{ what: 'By experience', say: ({ difficulty }) => difficulty?.level ?? '' },
	{ what: 'Note', say: ({ note }) => note ?? '' }
];

function formatText(format: Section['format']): string {
	if (!format) return '';
	const { widthMm, heightMm, stockPt, shape } = format;
	return [
		widthMm === undefined && heightMm === undefined
			? ''
			: `${widthMm ?? '?'} × ${heightMm ?? '?'} mm`,
		stockPt === undefined ? '' : `${stockPt} pt`,
		shape ?? ''
	]
		.filter(Boolean)
		.join(', ');
}

/** A line a finish, those of one name together; the base finish first. */
function finishLines(chapters: readonly (Chapter | null)[]): readonly SheetLine[] {
	const names = new Map<string, string>();
	const keyOf = ({ parallelKey, name }: ChapterFinish) =>
		parallelKey === null ? '' : plainName(name);
	for (const chapter of chapters) {
		for (const finish of chapter?.finishes ?? []) {
			if (!names.has(keyOf(finish))) names.set(keyOf(finish), finish.name);
		}
	}
	return [...names].map(([key, name]) =>
		lineOf(
			name,
			chapters.map((chapter) => {
				if (!chapter) return null;
				const finish = chapter.finishes.find((known) => keyOf(known) === key);
				return finish ? finishText(finish, chapter) : 'not made';
			})
		)
	);
}

function finishText(finish: ChapterFinish, { cards }: Chapter): string {
	const { runs, look, howToTell, channel, stockPt, shape } = finish;
	const made = runs.flatMap(({ printRun, isEstimate, cards: of }) => {
		if (printRun === null) return [];
		const run = isEstimate ? `some ${printRun}` : `/${printRun}`;
		return [runs.length === 1 ? run : `${run} (${of} cards)`];
	});
	return (
		[
			finish.cards === cards ? '' : `${finish.cards} of ${cards}`,
			made.join(', '),
			stockPt === undefined ? '' : `${stockPt} pt`,
			shape ?? '',
			look ?? '',
			howToTell ?? '',
			channel ? `only in ${channel}` : ''
		]
			.filter(Boolean)
			.join(' · ') || 'made'
	);
}

/** null: the side has no such section. */
function lineOf(what: string, said: readonly (string | null)[]): SheetLine {
	const known = said.filter((text) => text !== null);
	return {
		what,
		cells: said.map((text) => text ?? ''),
		differs: new Set(known).size > 1
	};
}
