import { refreshAll } from '$lib/ui/refresh';
import type { Column } from '$lib/core/checklist/rule-sheet/column';
import { PACK_COLUMNS } from '$lib/core/checklist/rule-sheet/pack-columns';
import { PARALLEL_COLUMNS, RUN_COLUMNS } from '$lib/core/checklist/rule-sheet/parallel-columns';
import {
	SHEET_NAMES,
	writeRuleSheet,
	type RuleSheet,
	type SheetName,
	type SheetRow
} from '$lib/core/checklist/rule-sheet/rule-sheet';
import { SECTION_COLUMNS } from '$lib/core/checklist/rule-sheet/section-columns';
import { VARIANT_COLUMNS } from '$lib/core/checklist/rule-sheet/variant-columns';
import type { Release } from '$lib/core/checklist/release';
import type { Problem } from '$lib/core/problem';
import { createTurns } from '$lib/ui/in-turn';
import { send } from '$lib/ui/send';

/** What views need to know of a column; how its cells are read is the core's. */
export type SheetColumn = Pick<Column<never>, 'key' | 'name' | 'hint' | 'width' | 'choices'>;

export const SHEETS: Readonly<
	Record<
		SheetName,
		{ readonly name: string; readonly row: string; readonly columns: readonly SheetColumn[] }
	>
> = {
	sections: { name: 'Sections', row: 'section', columns: SECTION_COLUMNS },
	parallels: { name: 'Parallels', row: 'parallel', columns: PARALLEL_COLUMNS },
	runs: { name: 'Print runs', row: 'rule', columns: RUN_COLUMNS },
	variants: { name: 'Variants', row: 'variant', columns: VARIANT_COLUMNS },
	packTypes: { name: 'Packs', row: 'pack', columns: PACK_COLUMNS }
};

/** The rules of a release as they are being edited, before they are saved. */
export function createRuleBook(release: () => Release) {
	const stored = $derived(writeRuleSheet(release()));
	/** null: nothing was edited, so that what the server says shows at once. */
	let edited = $state.raw<RuleSheet | null>(null);
	/** The sheet as it was when it was begun to be edited: another window may write into it meanwhile. */
	let seen: RuleSheet | null = null;
	let problems = $state.raw<readonly Problem[]>([]);
	let busy = $state(false);
	const inTurn = createTurns();
	const sheet = $derived(edited ?? stored);
	const count = $derived(
		edited === null
			? 0
			: SHEET_NAMES.reduce((sum, name) => sum + changedRows(stored[name], sheet[name]), 0)
	);

	const change = (name: SheetName, rows: readonly SheetRow[]) => {
		if (edited === null) seen = stored;
		edited = { ...sheet, [name]: rows };
		problems = [];
	};

	async function saveNow() {
		if (count === 0 || edited === null) return;
		busy = true;
		const sent = edited;
		const outcome = await send('PUT', `/api/releases/${release().key}/rules`, {
			...sent,
			...(seen ? { seen } : {})
		});
		problems = outcome.ok ? [] : outcome.problems;
		await refreshAll();
		// What was typed while it was being saved stays.
		if (outcome.ok && edited === sent) edited = null;
		busy = false;
	}

	return {
		rows: (name: SheetName) => sheet[name],
		get count() {
			return count;
		},
		get problems() {
			return problems;
		},
		get busy() {
			return busy;
		},
		problemAt: (name: SheetName, row: number, column: string) =>
			problems.find(({ pointer }) => pointer === `/${name}/${row}/${column}`),
		isChanged(name: SheetName, row: number, column: string) {
			const now = sheet[name][row];
			const before = stored[name].find(({ key }) => key !== '' && key === now?.key);
			const old = name === 'runs' ? stored.runs[row] : before;
			return edited !== null && now?.cells[column] !== old?.cells[column];
		},
		write(name: SheetName, row: number, column: string, text: string) {
			change(
				name,
				sheet[name].map((old, i) =>
					i === row ? { ...old, cells: { ...old.cells, [column]: text } } : old
				)
			);
		},
		/** Adds a row; `known` are cells that are filled already. */
		add(name: SheetName, known: SheetRow['cells'] = {}) {
			const cells: SheetRow['cells'] =
				name === 'runs' ? { parallel: sheet.parallels.at(-1)?.cells['name'] ?? '' } : known;
			change(name, [...sheet[name], { key: '', cells: { ...FRESH[name], ...cells } }]);
		},
		remove(name: SheetName, row: number) {
			change(
				name,
				sheet[name].filter((_, i) => i !== row)
			);
		},
		/** Moves a row up or down; gives where it went. */
		move(name: SheetName, row: number, step: 1 | -1): number {
			const rows = [...sheet[name]];
			const to = row + step;
			const [moved] = rows.splice(row, 1);
			if (!moved || to < 0 || to > rows.length) return row;
			rows.splice(to, 0, moved);
			change(name, rows);
			return to;
		},
		discard() {
			edited = null;
			problems = [];
		},
		/** A second save waits for the first and takes what was typed meanwhile. */
		save: () => inTurn(saveNow)
	};
}

const FRESH: Readonly<Record<SheetName, Readonly<Record<string, string>>>> = {
	sections: { kind: 'insert', listed: 'yes' },
	parallels: {},
	runs: {},
	variants: { kind: 'error' },
	packTypes: {}
};

/** Rows that were added, changed, moved or removed. */
function changedRows(before: readonly SheetRow[], after: readonly SheetRow[]): number {
	const text = (row: SheetRow | undefined) => JSON.stringify(row ?? null);
	const differing = Array.from(
		{ length: Math.max(before.length, after.length) },
		(_, i) => text(before[i]) !== text(after[i])
	);
	return differing.filter(Boolean).length;
}

export type RuleBook = ReturnType<typeof createRuleBook>;
