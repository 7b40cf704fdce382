import type { Problem } from '../../problem.ts';
import type { ReleaseDraft } from '../draft/draft.ts';
import { slug } from '../slug.ts';
import { parallelOfLine, variantsOfLine } from './finishes-of-lines.ts';
import type { PlacedLine } from './parse-outline.ts';
import { cardsSaidBy, sectionOfLine, type SectionLine } from './section-of-line.ts';

/** The most cards an outline may make. */
const MOST_CARDS = 50_000;

/**
 * Makes a release of an outline: runs become cards (a subset's numbers are taken out of the section
 * it lives in), names become keys. Problems carry the line they are about.
 */
export function draftOfOutline(lines: readonly PlacedLine[]): {
	readonly draft: ReleaseDraft;
	readonly problems: readonly Problem[];
} {
	const problems: Problem[] = [];
	const sectionLines = lines.filter((line): line is SectionLine => line.kind === 'section');
	const head = lines.find((line) => line.kind === 'release');
	if (!head) {
		problems.push({
			line: 1,
			message: 'the outline does not say which release it is',
			remedy: 'Begin with: release Name, Maker, 1994'
		});
	}
	for (const again of lines.filter((line) => line.kind === 'release' && line !== head)) {
		problems.push({
			line: again.line,
			message: `the outline names a second release; line ${head?.line ?? 1} has the first`,
			remedy: 'Write an outline for each.'
		});
	}
	const cards = sectionLines.reduce((sum, line) => sum + cardsSaidBy(line), 0);
	if (cards > MOST_CARDS) {
		problems.push({
			line: sectionLines[0]?.line ?? 1,
			message: `the outline says ${cards} cards; at most ${MOST_CARDS} are made of one`,
			remedy: 'Write shorter runs.'
		});
		return { draft: { release: headOf(head), sections: [] }, problems };
	}
	const keyOf = (name: string, line: number): string => {
		const key = slug(name);
		if (!sectionLines.some((section) => slug(section.name) === key)) {
			const known = sectionLines.map((section) => section.name).join(', ');
			problems.push({
				line,
				message: `there is no section "${name}"`,
				remedy: `Sections here: ${known}.`
			});
		}
		return key;
	};
	const packs = lines.filter((line) => line.kind === 'pack');
	return {
		draft: {
			release: headOf(head),
			packTypes: packs.map(({ name, cards, packs: count }) => ({
				key: slug(name),
				name,
				...(cards ? { cardsPerPack: cards } : {}),
				...(count ? { packsPerBox: count } : {})
			})),
			sections: sectionLines.map((line) =>
				sectionOfLine(line, sectionLines, lines, keyOf, problems)
			),
			parallels: lines.flatMap((line) =>
				line.kind === 'parallel' ? [parallelOfLine(line, sectionLines, keyOf)] : []
			),
			variants: lines.flatMap((line) =>
				line.kind === 'variant' ? variantsOfLine(line, keyOf) : []
			)
		},
		problems
	};
}

function headOf(head: (PlacedLine & { readonly kind: 'release' }) | undefined) {
	return {
		name: head?.name ?? 'Untitled',
		maker: head?.maker ?? 'Unknown',
		year: head?.year ?? '1900'
	};
}
