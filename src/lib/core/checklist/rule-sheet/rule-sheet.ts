import { at } from '../../at.ts';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import { isNamed } from '../card-selector.ts';
import { wholeSections } from '../edition.ts';
import type { Parallel } from '../parallel.ts';
import type { PackType, Release } from '../release.ts';
import type { Section } from '../section.ts';
import { freeKey, slug } from '../slug.ts';
import type { Variant } from '../variant.ts';
import type { Column, NamedKey, SheetNames } from './column.ts';
import {
	PARALLEL_COLUMNS,
	RUN_COLUMNS,
	type ParallelRules,
	type PlacedRun
} from './parallel-columns.ts';
import { PACK_COLUMNS } from './pack-columns.ts';
import { SECTION_COLUMNS, type SectionRules } from './section-columns.ts';
import { VARIANT_COLUMNS } from './variant-columns.ts';

export const SHEET_NAMES = ['sections', 'parallels', 'runs', 'variants', 'packTypes'] as const;
export type SheetName = (typeof SHEET_NAMES)[number];

/** What a row of each sheet is about, in one line. */
export const SHEET_HINTS: Readonly<Record<SheetName, string>> = {
	sections:
		'A row a section. Lists are separated by semicolons; a section without cards is filled under Cards.',
	parallels:
		'A row a finish, the commonest first; of which cards it was made stands under Print runs.',
	runs: 'A row a rule: of which cards a parallel was made, and how many. The narrowest rule counts.',
	variants: 'A row a deviation: which cards, what to look for, how sure that is.',
	packTypes: 'A row a kind of pack, or a format that shops make of several. Odds name them.'
};

/** A row of a sheet: the key of the thing it stands for ('' where it is new) and its cells by column. */
export interface SheetRow {
	readonly key: string;
	readonly cells: Readonly<Record<string, string>>;
}

/** The rules of a release as tables of text; its cards are edited apart. */
export type RuleSheet = Readonly<Record<SheetName, readonly SheetRow[]>>;

/** A sheet as it is sent: programs from before there were rows of pack types leave these as they are. */
export type SentSheet = Omit<RuleSheet, 'packTypes'> & Partial<Pick<RuleSheet, 'packTypes'>>;

/** Writes the rules of a release as rows, a cell a field. `readRuleSheet` gives the release back. */
export function writeRuleSheet(release: Release): RuleSheet {
	const names = sheetNamesOf(release);
	return {
		sections: writeRows(release.sections, SECTION_COLUMNS, names),
		parallels: writeRows(release.parallels, PARALLEL_COLUMNS, names),
		runs: release.parallels.flatMap(({ key, runs }) =>
			writeRows(
				runs.map((rule): PlacedRun => ({ ...rule, parallel: key })),
				RUN_COLUMNS,
				names
			)
		),
		variants: writeRows(release.variants, VARIANT_COLUMNS, names),
		packTypes: writeRows(release.packTypes, PACK_COLUMNS, names)
	};
}

/**
 * Reads an edited sheet over a release. Things keep their keys, so that copies stay attached; cards,
 * and the changes of an edition, stay as they were. Every cell that is not understood is a problem
 * with the pointer `/sheet/row/column`; whether the parts fit together is checked where it is saved.
 */
export function readRuleSheet(release: Release, sent: SentSheet): Outcome<Release> {
	const { packTypes: packRows, ...sheet } = withUnsentCells(release, sent);
	const problems: Problem[] = [];
	const sectionKeys = keysOf(sheet.sections, release.sections);
	const parallelKeys = keysOf(sheet.parallels, release.parallels);
	const packKeys = keysOf(packRows ?? [], release.packTypes);
	const names = namesOf(
		release,
		[...newNames(sheet.sections, sectionKeys), ...release.sections],
		[...newNames(sheet.parallels, parallelKeys), ...release.parallels],
		packRows ? newNames(packRows, packKeys) : release.packTypes
	);
	const read = <Item>(name: keyof typeof sheet, columns: readonly Column<Item>[]) =>
		readRows(name, sheet[name], columns, names, problems);

	const runs = read<PlacedRun>('runs', RUN_COLUMNS);
	const sections = read<SectionRules>('sections', SECTION_COLUMNS).map((fields, i): Section => {
		const key = at(sectionKeys, i);
		const before = release.sections.find((section) => section.key === key);
		const { name = '', kind = 'base', edition, ...rest } = fields;
		return {
			...rest,
			key,
			name,
			kind,
			listed: fields.listed ?? kind !== 'extra',
			series: fields.series ?? [],
			odds: fields.odds ?? [],
			alsoIn: fields.alsoIn ?? [],
			...(edition ? { edition: { ...edition, changes: before?.edition?.changes ?? [] } } : {}),
			cards: before?.cards ?? []
		};
	});
	const parallels = read<ParallelRules>('parallels', PARALLEL_COLUMNS).map(
		(fields, i): Parallel => {
			const key = at(parallelKeys, i);
			const ofParallel = runs.filter(({ parallel }) => parallel === key);
			return { ...fields, key, name: fields.name ?? '', runs: ofParallel.map(toRule) };
		}
	);
	const variantKeys = keysOf(sheet.variants, release.variants);
	const variants = read<Variant>('variants', VARIANT_COLUMNS).map((fields, i): Variant => ({
		...fields,
		key: at(variantKeys, i),
		name: fields.name ?? '',
		kind: fields.kind ?? 'error'
	}));
	const packTypes = packRows
		? readRows('packTypes', packRows, PACK_COLUMNS, names, problems).map((fields, i): PackType => ({
				...fields,
				key: at(packKeys, i),
				name: fields.name ?? ''
			}))
		: release.packTypes;
	return problems.length > 0
		? bad(problems)
		: good({ ...release, sections, parallels, variants, packTypes });
}

/** A row that leaves a column out, as programs from before that column do, keeps what stands there. */
function withUnsentCells(release: Release, sent: SentSheet): SentSheet {
	const stored = writeRuleSheet(release);
	const whole = (name: SheetName, rows: readonly SheetRow[]) => {
		const cellsOf = new Map(stored[name].map(({ key, cells }) => [key, cells]));
		return rows.map((row) =>
			row.key === '' ? row : { ...row, cells: { ...cellsOf.get(row.key), ...row.cells } }
		);
	};
	return {
		...sent,
		sections: whole('sections', sent.sections),
		parallels: whole('parallels', sent.parallels),
		variants: whole('variants', sent.variants),
		...(sent.packTypes ? { packTypes: whole('packTypes', sent.packTypes) } : {})
	};
}

function toRule({ parallel: _, ...rule }: Partial<PlacedRun>) {
	return rule;
}

function writeRows<Item extends object>(
	items: readonly Item[],
	columns: readonly Column<Item>[],
	names: SheetNames
): readonly SheetRow[] {
	return items.map((item) => ({
		key: 'key' in item ? String(item.key) : '',
		cells: Object.fromEntries(columns.map((column) => [column.key, column.write(item, names)]))
	}));
}

/** Columns that a row can't do without. */
const REQUIRED = ['name', 'kind', 'parallel'];

function readRows<Item>(
	sheet: SheetName,
	rows: readonly SheetRow[],
	columns: readonly Column<Item>[],
	names: SheetNames,
	problems: Problem[]
): readonly Partial<Item>[] {
	return rows.map(({ cells }, r) => {
		let fields: Partial<Item> = {};
		for (const column of columns) {
			const text = (cells[column.key] ?? '').trim();
			const place = {
				pointer: `/${sheet}/${r}/${column.key}`,
				field: `${column.name}, row ${r + 1}`
			};
			if (text === '' && REQUIRED.includes(column.key)) {
				problems.push({
					...place,
					message: 'it is empty',
					remedy: `Write one, for example ${column.hint}, or remove the row.`
				});
				continue;
			}
			const outcome = column.read(text, names);
			if (outcome.ok) fields = { ...fields, ...outcome.value };
			else problems.push(...outcome.problems.map((problem) => ({ ...problem, ...place })));
		}
		return fields;
	});
}

/** The key of every row: its own, or one made of the name where the row is new. */
function keysOf(rows: readonly SheetRow[], before: readonly NamedKey[]): readonly string[] {
	const taken = new Set(before.map(({ key }) => key));
	return rows.map(({ key, cells }) => key || freeKey(slug(cells['name'] ?? ''), taken));
}

function newNames(rows: readonly SheetRow[], keys: readonly string[]): readonly NamedKey[] {
	return rows.map(({ cells }, i) => ({ key: at(keys, i), name: (cells['name'] ?? '').trim() }));
}

/** The names that cells may use in a release as it is. */
export function sheetNamesOf(release: Release): SheetNames {
	return namesOf(release, release.sections, release.parallels, release.packTypes);
}

function namesOf(
	release: Release,
	sections: readonly NamedKey[],
	parallels: readonly NamedKey[],
	packTypes: readonly NamedKey[]
): SheetNames {
	const cards = wholeSections(release).flatMap((section) => section.cards);
	const nameable = ({ key, name }: NamedKey) => ({ key, name });
	return {
		sections: sections.map(nameable),
		parallels: parallels.map(nameable),
		packTypes: packTypes.map(nameable),
		isCard: (name) => cards.some((card) => isNamed(card, name))
	};
}
