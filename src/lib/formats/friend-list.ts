import Papa from 'papaparse';
import { parseFriendLines, type FriendLine } from '../core/pile/friend-line.ts';
import { cellAsMeant, formatCsv } from './csv-cells.ts';
import { bad, good, type Outcome, type Problem } from '../core/problem.ts';

/** What a friend's CSV calls its columns. */
const COLUMNS = {
	release: ['release', 'set', 'year and set'],
	card: ['number', 'no', 'no.', 'card', 'cards'],
	finish: ['finish', 'parallel', 'printing'],
	quantity: ['quantity', 'count', 'copies', 'how many']
} as const;

/**
 * Reads what a friend sent: lines "release: cards", or CSV with a head that names release and number (finish and
 * quantity besides). All problems at once, with their lines from 1.
 */
export function parseFriendText(
	friend: string,
	text: string
): Outcome<readonly (FriendLine & { readonly at: number; readonly isRow?: true })[]> {
	const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' }).data;
	const head = (rows[0] ?? []).map((name) => name.trim().toLowerCase());
	const column = (of: keyof typeof COLUMNS) =>
		head.findIndex((name) => (COLUMNS[of] as readonly string[]).includes(name));
	const [release, card] = [column('release'), column('card')];
	if (release < 0 || card < 0) {
		return parseFriendLines(
			text
				.split(/\r?\n/)
				.map((line) => (line.trim() === '' ? '' : `${friend}:${line}`))
				.join('\n')
		);
	}
	const [finish, quantity] = [column('finish'), column('quantity')];
	const problems: Problem[] = [];
	const lines = rows.slice(1).flatMap((row, i) => {
		const cell = (c: number) => (c < 0 ? '' : cellAsMeant(row[c] ?? '').trim());
		const count = cell(quantity) === '' ? 1 : Number(cell(quantity));
		if (!Number.isInteger(count) || count < 1 || count > 999) {
			const message = `"${cell(quantity)}" is no number of cards`;
			problems.push({ line: i + 2, message, remedy: 'Write 1 or more.' });
			return [];
		}
		const what = [cell(finish), cell(card)].filter(Boolean).join(' ');
		if (cell(release) === '' || cell(card) === '') {
			const message = 'this row names no release, or no card';
			problems.push({ line: i + 2, message, remedy: 'Fill both in, or leave it out.' });
			return [];
		}
		const line = count === 1 ? what : `${what}x${count}`;
		return [{ friend, release: cell(release), line, at: i + 2, isRow: true as const }];
	});
	return problems.length > 0 ? bad(problems) : good(lines);
}

/** A card that is looked for, as a friend is told of it. */
export interface FriendRow {
	readonly release: string;
	/** Empty: it has none, and is named by its title. */
	readonly number: string;
	readonly title: string;
	/** Finish and variant; empty: the regular card. */
	readonly printing: string;
	readonly quantity: number;
	/** The least condition; empty: any. */
	readonly condition: string;
}

/** A list for a friend as CSV (RFC 4180), one row a card; `parseFriendText` reads it. */
export const formatFriendCsv = (rows: readonly FriendRow[]): string =>
	formatCsv([
		['release', 'number', 'finish', 'quantity', 'title', 'condition'],
		...rows.map(({ release, number, title, printing, quantity, condition }) => [
			release,
			number || `"${title.replaceAll('"', '""')}"`,
			printing,
			String(quantity),
			title,
			condition
		])
	]);
