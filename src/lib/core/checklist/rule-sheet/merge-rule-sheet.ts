import { deepEqual } from 'fast-equals';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import { SHEET_NAMES, type RuleSheet, type SentSheet, type SheetRow } from './rule-sheet.ts';

type Rows = readonly SheetRow[];

const REMEDY = 'Reload the page to see it, and write yours again.';

/**
 * The rules of a release that two windows wrote at once: what this one changed of what it saw, on top of what is there now. A cell
 * that both wrote otherwise, and a row that one wrote and the other took away, are problems. Print runs have no keys: they are
 * one piece.
 *
 * @param seen the sheet as it was when this window began
 */
export function mergeRuleSheet(
	seen: SentSheet,
	sent: SentSheet,
	present: RuleSheet
): Outcome<SentSheet> {
	const problems: Problem[] = [];
	const merged = SHEET_NAMES.flatMap((name) => {
		const [was, mine, now] = [seen[name], sent[name], present[name]];
		if (mine === undefined) return [];
		if (was === undefined || deepEqual(was, now)) return [[name, mine] as const];
		if (deepEqual(was, mine)) return [[name, now] as const];
		if (name !== 'runs') return [[name, mergeRows(was, mine, now, problems)] as const];
		if (!deepEqual(mine, now)) {
			const message = 'the print runs were changed meanwhile, in another window';
			problems.push({ field: name, message, remedy: REMEDY });
		}
		return [[name, mine] as const];
	});
	return problems.length > 0 ? bad(problems) : good(Object.fromEntries(merged) as SentSheet);
}

/** Rows by their keys; new ones, which have none, come behind the row that they stand behind. */
function mergeRows(was: Rows, mine: Rows, now: Rows, problems: Problem[]): Rows {
	const byKey = (rows: Rows) => new Map(rows.map((row) => [row.key, row]));
	const [wasOf, nowOf, mineOf] = [byKey(was), byKey(now), byKey(mine)];
	const told = (row: SheetRow, what: string) => {
		const name = row.cells['name'] ?? row.key;
		problems.push({
			field: name,
			message: `${name} was ${what}, in another window`,
			remedy: REMEDY
		});
	};
	const rows: SheetRow[] = [];
	for (const row of mine) {
		const [before, standing] = [wasOf.get(row.key), nowOf.get(row.key)];
		if (row.key === '' || before === undefined) rows.push(row);
		else if (standing) rows.push(mergeRow(before, row, standing, told));
		else if (!deepEqual(before, row)) told(row, 'taken away meanwhile');
	}
	for (const [i, row] of now.entries()) {
		const before = wasOf.get(row.key);
		if (mineOf.has(row.key)) continue;
		if (before === undefined) {
			const behind = rows.findLastIndex(({ key }) => key !== '' && key === now[i - 1]?.key);
			rows.splice(behind < 0 ? rows.length : behind + 1, 0, row);
		} else if (!deepEqual(before, row)) told(row, 'changed meanwhile');
	}
	return rows;
}

function mergeRow(
	was: SheetRow,
	mine: SheetRow,
	now: SheetRow,
	told: (row: SheetRow, what: string) => void
): SheetRow {
	const cells: Record<string, string> = {};
	for (const column of new Set([...Object.keys(now.cells), ...Object.keys(mine.cells)])) {
		const [before, wanted, present] = [was.cells[column], mine.cells[column], now.cells[column]];
		const isMine = wanted !== undefined && wanted !== before;
		if (isMine && present !== before && present !== wanted) {
			told(now, `changed meanwhile: its ${column} is "${(present ?? '').slice(0, 60)}" now`);
		}
		cells[column] = (isMine ? wanted : present) ?? '';
	}
	return { ...mine, cells };
}
