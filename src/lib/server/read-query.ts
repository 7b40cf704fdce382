import type { Problem } from '../core/problem.ts';
import { rowId, type RowId } from '../core/row-id.ts';
import { parseAmount } from '../core/money/amount.ts';

/** Reads what a form asks for by the query of an address; what is misread is told, and counts as not said. */
export function readQuery(query: URLSearchParams, currency: string) {
	const misread: Problem[] = [];
	const text = (name: string) => (query.get(name) ?? '').trim();
	return {
		/** What could not be read so far. */
		misread,
		text,
		isYes: (name: string) => query.get(name) === 'yes',
		number(name: string, least: number, most: number): number | undefined {
			const said = text(name).replace(',', '.');
			if (said === '') return undefined;
			const value = Number(said);
			if (value >= least && value <= most) return value;
			const message = `"${said.slice(0, 40)}" is no number from ${least} to ${most}`;
			misread.push({ field: name, message, remedy: 'Write one, or nothing.' });
			return undefined;
		},
		/** In minor units. */
		money(name: string): number | undefined {
			if (text(name) === '') return undefined;
			const read = parseAmount(text(name), currency);
			if (read.ok) return read.value.minor;
			misread.push(...read.problems.map((problem) => ({ ...problem, field: name })));
			return undefined;
		},
		id<Table extends string>(name: string): RowId<Table> | null {
			return /^[1-9]\d{0,14}$/.test(text(name)) ? rowId<Table>(Number(text(name))) : null;
		}
	};
}
