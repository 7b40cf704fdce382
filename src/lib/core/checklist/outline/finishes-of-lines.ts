import type { ParallelDraft, RunRuleDraft, VariantDraft } from '../draft/draft.ts';
import { slug } from '../slug.ts';
import type { OutlineLine } from './outline.ts';
import type { PlacedLine } from './parse-outline.ts';
import type { SectionLine } from './section-of-line.ts';

/** The parallel that a line of an outline says, with its rules. */
export function parallelOfLine(
	line: PlacedLine & OutlineLine & { readonly kind: 'parallel' },
	all: readonly SectionLine[],
	keyOf: (name: string, line: number) => string
): ParallelDraft {
	const everything = all.map(({ name }) => slug(name));
	const runs = line.targets.map(({ section, run, isExcluded, printRun }): RunRuleDraft => ({
		...(run
			? { from: run.from, to: run.to }
			: { sections: section ? [keyOf(section, line.line)] : everything }),
		...(printRun ? { printRun } : {}),
		...(isExcluded ? { notIssued: true as const } : {})
	}));
	// "all, not Dogs": an exception of a whole section takes it out of the rule for all.
	const excluded = new Set(runs.flatMap((rule) => (rule.notIssued ? (rule.sections ?? []) : [])));
	return {
		name: line.name,
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
	keyOf: (name: string, line: number) => string
): readonly VariantDraft[] {
	const sections = line.section ? { sections: [keyOf(line.section, line.line)] } : {};
	const shared = { kind: line.variant, name: line.name, ...sections };
	const singles = line.runs.filter(({ from, to }) => from === to).map(({ from }) => from);
	const ranges = line.runs.filter(({ from, to }) => from !== to);
	return [
		...(singles.length > 0 ? [{ ...shared, cards: singles }] : []),
		...ranges.map(({ from, to }) => ({ ...shared, from, to }))
	];
}
