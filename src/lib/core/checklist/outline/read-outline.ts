import type { Problem } from '../../problem.ts';
import { checkCorrections } from '../draft/check-corrections.ts';
import { checkRelease } from '../draft/check-release.ts';
import { expand } from '../versions/expand.ts';
import { cardsOf, type Release } from '../release.ts';
import { completeDraft } from '../draft/resolve-release.ts';
import { draftOfOutline } from './draft-of-outline.ts';
import { parseOutline, type PlacedLine } from './parse-outline.ts';
import { slug } from '../slug.ts';

/** What an outline comes to: a release with its figures, and everything that is not right in it. */
export interface OutlineReading {
	readonly release: Release;
	readonly cards: number;
	readonly versions: number;
	readonly problems: readonly Problem[];
}

/**
 * Reads an outline whole, or lines that add to the release `onto`: what is there keeps its keys and all
 * that is known of it. With any problem the release is only a preview and must not be stored.
 */
export function readOutline(text: string, onto?: Release): OutlineReading {
	const { lines, problems } = parseOutline(text);
	const { draft, problems: faults } = draftOfOutline(lines, onto);
	const { release, problems: gaps } = completeDraft(draft);
	const misfits =
		faults.length > 0
			? []
			: [...gaps, ...checkRelease(release), ...(onto ? checkCorrections(onto, release) : [])];
	return {
		release,
		cards: cardsOf(release).length,
		versions: expand(release).length,
		problems: [
			...[...problems, ...faults].sort((a, b) => (a.line ?? 0) - (b.line ?? 0)),
			...misfits.map((problem) => ({ ...problem, ...lineOf(problem, release, lines) }))
		]
	};
}

/** The line that made the part of the release a problem points at. */
function lineOf(
	{ pointer = '' }: Problem,
	release: Release,
	lines: readonly PlacedLine[]
): { readonly line?: number } {
	const [, list = '', index = '0'] = pointer.split('/');
	const made = {
		sections: release.sections,
		parallels: release.parallels,
		packTypes: release.packTypes,
		variants: release.variants
	};
	if (!Object.hasOwn(made, list)) return {};
	const name = made[list as keyof typeof made][Number(index)]?.name ?? '';
	const found = lines.find(
		(line) =>
			LINES_OF[list]?.includes(line.kind) && 'name' in line && slug(line.name) === slug(name)
	);
	return found ? { line: found.line } : {};
}

const LINES_OF: Readonly<Record<string, readonly PlacedLine['kind'][]>> = {
	sections: ['section', 'panels'],
	parallels: ['parallel'],
	packTypes: ['pack'],
	variants: ['variant']
};
