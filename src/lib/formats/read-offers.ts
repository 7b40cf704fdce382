import { parsePriceBreaks } from '../core/buying/offers/parse-price-breaks.ts';
import type { OfferRow } from '../core/buying/offers/match-offers.ts';
import { parseListCell } from '../core/checklist/list-cell.ts';
import { conditionOf } from '../core/copies/condition-word.ts';
import { bad, formatProblem, good, type Outcome, type Problem } from '../core/problem.ts';
import { parseAmount } from '../core/money/amount.ts';
import { HOLDING_SYNONYMS } from './holdings-columns.ts';
import { openTable } from './open-table.ts';
import { guessNames, type Table } from './table.ts';

/** The columns of a seller's list. */
export const OFFER_COLUMNS = [
	...['year', 'maker', 'set', 'section', 'number', 'subject', 'parallel', 'attributes'],
	...['quantity', 'condition', 'grade', 'graded by', 'price', 'lots', 'note']
] as const;
export type OfferColumn =
	| ('year' | 'maker' | 'set' | 'section' | 'number' | 'subject' | 'parallel' | 'attributes')
	| ('quantity' | 'condition' | 'grade' | 'graded by' | 'price' | 'lots' | 'note');
const isOfferColumn = (word: string): word is OfferColumn =>
	(OFFER_COLUMNS as readonly string[]).includes(word);

/** What people call these columns: as in a list of holdings, but that money is what is asked. */
const SYNONYMS: Readonly<Record<string, OfferColumn>> = {
	...Object.fromEntries(
		Object.entries(HOLDING_SYNONYMS).flatMap(([word, column]) =>
			isOfferColumn(column) ? [[word, column]] : []
		)
	),
	...{ each: 'price', asking: 'price', cost: 'price', value: 'price', 'price each': 'price' },
	...{ 'unit price': 'price', breaks: 'lots', 'price breaks': 'lots', bulk: 'lots' },
	...{ stock: 'quantity', available: 'quantity', cond: 'condition', state: 'condition' }
};

/** How a seller's list is to be read; left out, the first sheet and guessed columns. */
export interface OffersChoice {
	readonly sheet?: string;
	readonly columns?: readonly (OfferColumn | null)[];
	/** What the seller sells in. */
	readonly currency: string;
	/** The release that a row is of which names none. */
	readonly usualSet: string;
}

/** How a seller's list was read, so that a person can choose otherwise. */
export interface OffersReading {
	readonly outcome: Outcome<readonly OfferRow[]>;
	readonly table: {
		readonly sheets: readonly string[];
		readonly sheet: string | null;
		readonly header: readonly string[];
		readonly columns: readonly (OfferColumn | null)[];
	} | null;
}

/** The most rows that are read at once. */
const MOST_OFFERS = 50_000;

/** Reads a seller's list from XLSX or CSV, a row an offer. What of a row is not understood is said of that row. */
export async function readOffers(bytes: Uint8Array, choice: OffersChoice): Promise<OffersReading> {
	const opened = await openTable(bytes, choice.sheet);
	if (!opened.ok) return { outcome: opened, table: null };
	const { table, sheets, sheet } = opened.value;
	const guess = guessNames(table.header, OFFER_COLUMNS as readonly OfferColumn[], SYNONYMS);
	const columns = choice.columns?.length === guess.length ? choice.columns : guess;
	const reading = { sheets, sheet, header: table.header, columns };
	const problems = problemsOf(table, columns);
	if (problems.length > 0) return { outcome: bad(problems), table: reading };
	return {
		outcome: good(table.rows.map((row) => rowOf(row, columns, choice))),
		table: reading
	};
}

function problemsOf(
	{ rows, headerLine: line }: Table,
	columns: readonly (OfferColumn | null)[]
): readonly Problem[] {
	const problems: Problem[] = [];
	const remedy = 'Choose which column holds it.';
	if (!columns.includes('number') && !columns.includes('subject')) {
		problems.push({ line, message: 'there is neither a number nor a subject', remedy });
	}
	if (!columns.includes('price')) {
		problems.push({ line, message: 'no column says what a card costs', remedy });
	}
	if (rows.length === 0) problems.push({ line, message: 'there is no row below the header' });
	if (rows.length > MOST_OFFERS) {
		problems.push({ message: `the file has ${rows.length} rows`, remedy: 'Split it.' });
	}
	return problems;
}

function rowOf(
	{ line, cells }: Table['rows'][number],
	columns: readonly (OfferColumn | null)[],
	{ currency, usualSet }: OffersChoice
): OfferRow {
	const cell = (name: OfferColumn) => (cells[columns.indexOf(name)] ?? '').trim();
	const wrong: string[] = [];
	const price = parseAmount(cell('price'), currency);
	if (!price.ok)
		wrong.push(
			cell('price') === '' ? 'it has no price' : price.problems.map(formatProblem).join(' ')
		);
	const lots = cell('lots') === '' ? good([]) : parsePriceBreaks(cell('lots'), currency);
	if (!lots.ok) wrong.push(lots.problems.map(formatProblem).join(' '));
	const quantity = cell('quantity') === '' ? 1 : Number(cell('quantity'));
	const isCount = Number.isInteger(quantity) && quantity >= 1 && quantity <= 10_000;
	if (!isCount) wrong.push(`"${cell('quantity')}" is no number of cards`);
	const grade = cell('grade') === '' ? undefined : Number(cell('grade').replace(',', '.'));
	const isGrade = grade === undefined || (grade >= 1 && grade <= 10 && (2 * grade) % 1 === 0);
	if (!isGrade) wrong.push(`"${cell('grade')}" is no grade`);
	const condition = conditionOf(cell('condition')) ?? undefined;
	if (cell('condition') !== '' && condition === undefined && isGrade && grade === undefined) {
		wrong.push(`"${cell('condition')}" is no condition`);
	}
	return {
		line,
		wrong: wrong.join('; '),
		breaks: price.ok && lots.ok ? [{ count: 1, minor: price.value.minor }, ...lots.value] : [],
		card: {
			...{ line, year: cell('year'), maker: cell('maker'), set: cell('set') || usualSet },
			...{ section: cell('section'), number: cell('number'), subject: cell('subject') },
			parallel: cell('parallel'),
			attributes: parseListCell(cell('attributes').replace(/\s*,\s*/g, ';')),
			fields: {
				quantity: isCount ? quantity : 1,
				condition,
				grade: isGrade ? grade : undefined,
				house: cell('graded by') || undefined,
				note: cell('note') || undefined
			}
		}
	};
}
