import { HOLDER_KEYS } from '../core/storage/kinds/holder-kind.ts';
import { CONDITIONS } from '../core/copies/condition.ts';
import { parseQuality } from '../core/copies/quality-label.ts';
import { COPY_STATUSES } from '../core/copies/copy-record.ts';
import type { HoldingFields, HoldingRow } from '../core/holdings/holding-row.ts';
import { parseListCell } from '../core/checklist/list-cell.ts';
import { bad, good, type Outcome, type Problem } from '../core/problem.ts';
import { parseAmount } from '../core/money/amount.ts';
import { HOLDING_COLUMNS, HOLDING_SYNONYMS, type HoldingColumn } from './holdings-columns.ts';
import { isDay } from './is-day.ts';
import { guessNames, type Table } from './table.ts';
import { openTable } from './open-table.ts';

/** How a table of holdings was read, so that a person can choose otherwise. */
export interface HoldingsReading {
	readonly outcome: Outcome<readonly HoldingRow[]>;
	readonly table: {
		readonly sheets: readonly string[];
		readonly sheet: string | null;
		readonly header: readonly string[];
		readonly columns: readonly (HoldingColumn | null)[];
	} | null;
}

/** How a table is to be read; left out, the first sheet and guessed columns. */
export interface HoldingsChoice {
	readonly sheet?: string;
	readonly columns?: readonly (HoldingColumn | null)[];
	/** Of amounts that name none. */
	readonly currency?: string;
	/** Keys of holders besides the usual ones. */
	readonly holders?: readonly string[];
}

/** The most rows that are read at once. */
const MOST_HOLDINGS = 200_000;

/** Reads holdings from XLSX or CSV: a row a copy, or a pile of equal ones. */
export async function readHoldings(
	bytes: Uint8Array,
	choice: HoldingsChoice = {}
): Promise<HoldingsReading> {
	const opened = await openTable(bytes, choice.sheet);
	if (!opened.ok) return { outcome: opened, table: null };
	const { table, sheets, sheet } = opened.value;
	return readTable(table, choice, sheets, sheet);
}

function readTable(
	{ header, headerLine, rows }: Table,
	choice: HoldingsChoice,
	sheets: readonly string[],
	sheet: string | null
): HoldingsReading {
	const guess = guessNames(header, HOLDING_COLUMNS, HOLDING_SYNONYMS);
	const columns = choice.columns?.length === guess.length ? choice.columns : guess;
	const reading = { sheets, sheet, header, columns };
	const lacks = (names: readonly HoldingColumn[]) => names.every((name) => !columns.includes(name));
	const problems: Problem[] = [];
	if (lacks(['set'])) {
		const remedy = 'Choose which column names the release.';
		problems.push({ line: headerLine, message: 'no column says which set a card is of', remedy });
	}
	if (lacks(['number', 'subject'])) {
		const remedy = 'Choose which column holds it.';
		problems.push({ line: headerLine, message: 'there is neither a number nor a subject', remedy });
	}
	if (rows.length === 0)
		problems.push({ line: headerLine, message: 'there is no row below the header' });
	if (rows.length > MOST_HOLDINGS) {
		problems.push({ message: `the file has ${rows.length} rows`, remedy: 'Split it.' });
	}
	if (problems.length > 0) return { outcome: bad(problems), table: reading };
	const notes: Problem[] = [];
	const read = rows.map(({ line, cells }): HoldingRow => {
		const cell = (name: HoldingColumn) => (cells[columns.indexOf(name)] ?? '').trim();
		return {
			line,
			year: cell('year'),
			maker: cell('maker'),
			set: cell('set'),
			section: cell('section'),
			number: cell('number'),
			subject: cell('subject'),
			parallel: cell('parallel'),
			attributes: parseListCell(cell('attributes').replace(/\s*,\s*/g, ';')),
			fields: fieldsOf(line, cell, choice, notes)
		};
	});
	return { outcome: good(read, notes.slice(0, 200)), table: reading };
}

/** What a row says of the copy. A cell that is not understood goes into the note, and is pointed out. */
function fieldsOf(
	line: number,
	cell: (name: HoldingColumn) => string,
	{ currency, holders = [] }: HoldingsChoice,
	notes: Problem[]
): HoldingFields {
	const strange: string[] = [];
	const misread = (field: HoldingColumn): undefined => {
		strange.push(`${field}: ${cell(field)}`);
		const remedy = 'It is kept in the note.';
		notes.push({ line, field, message: `"${cell(field)}" is not understood`, remedy });
		return undefined;
	};
	const word = <Word extends string>(field: HoldingColumn, words: readonly Word[]) => {
		const text = cell(field).toLowerCase();
		return text === '' ? undefined : (words.find((known) => known === text) ?? misread(field));
	};
	/** What the row says its amounts are in; null: nothing, so an amount may say it, or the list does. */
	const named = cell('currency').toUpperCase() || null;
	const money = named ?? (currency || 'EUR');
	let currencyIs: string | undefined;
	const amountOf = (field: HoldingColumn) => {
		if (cell(field) === '') return undefined;
		// An amount that names its currency is in that, unless the row says otherwise.
		const amount = parseAmount(cell(field), money);
		const read = amount.ok || named !== null ? amount : parseAmount(cell(field), null);
		if (!read.ok) return misread(field);
		if (currencyIs !== undefined && currencyIs !== read.value.currency) return misread(field);
		currencyIs = read.value.currency;
		return read.value.minor;
	};
	const day = (field: HoldingColumn) => {
		const text = cell(field);
		if (text === '') return undefined;
		return isDay(text) ? text : misread(field);
	};
	/** "8.5", "8 (off centre)", "authentic". */
	const graded = () => {
		if (cell('grade') === '') return {};
		const read = parseQuality(cell('grade'));
		if (read.ok && (read.value.grade !== undefined || read.value.isAuthentic)) return read.value;
		misread('grade');
		return {};
	};
	const quantity = cell('quantity') === '' ? 1 : Number(cell('quantity'));
	const isCount = Number.isInteger(quantity) && quantity >= 1 && quantity <= 10_000;
	if (!isCount) misread('quantity');
	const costMinor = amountOf('cost');
	const valueMinor = amountOf('value');
	const fields = {
		quantity: isCount ? quantity : 1,
		condition: word('condition', CONDITIONS),
		...graded(),
		house: cell('graded by') || undefined,
		certificate: cell('certificate') || undefined,
		serial: cell('serial') || undefined,
		status: word('status', COPY_STATUSES),
		costMinor,
		valueMinor,
		currency: currencyIs,
		valueSource: cell('value from') || undefined,
		valueOn: day('valued on'),
		acquiredOn: day('got on'),
		source: cell('came from') || undefined,
		place: cell('kept in') || undefined,
		holder: word('holder', [...HOLDER_KEYS, ...holders])
	};
	const note = [cell('note'), ...strange].filter(Boolean).join('; ');
	return { ...fields, note: note || undefined };
}
