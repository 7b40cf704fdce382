import { good } from '../../problem.ts';
import { slug } from '../slug.ts';
import type { Parallel, RunRule } from '../parallel.ts';
import { SWATCHES } from '../swatch.ts';
import { choiceColumn, countColumn, namesColumn, textColumn, type Column } from './column.ts';
import { tellsColumn } from './tell-cell.ts';
import { cardsColumn, evidenceColumns, oddsColumn, sectionsColumn } from './shared-columns.ts';

/** A parallel without its rules: what a row of the sheet holds. */
export type ParallelRules = Omit<Parallel, 'runs'>;
/** A rule with the parallel it belongs to. */
export type PlacedRun = RunRule & { readonly parallel: string };

export const PARALLEL_COLUMNS: readonly Column<ParallelRules>[] = [
	textColumn(
		{ key: 'name', name: 'Name', hint: 'Verdigris', width: 12 },
		({ name }) => name,
		(name) => ({ name })
	),
	textColumn(
		{ key: 'channel', name: 'Comes in', hint: 'every pack', width: 10 },
		({ channel }) => channel,
		(channel) => ({ channel })
	),
	textColumn(
		{ key: 'look', name: 'Looks', hint: 'green foil, matte edge', width: 14 },
		({ look }) => look,
		(look) => ({ look })
	),
	textColumn(
		{ key: 'howToTell', name: 'How to tell', hint: 'green edge; numbered on the back', width: 24 },
		({ howToTell }) => howToTell,
		(howToTell) => ({ howToTell })
	),
	tellsColumn(),
	choiceColumn<ParallelRules, 'yes'>(
		{ key: 'isBaseFinish', name: 'Second base finish', hint: 'no', width: 7 },
		['yes'],
		({ isBaseFinish }) => (isBaseFinish ? 'yes' : undefined),
		() => ({ isBaseFinish: true })
	),
	countColumn(
		{ key: 'stockPt', name: 'Stock, pt', hint: 'as its section', width: 7 },
		({ stockPt }) => stockPt,
		(stockPt) => ({ stockPt })
	),
	textColumn(
		{ key: 'shape', name: 'Shape', hint: 'as its section; die cut', width: 8 },
		({ shape }) => shape,
		(shape) => ({ shape })
	),
	{
		key: 'palette',
		name: 'From the palette',
		hint: 'its key there',
		width: 10,
		write: ({ palette }) => palette ?? '',
		read: (text) => good(text === '' ? {} : { palette: slug(text) })
	}
];

export const RUN_COLUMNS: readonly Column<PlacedRun>[] = [
	namesColumn<PlacedRun>(
		{ key: 'parallel', name: 'Parallel', hint: 'Verdigris', width: 11 },
		'parallels',
		({ parallel }) => [parallel],
		([parallel]) => (parallel ? { parallel } : {})
	),
	sectionsColumn,
	cardsColumn,
	choiceColumn<PlacedRun, 'not made'>(
		{ key: 'notIssued', name: 'Not made', hint: 'made', width: 6 },
		['not made'],
		({ notIssued }) => (notIssued ? 'not made' : undefined),
		() => ({ notIssued: true })
	),
	countColumn(
		{ key: 'printRun', name: 'Print run', hint: 'not numbered', width: 6 },
		({ printRun }) => printRun,
		(printRun) => ({ printRun })
	),
	oddsColumn,
	textColumn(
		{ key: 'channel', name: 'Comes in', hint: 'as its parallel', width: 8 },
		({ channel }) => channel,
		(channel) => ({ channel })
	),
	choiceColumn(
		{ key: 'swatch', name: 'Swatch', hint: 'none in question', width: 7 },
		SWATCHES,
		({ swatch }) => swatch,
		(swatch) => ({ swatch })
	),
	...evidenceColumns
];
