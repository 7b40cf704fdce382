import { bad, good, type Outcome, type Problem } from '../core/problem.ts';
import type { Release } from '../core/checklist/release.ts';
import type { CsvDefaults, CsvRow } from './checklist-csv-columns.ts';
import { readChecklistRows } from './checklist-csv.ts';

/** The most releases that a list may name. */
const MOST_RELEASES = 3000;
/** The most problems that are told. */
const MOST_TOLD = 200;

interface Part {
	readonly head: Required<CsvDefaults>;
	readonly rows: CsvRow[];
}

/**
 * Reads rows of cards of any releases. Where a row leaves release, maker or year blank, the row above
 * says it, for the first `defaults`. Each release comes with the cards that the list has of it; all
 * problems come at once, with their lines.
 */
export function readCardListRows(
	rows: readonly CsvRow[],
	defaults: CsvDefaults = {},
	rowNotes: readonly Problem[] = []
): Outcome<readonly Release[]> {
	const parts = new Map<string, Part>();
	let above = {
		name: defaults.name?.trim() ?? '',
		maker: defaults.maker?.trim() ?? '',
		year: defaults.year?.trim() ?? ''
	};
	for (const row of rows) {
		above = {
			name: row.cell('release') || above.name,
			maker: row.cell('maker') || above.maker,
			year: row.cell('year') || above.year
		};
		const key = JSON.stringify(above);
		const part = parts.get(key);
		if (part) part.rows.push(row);
		else parts.set(key, { head: above, rows: [row] });
	}
	if (parts.size > MOST_RELEASES) {
		const message = `the list names ${parts.size} releases; at most ${MOST_RELEASES} are read at once`;
		return bad([{ message, remedy: 'Split it into several lists.' }], rowNotes);
	}
	const read = [...parts.values()].map(({ head, rows: held }) => readChecklistRows(held, head));
	const problems = read.flatMap((outcome) => (outcome.ok ? [] : outcome.problems));
	const notes = [...rowNotes, ...read.flatMap((outcome) => outcome.notes)];
	return problems.length > 0
		? bad(problems.sort((a, b) => (a.line ?? 0) - (b.line ?? 0)).slice(0, MOST_TOLD), notes)
		: { ...good(read.flatMap((outcome) => (outcome.ok ? [outcome.value] : []))), notes };
}
