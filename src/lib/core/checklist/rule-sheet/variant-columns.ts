import { VARIANT_KIND_NAMES, type Variant } from '../variant.ts';
import { choiceColumn, countColumn, namesColumn, textColumn, type Column } from './column.ts';
import { cardsColumn, evidenceColumns, oddsColumn, sectionsColumn } from './shared-columns.ts';

export const VARIANT_COLUMNS: readonly Column<Variant>[] = [
	cardsColumn,
	sectionsColumn,
	choiceColumn(
		{ key: 'kind', name: 'Kind', hint: 'error', width: 9 },
		VARIANT_KIND_NAMES,
		({ kind }) => kind,
		(kind) => ({ kind })
	),
	textColumn(
		{ key: 'name', name: 'Name', hint: 'home town', width: 12 },
		({ name }) => name,
		(name) => ({ name })
	),
	textColumn(
		{ key: 'howToTell', name: 'How to tell', hint: 'what to look for', width: 20 },
		({ howToTell }) => howToTell,
		(howToTell) => ({ howToTell })
	),
	countColumn(
		{ key: 'printRun', name: 'Print run', hint: 'not known', width: 6 },
		({ printRun }) => printRun,
		(printRun) => ({ printRun })
	),
	oddsColumn,
	namesColumn(
		{ key: 'inParallels', name: 'Also in finishes', hint: 'in base only', width: 11 },
		'parallels',
		({ inParallels }) => inParallels,
		(inParallels) => ({ inParallels })
	),
	textColumn(
		{ key: 'mirrors', name: 'Mirrors card', hint: '', width: 6 },
		({ mirrors }) => mirrors,
		(mirrors) => ({ mirrors })
	),
	textColumn(
		{ key: 'earns', name: 'Full set earns', hint: 'of pieces', width: 9 },
		({ earns }) => earns,
		(earns) => ({ earns })
	),
	...evidenceColumns
];
