import { formatQuality, parseQuality, type LabelledQuality } from '../core/copies/quality-label.ts';
import { bad, good, type Outcome, type Problem } from '../core/problem.ts';
import { isDay } from './is-day.ts';
import { openTable } from './open-table.ts';
import { guessNames } from './table.ts';

/** What a table of values by card and grade may say besides its grades. */
const GRADED_COLUMNS = [
	...['card', 'parallel', 'variant', 'grade', 'condition', 'house', 'value', 'low', 'high'],
	...['currency', 'kind', 'on', 'source', 'total', 'reason']
] as const;
type GradedColumn = (typeof GRADED_COLUMNS)[number];

const SYNONYMS: Readonly<Record<string, GradedColumn>> = {
	...{ number: 'card', no: 'card', '#': 'card', 'card number': 'card', nr: 'card' },
	...{ finish: 'parallel', colour: 'parallel', variation: 'variant', error: 'variant' },
	...{ price: 'value', amount: 'value', count: 'value', copies: 'value', population: 'value' },
	...{ from: 'low', to: 'high', 'graded by': 'house', grader: 'house', company: 'house' },
	...{ date: 'on', day: 'on', sold: 'on', where: 'source', seller: 'source', sum: 'total' },
	...{ cond: 'condition', state: 'condition', sort: 'kind', type: 'kind', note: 'reason' }
};

/** One value of a card: a price, or how many were graded. */
export interface GradedValue {
	/** Where it stands. */
	readonly line: number;
	readonly field: string;
	/** The card as the entry line names it: "27 Brass". */
	readonly card: string;
	readonly quality: LabelledQuality;
	/** As it stands there: "4–4.50". */
	readonly text: string;
	readonly house: string | null;
	readonly currency: string | null;
	readonly kind: string | null;
	/** ISO 8601 date; null: not said. */
	readonly on: string | null;
	readonly source: string | null;
	/** The sum that stands in the row; null: none. */
	readonly total: string | null;
	readonly reason: string | null;
}

/** The most values that are read at once. */
const MOST_VALUES = 50_000;

/**
 * Reads a table of values by card and grade, from CSV or XLSX: long (a row a value, with a column for the grade or
 * condition) or wide (a row a card, a column for each grade, headed "8", "Grade 8.5", "near mint", "authentic"). Empty cells
 * say nothing. All problems at once, with row and column.
 */
export async function readGradedTable(bytes: Uint8Array): Promise<Outcome<readonly GradedValue[]>> {
	const opened = await openTable(bytes, undefined);
	if (!opened.ok) return opened;
	const { header, headerLine, rows } = opened.value.table;
	const columns = guessNames<GradedColumn>(header, GRADED_COLUMNS, SYNONYMS);
	const wide = header.flatMap((name, i) => {
		const quality = columns[i] === null ? parseQuality(name) : null;
		return quality?.ok ? [{ i, name: name.trim(), quality: quality.value }] : [];
	});
	const problems: Problem[] = [];
	const tell = (line: number, message: string, remedy: string, field?: string) => {
		problems.push({ line, message, remedy, ...(field === undefined ? {} : { field }) });
	};
	const has = (column: GradedColumn) => columns.includes(column);
	if (!has('card')) {
		tell(headerLine, 'no column names the card', 'Head one "card": 27, or 27 Brass.');
	}
	if (wide.length === 0 && !has('value') && !has('low')) {
		const remedy = 'Head one "price" or "count", or one for each grade: 8, 8.5, near mint.';
		tell(headerLine, 'no column holds a value', remedy);
	}
	if (wide.length > 0 && (has('value') || has('grade') || has('condition'))) {
		const remedy = 'A row a value with a column for its grade, or a column for each grade.';
		tell(headerLine, 'the table is long and wide at once', remedy);
	}
	const twice = wide.filter(({ quality }, i) =>
		wide.slice(0, i).some((other) => formatQuality(other.quality) === formatQuality(quality))
	);
	for (const { name } of twice) {
		tell(headerLine, `the column "${name}" stands twice`, 'Keep one of them.');
	}
	for (const [i, name] of header.entries()) {
		if (columns[i] !== null || name.trim() === '' || wide.some((each) => each.i === i)) continue;
		const remedy = `Head it by a grade, or: ${GRADED_COLUMNS.join(', ')}; or take it out.`;
		tell(headerLine, `the column "${name.trim().slice(0, 60)}" is not understood`, remedy);
	}
	if (rows.length === 0) tell(headerLine, 'there is no row below the header', 'Write some.');
	if (problems.length > 0) return bad(problems);
	const values: GradedValue[] = [];
	for (const { line, cells } of rows) {
		const cell = (name: GradedColumn) => (cells[columns.indexOf(name)] ?? '').trim();
		const card = [cell('card'), cell('parallel'), cell('variant')].filter(Boolean).join(' ');
		const on = cell('on') || null;
		if (cell('card') === '') {
			if (cells.every((each) => each.trim() === '')) continue;
			tell(line, 'it names no card', 'Write its number.', 'card');
		}
		if (on !== null && !isDay(on)) tell(line, `"${on}" is no day`, 'Write it as 1996-10-06.', 'on');
		const rest = {
			...{ line, card, on, house: cell('house') || null, currency: cell('currency') || null },
			...{ kind: cell('kind').toLowerCase() || null, source: cell('source') || null },
			...{ total: cell('total') || null, reason: cell('reason') || null }
		};
		for (const { i, name, quality } of wide) {
			const text = (cells[i] ?? '').trim();
			if (text !== '') values.push({ ...rest, field: name, quality, text });
		}
		if (wide.length > 0) continue;
		const said = cell('grade') || cell('condition');
		const quality = parseQuality(said === '' ? 'raw' : said);
		if (!quality.ok) {
			for (const { message, remedy = '' } of quality.problems) tell(line, message, remedy, 'grade');
			continue;
		}
		const [low, high] = [cell('low'), cell('high')];
		const text = cell('value') || (high === '' ? low : `${low || high} to ${high}`);
		if (text === '') tell(line, 'it has no value', 'Write it, or take the row out.', 'value');
		else values.push({ ...rest, field: 'value', quality: quality.value, text });
	}
	if (values.length > MOST_VALUES) {
		tell(headerLine, `the table has ${values.length} values`, 'Send it in parts.');
	}
	return problems.length > 0 ? bad(problems) : good(values);
}
