import type { ParallelDraft, RunRuleDraft, VariantDraft } from '../draft/draft.ts';
import { slug } from '../slug.ts';
import type { OutlineLine } from './outline.ts';
import type { PlacedLine } from './parse-outline.ts';
import { pickDetails } from '../card-details.ts';
import type { KeyedSection } from './join-sections.ts';
import { textsUnder } from './texts-of-lines.ts';

/** The parallel that a line of an outline says, with its rules; `sections` are all there are. */
export function parallelOfLine(
	line: PlacedLine & OutlineLine & { readonly kind: 'parallel' },
	sections: readonly KeyedSection[],
	lines: readonly PlacedLine[],
	keyOf: (name: string, line: number) => string
): ParallelDraft {
	const everything = sections.map(({ key }) => key);
	const runs = line.targets.map(({ section, run, isExcluded, printRun }): RunRuleDraft => {
		// A section may be called as a number is ("I").
		const isName =
			run && run.from === run.to && sections.some(({ name }) => slug(name) === slug(run.from));
		const name = isName ? run.from : section;
		return {
			...(run && !isName
				? { from: run.from, to: run.to }
				: { sections: name ? [keyOf(name, line.line)] : everything }),
			...(printRun ? { printRun } : {}),
			...(isExcluded ? { notIssued: true as const } : {})
		};
	});
	// "all, not Dogs": an exception of a whole section takes it out of the rule for all.
	const excluded = new Set(runs.flatMap((rule) => (rule.notIssued ? (rule.sections ?? []) : [])));
	return {
		name: line.name,
		...pickDetails(textsUnder(line, lines), ['howToTell']),
		runs: runs
			.filter((rule) => !(rule.notIssued && rule.sections))
			.map((rule) =>
				rule.sections && rule.sections.length > 1
					? { ...rule, sections: rule.sections.filter((key) => !excluded.has(key)) }
					: rule
			)
	};
}

/** The variants that a line of an outline says: of single cards, and of each range. */
export function variantsOfLine(
	line: PlacedLine & OutlineLine & { readonly kind: 'variant' },
	lines: readonly PlacedLine[],
	keyOf: (name: string, line: number) => string
): readonly VariantDraft[] {
	const sections = line.section ? { sections: [keyOf(line.section, line.line)] } : {};
	const told = pickDetails(textsUnder(line, lines), ['howToTell']);
	const shared = { kind: line.variant, name: line.name, ...told, ...sections };
	const singles = line.runs.filter(({ from, to }) => from === to).map(({ from }) => from);
	const ranges = line.runs.filter(({ from, to }) => from !== to);
	return [
		...(singles.length > 0 ? [{ ...shared, cards: singles }] : []),
		...ranges.map(({ from, to }) => ({ ...shared, from, to }))
	];
}

/** Parallels that are there, with the runs that lines add, then the new ones. */
export function joinParallels(
	before: readonly ParallelDraft[],
	said: readonly ParallelDraft[]
): readonly ParallelDraft[] {
	const isSame = (a: ParallelDraft, b: ParallelDraft) => slug(a.name) === slug(b.name);
	return [
		...before.map((parallel) =>
			said
				.filter((more) => isSame(more, parallel))
				.reduce((all, { runs, name: _, ...more }) => {
					return { ...all, ...more, runs: [...all.runs, ...runs] };
				}, parallel)
		),
		...said.filter((parallel) => !before.some((known) => isSame(known, parallel)))
	];
}
