import type { HoldingFields, HoldingRow } from '../../core/holdings/holding-row.ts';
import type { unmatchedRows } from '../database/tables/index.ts';

/** Fields of a kept row that are numbers. */
const NUMBERS = ['quantity', 'grade', 'costMinor', 'valueMinor'];
/** Those that say which card it is. */
const NAMES = ['year', 'maker', 'set', 'section', 'number', 'subject', 'parallel', 'attributes'];

type KeptRow = Pick<typeof unmatchedRows.$inferSelect, 'line' | 'fields'>;

/** What a kept row says of its copy, beside which card it is. */
export function keptFields({ fields }: KeptRow): HoldingFields {
	const said = Object.fromEntries(
		Object.entries(fields)
			.filter(([name]) => !NAMES.includes(name))
			.map(([name, text]) => [name, NUMBERS.includes(name) ? Number(text) : text])
	) as Partial<HoldingFields>;
	return { ...said, quantity: said.quantity ?? 1 };
}

/** The words that a kept row says of its copy. */
export function keptAttributes({ fields }: KeptRow): readonly string[] {
	return (fields['attributes'] ?? '').split('; ').filter(Boolean);
}

/** A kept row as it stood in its list. */
export function holdingRowOf(row: KeptRow): HoldingRow {
	const text = (name: string) => row.fields[name] ?? '';
	return {
		line: row.line,
		year: text('year'),
		maker: text('maker'),
		set: text('set'),
		section: text('section'),
		number: text('number'),
		subject: text('subject'),
		parallel: text('parallel'),
		attributes: keptAttributes(row),
		fields: keptFields(row)
	};
}
