import type { Problem } from '../../problem.ts';
import { draftOfRelease } from '../draft/draft-of-release.ts';
import type { ReleaseDraft } from '../draft/draft.ts';
import { compareCardNumbers } from '../numbers/compare-card-numbers.ts';
import type { Release } from '../release.ts';
import { slug } from '../slug.ts';
import { joinParallels, parallelOfLine, variantsOfLine } from './finishes-of-lines.ts';
import { joinSections, type KeyedSection } from './join-sections.ts';
import { withMarks } from './marks-of-lines.ts';
import { joinPacks, packOfLine } from './packs-of-lines.ts';
import { panelsOfLine, type PanelLine } from './panels-of-line.ts';
import type { PlacedLine } from './parse-outline.ts';
import { cardsSaidBy, sectionOfLine, type SectionLine } from './section-of-line.ts';
import { findStrayTexts, textsUnder } from './texts-of-lines.ts';

/** The most cards an outline may make. */
const MOST_CARDS = 50_000;

type ReleaseLine = PlacedLine & { readonly kind: 'release' };

/**
 * Makes a release of an outline: runs become cards (a subset's numbers are taken out of the section
 * it lives in), names become keys. With `onto`, the lines add to that release. Problems carry the line
 * they are about.
 */
export function draftOfOutline(
	lines: readonly PlacedLine[],
	onto?: Release
): {
	readonly draft: ReleaseDraft;
	readonly problems: readonly Problem[];
} {
	const before = onto ? draftOfRelease(onto) : null;
	const present = (before?.sections ?? []) as readonly KeyedSection[];
	const sectionLines = lines.filter((line): line is SectionLine => line.kind === 'section');
	const panelLines = lines.filter((line): line is PanelLine => line.kind === 'panels');
	const heads = lines.filter((line): line is ReleaseLine => line.kind === 'release');
	const [head] = heads;
	const problems: Problem[] = [...checkHeads(heads, onto), ...findStrayTexts(lines)];
	const release = { ...(before?.release ?? headOf(head)), ...(head ? noteUnder(head, lines) : {}) };
	const cards = sectionLines.reduce((sum, line) => sum + cardsSaidBy(line), 0);
	if (cards > MOST_CARDS) {
		problems.push({
			line: sectionLines[0]?.line ?? 1,
			message: `the outline says ${cards} cards; at most ${MOST_CARDS} are made of one`,
			remedy: 'Write shorter runs.'
		});
		return { draft: before ?? { release, sections: [] }, problems };
	}
	const keys = new Map(present.map(({ key, name }) => [slug(name), key]));
	for (const { name } of [...sectionLines, ...panelLines]) {
		if (!keys.has(slug(name))) keys.set(slug(name), slug(name));
	}
	const keyOf = (name: string, line: number): string => {
		const key = keys.get(slug(name)) ?? present.find((section) => section.key === name)?.key;
		if (key !== undefined) return key;
		const known = [...present, ...sectionLines].map((section) => section.name).join(', ');
		problems.push({
			line,
			message: `there is no section "${name}"`,
			remedy: `Sections here: ${known}.`
		});
		return slug(name);
	};
	const joined = joinSections(
		present,
		sectionLines.map((line) => ({
			line: line.line,
			section: {
				...sectionOfLine(line, sectionLines, lines, keyOf, problems),
				key: keyOf(line.name, line.line)
			}
		})),
		problems
	);
	const panels = panelLines.map((line) => ({
		line: line.line,
		section: {
			key: keyOf(line.name, line.line),
			name: line.name,
			kind: 'extra' as const,
			listed: false,
			cards: panelsOfLine(line, numbersIn(joined, keyOf(line.of, line.line)), problems)
		}
	}));
	const whole = panels.reduce((sections, made) => joinSections(sections, [made], problems), joined);
	const sections = withMarks(whole, lines, keyOf, problems);
	const parallels = joinParallels(
		before?.parallels ?? [],
		lines.flatMap((line) =>
			line.kind === 'parallel' ? [parallelOfLine(line, sections, lines, keyOf)] : []
		)
	);
	const names = {
		sections,
		parallels: parallels.map(({ name, key = slug(name) }) => ({ key, name }))
	};
	return {
		draft: {
			...before,
			release,
			packTypes: joinPacks(
				before?.packTypes ?? [],
				lines.flatMap((line) =>
					line.kind === 'pack' ? [packOfLine(line, before, names, problems)] : []
				)
			),
			sections,
			parallels,
			variants: [
				...(before?.variants ?? []),
				...lines.flatMap((line) =>
					line.kind === 'variant' ? variantsOfLine(line, lines, keyOf) : []
				)
			]
		},
		problems
	};
}

function checkHeads(heads: readonly ReleaseLine[], onto: Release | undefined): readonly Problem[] {
	const [head] = heads;
	if (!head && !onto) {
		return [
			{
				line: 1,
				message: 'the outline does not say which release it is',
				remedy: 'Begin with: release Name, Maker, 1994'
			}
		];
	}
	const isOther =
		onto &&
		head &&
		(head.name !== onto.name || head.maker !== onto.maker || head.year !== onto.year);
	return [
		...heads.slice(1).map((again) => ({
			line: again.line,
			message: `the outline names a second release; line ${head?.line ?? 1} has the first`,
			remedy: 'Write an outline for each.'
		})),
		...(isOther
			? [
					{
						line: head.line,
						message: `these lines add to ${onto.name}, not to ${head.name}`,
						remedy: `Leave the line out, or write: release ${onto.name}, ${onto.maker}, ${onto.year}`
					}
				]
			: [])
	];
}

function headOf(head: ReleaseLine | undefined) {
	return {
		name: head?.name ?? 'Untitled',
		maker: head?.maker ?? 'Unknown',
		year: head?.year ?? '1900'
	};
}

function noteUnder(head: ReleaseLine, lines: readonly PlacedLine[]): { readonly note?: string } {
	const { note } = textsUnder(head, lines);
	return note === undefined ? {} : { note };
}

/** The numbers of a section and of those that live in its numbering, in their order. */
function numbersIn(sections: readonly KeyedSection[], key: string): readonly string[] {
	return sections
		.filter((section) => section.key === key || section.numberedIn === key)
		.flatMap(({ cards }) => cards.flatMap(({ number }) => number ?? []))
		.sort(compareCardNumbers);
}
