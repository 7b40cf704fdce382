import { bad, good } from '../../problem.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import { formatOdds } from '../odds.ts';
import { VARIANT_KIND_NAMES, type Variant, type VariantFinish } from '../variant.ts';
import {
	choiceColumn,
	countColumn,
	nameOf,
	namesColumn,
	readNames,
	textColumn,
	type Column
} from './column.ts';
import { tellsColumn } from './tell-cell.ts';
import { cardsColumn, evidenceColumns, oddsColumn, sectionsColumn } from './shared-columns.ts';

/** Its run and odds in parallels: "Brass /25 (hobby 1:96); First Beam /5". */
const finishesColumn: Column<Variant> = {
	key: 'finishes',
	name: 'Run by finish',
	hint: 'Brass /25 (hobby 1:96)',
	width: 14,
	write: ({ finishes = [] }, { parallels }) =>
		formatListCell(
			finishes.map(({ parallel, printRun, odds = [] }) => {
				const name = nameOf(parallels, parallel);
				// A name that ends as a run does would be read as one.
				const called = /(\/\s*\d+|\))$/.test(name) ? parallel : name;
				const run = printRun === undefined ? '' : ` /${printRun}`;
				const packs = odds.map((each) => `${each.packType} ${formatOdds(each)}`).join(', ');
				return `${called}${run}${packs ? ` (${packs})` : ''}`;
			})
		),
	read: (text, names) => {
		const finishes: VariantFinish[] = [];
		for (const entry of parseListCell(text)) {
			const [, name = '', run, packs] =
				/^(.*?)(?:\s*\/\s*([1-9]\d{0,7}))?(?:\s*\(([^()]*)\))?$/.exec(entry) ?? [];
			const parallel = readNames(formatListCell([name]), names.parallels);
			if (!parallel.ok) return parallel;
			const odds = oddsColumn.read(formatListCell(packs?.split(',') ?? []), names);
			if (!odds.ok) return odds;
			const [key] = parallel.value;
			if (key === undefined) continue;
			finishes.push({
				parallel: key,
				...(run ? { printRun: Number(run) } : {}),
				...odds.value
			});
		}
		return good(finishes.length > 0 ? { finishes } : {});
	}
};

/** How many of its kind are believed to exist: "6–8", or "6". */
const believedColumn: Column<Variant> = {
	key: 'believed',
	name: 'Believed to exist',
	hint: '6–8',
	width: 7,
	write: ({ believed }) =>
		believed ? `${believed.least}${believed.most === undefined ? '' : `–${believed.most}`}` : '',
	read: (text) => {
		if (text === '') return good({});
		const [, least, most] = /^([1-9]\d{0,6})(?:\s*[–-]\s*([1-9]\d{0,6}))?$/.exec(text) ?? [];
		return least
			? good({ believed: { least: Number(least), ...(most ? { most: Number(most) } : {}) } })
			: bad([{ message: `"${text}" is no number`, remedy: 'Write 6, or 6–8.' }]);
	}
};

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
		{ key: 'regularName', name: 'Beside', hint: 'what the regular card is called', width: 9 },
		({ regularName }) => regularName,
		(regularName) => ({ regularName })
	),
	textColumn(
		{ key: 'howToTell', name: 'How to tell', hint: 'what to look for', width: 20 },
		({ howToTell }) => howToTell,
		(howToTell) => ({ howToTell })
	),
	tellsColumn(),
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
	finishesColumn,
	believedColumn,
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
