import type { Problem } from '../../problem.ts';
import type { PlacedLine } from './parse-outline.ts';

/** What notes and tells may stand below. */
const TAKES = {
	note: ['release', 'section'],
	tell: ['section', 'parallel', 'variant']
} as const satisfies Record<'note' | 'tell', readonly PlacedLine['kind'][]>;
const PASSED: readonly PlacedLine['kind'][] = ['note', 'tell', 'series', 'comment'];

/** The notes and tells that stand below a line; several of a kind are lines of the same text. */
export function textsUnder(
	owner: PlacedLine,
	lines: readonly PlacedLine[]
): { readonly note?: string; readonly howToTell?: string } {
	const following = lines.slice(lines.indexOf(owner) + 1);
	const end = following.findIndex(({ kind }) => !PASSED.includes(kind));
	const below = following.slice(0, end < 0 ? following.length : end);
	const textOf = (wanted: 'note' | 'tell') =>
		below.flatMap((line) => (line.kind === wanted ? [line.text] : [])).join('\n');
	const [note, howToTell] = [textOf('note'), textOf('tell')];
	return { ...(note ? { note } : {}), ...(howToTell ? { howToTell } : {}) };
}

/** Notes and tells below what takes none. */
export function findStrayTexts(lines: readonly PlacedLine[]): readonly Problem[] {
	let above: PlacedLine | undefined;
	const problems: Problem[] = [];
	for (const line of lines) {
		if (line.kind === 'note' || line.kind === 'tell') {
			const takers: readonly PlacedLine['kind'][] = TAKES[line.kind];
			if (!above || !takers.includes(above.kind)) {
				problems.push({
					line: line.line,
					message: `a ${line.kind} has no meaning here`,
					remedy: `Write it below the line of a ${takers.join(', or a ')}.`
				});
			}
		} else if (!PASSED.includes(line.kind)) above = line;
	}
	return problems;
}
