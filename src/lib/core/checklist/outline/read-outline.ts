import type { Problem } from '../../problem.ts';
import { checkRelease } from '../draft/check-release.ts';
import { expand } from '../versions/expand.ts';
import { cardsOf, type Release } from '../release.ts';
import { completeDraft } from '../draft/resolve-release.ts';
import { draftOfOutline } from './draft-of-outline.ts';
import { parseOutline } from './parse-outline.ts';

/** What an outline comes to: a release with its figures, and everything that is not right in it. */
export interface OutlineReading {
	readonly release: Release;
	readonly cards: number;
	readonly versions: number;
	readonly problems: readonly Problem[];
}

/** Reads an outline whole; with any problem the release is only a preview and must not be stored. */
export function readOutline(text: string): OutlineReading {
	const { lines, problems } = parseOutline(text);
	const { draft, problems: faults } = draftOfOutline(lines);
	const { release, problems: gaps } = completeDraft(draft);
	const misfits = faults.length > 0 ? [] : [...gaps, ...checkRelease(release)];
	return {
		release,
		cards: cardsOf(release).length,
		versions: expand(release).length,
		problems: [
			...[...problems, ...faults].sort((a, b) => (a.line ?? 0) - (b.line ?? 0)),
			...misfits.map((problem) => ({ ...problem, ...lineOf(problem, lines) }))
		]
	};
}

/** The line that made the part of the release a problem points at. */
function lineOf(
	{ pointer = '' }: Problem,
	lines: readonly { readonly kind: string; readonly line: number }[]
): { readonly line?: number } {
	const [, list = '', index = '0'] = pointer.split('/');
	const kind = { sections: 'section', parallels: 'parallel', packTypes: 'pack' }[list];
	const found = lines.filter((line) => line.kind === kind)[Number(index)];
	return found ? { line: found.line } : {};
}
