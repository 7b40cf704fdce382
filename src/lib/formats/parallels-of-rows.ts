import { parseListCell } from '../core/checklist/list-cell.ts';
import type { Problem } from '../core/problem.ts';
import { NO_PARALLEL, type CsvRow } from './checklist-csv-columns.ts';

/** The rows of a section, and the first of them, which speaks for all. */
export interface RowsOfSection {
	readonly key: string;
	readonly first: CsvRow;
	readonly rows: readonly CsvRow[];
}

interface ParallelRuns {
	readonly name: string;
	readonly runs: {
		sections: string[];
		cards?: readonly string[];
		printRun?: number;
		confidence?: 'likely';
		notIssued?: true;
	}[];
}

/** The rules of each parallel: by section what most of its cards say, and cards that differ by name. */
export function parallelsOfRows(
	groups: readonly RowsOfSection[],
	problems: Problem[]
): readonly ParallelRuns[] {
	const parallels = new Map<string, ParallelRuns>();
	for (const { key, first, rows } of groups) {
		const runsOf = rows.map((row) => readRuns(row, first, problems));
		for (const name of new Set(runsOf.flatMap((runs) => [...runs.keys()]))) {
			const parallel = parallels.get(name) ?? { name, runs: [] };
			parallels.set(name, parallel);
			addRules(
				parallel,
				key,
				rows,
				runsOf.map((runs) => runs.get(name))
			);
		}
	}
	return [...parallels.values()];
}

/** "/120" is stamped on the cards, "~2000" is what people guess; null: not numbered. */
type WrittenRun = `/${number}` | `~${number}` | null;

function asRule(run: WrittenRun): { readonly printRun?: number; readonly confidence?: 'likely' } {
	if (run === null) return {};
	const printRun = Number(run.slice(1));
	return run.startsWith('~') ? { printRun, confidence: 'likely' } : { printRun };
}

/** Parallel name → print run of one row. */
function readRuns(row: CsvRow, first: CsvRow, problems: Problem[]): Map<string, WrittenRun> {
	const cell = row.cell('parallels') || first.cell('parallels');
	const runs = new Map<string, WrittenRun>();
	if (cell === NO_PARALLEL) return runs;
	for (const entry of parseListCell(cell)) {
		const [, name, mark, digits] = /^(.*\S)\s*([/~])\s*(\d{1,8})$/.exec(entry) ?? [];
		if (name !== undefined && Number(digits) === 0) {
			problems.push({
				line: row.line,
				field: 'parallels',
				message: `"${entry.slice(0, 60)}" has a print run of 0`,
				remedy: 'Write the run behind the name: Brass /120.'
			});
		} else if (name === undefined) runs.set(entry, null);
		else runs.set(name, `${mark === '~' ? '~' : '/'}${Number(digits)}`);
	}
	return runs;
}

function addRules(
	{ runs: rules }: ParallelRuns,
	section: string,
	rows: readonly CsvRow[],
	runs: readonly (WrittenRun | undefined)[]
): void {
	const counts = new Map<WrittenRun, number>();
	for (const run of runs) if (run !== undefined) counts.set(run, (counts.get(run) ?? 0) + 1);
	const [usual = null] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
	const { printRun, confidence } = asRule(usual);
	const shared = rules.find(
		(rule) => !rule.cards && rule.printRun === printRun && rule.confidence === confidence
	);
	if (shared) shared.sections.push(section);
	else rules.push({ sections: [section], ...asRule(usual) });
	for (const other of new Set(runs.filter((run) => run !== usual))) {
		const cards = rows
			.filter((_, i) => runs[i] === other)
			.map((row) => row.cell('number') || row.cell('title'));
		const rule = { sections: [section], cards };
		if (other === undefined) rules.push({ ...rule, notIssued: true });
		else rules.push({ ...rule, ...asRule(other) });
	}
}
