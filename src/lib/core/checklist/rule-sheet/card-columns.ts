import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import { ORIGIN_KINDS, type CardDetails, type Origin } from '../card-details.ts';
import { formatListCell, parseListCell } from '../list-cell.ts';
import { textColumn, type Column, type SheetNames } from './column.ts';
import {
	difficultyColumn,
	evidenceColumns,
	formatColumn,
	oddsColumn,
	onlyInColumn
} from './shared-columns.ts';

const remedyOfOrigin = `Write ${ORIGIN_KINDS.join(', ')}; which one; and when: magazine; Harbour Post 4; on 1994-05.`;

/** "magazine; Harbour Post 4; on 1994-05"; a name that reads like a date stands in quotation marks. */
const originColumn: Column<CardDetails> = {
	key: 'origin',
	name: 'Came from',
	hint: 'magazine; Harbour Post 4; on 1994-05',
	width: 16,
	write: ({ origin }) =>
		origin
			? formatListCell([
					origin.kind,
					...(origin.name === undefined
						? []
						: [/^(on\s.*|".*")$/i.test(origin.name) ? `"${origin.name}"` : origin.name]),
					...(origin.date === undefined ? [] : [`on ${origin.date}`])
				])
			: '',
	read: (text) => {
		const [word, ...rest] = parseListCell(text);
		if (word === undefined) return good({});
		const kind = ORIGIN_KINDS.find((known) => known === word.toLowerCase());
		const dates = rest.flatMap((part) => /^on\s+(\d{4}(?:-\d{2}){0,2})$/i.exec(part)?.[1] ?? []);
		const names = rest.filter((part) => !/^on\s/i.test(part));
		const isRead =
			names.length <= 1 && dates.length <= 1 && dates.length + names.length === rest.length;
		if (!kind || !isRead) {
			return bad([
				{ message: `"${text}" does not say where a card came from`, remedy: remedyOfOrigin }
			]);
		}
		const [name] = names.map((part) => part.replace(/^"(.*)"$/, '$1'));
		const [date] = dates;
		const origin: Origin = {
			kind,
			...(name === undefined ? {} : { name }),
			...(date === undefined ? {} : { date })
		};
		return good({ origin });
	}
};

/** "role: keeper; role: mate; school: Marram Point"; a colon in a family is written "\:". */
const tagsColumn: Column<CardDetails> = {
	key: 'tags',
	name: 'Tags',
	hint: 'role: keeper; school: Marram Point',
	width: 16,
	write: ({ tags = {} }) =>
		formatListCell(
			Object.entries(tags).flatMap(([family, words]) =>
				words.map((word) => `${family.replace(/[\\:]/g, '\\$&')}: ${word}`)
			)
		),
	read: (text) => {
		const tags = new Map<string, string[]>();
		for (const entry of parseListCell(text)) {
			const [, family = '', word = ''] = /^((?:\\.|[^\\:])+):\s*(.+)$/s.exec(entry) ?? [];
			if (family === '') {
				const remedy = 'Write the family and the word: role: keeper.';
				return bad([{ message: `"${entry}" is no tag of a family`, remedy }]);
			}
			const name = family.replace(/\\(.)/g, '$1').trim();
			tags.set(name, [...(tags.get(name) ?? []), word]);
		}
		return good(tags.size > 0 ? { tags: Object.fromEntries(tags) } : {});
	}
};

function listColumn(
	head: Pick<Column<CardDetails>, 'key' | 'name' | 'hint' | 'width'>,
	field: 'fixedProducts' | 'sameAs' | 'samePictureAs'
): Column<CardDetails> {
	return {
		...head,
		write: (card) => formatListCell(card[field] ?? []),
		read: (text) => {
			const entries = parseListCell(text);
			return good(entries.length > 0 ? { [field]: entries } : {});
		}
	};
}

/** What is known of a card beside its line of the checklist, a column a field. */
export const CARD_COLUMNS: readonly Column<CardDetails>[] = [
	textColumn(
		{ key: 'note', name: 'Note', hint: 'what is special about it', width: 16 },
		({ note }) => note,
		(note) => ({ note })
	),
	originColumn,
	listColumn(
		{ key: 'fixedProducts', name: 'Fixed products', hint: 'Lighthouse tin 1995', width: 14 },
		'fixedProducts'
	),
	onlyInColumn,
	tagsColumn,
	textColumn(
		{ key: 'sortAs', name: 'Sort as', hint: 'a surname', width: 10 },
		({ sortAs }) => sortAs,
		(sortAs) => ({ sortAs })
	),
	formatColumn,
	oddsColumn,
	difficultyColumn,
	listColumn(
		{ key: 'sameAs', name: 'Same as', hint: 'harbour-lights-1995/base-3', width: 14 },
		'sameAs'
	),
	listColumn(
		{
			key: 'samePictureAs',
			name: 'Same picture as',
			hint: 'harbour-lights-1995/base-3',
			width: 14
		},
		'samePictureAs'
	),
	...evidenceColumns
];

/** What is known of a card, as cells by the keys of the columns. */
export function writeCardRecord(
	card: CardDetails,
	names: SheetNames
): Readonly<Record<string, string>> {
	return Object.fromEntries(CARD_COLUMNS.map((column) => [column.key, column.write(card, names)]));
}

/**
 * Reads cells over what is known of a card: a cell that is not there leaves its field as it is, an empty one
 * takes it away. Every cell that is not understood, and every column that is not known, is a problem.
 */
export function readCardRecord(
	card: CardDetails,
	cells: Readonly<Record<string, string>>,
	names: SheetNames
): Outcome<CardDetails> {
	const problems: Problem[] = Object.keys(cells)
		.filter((key) => !CARD_COLUMNS.some((column) => column.key === key))
		.map((key) => ({
			field: key,
			message: 'there is no such column of a card',
			remedy: `Use ${CARD_COLUMNS.map((column) => column.key).join(', ')}.`
		}));
	let details: CardDetails = {};
	for (const column of CARD_COLUMNS) {
		const cell = Object.hasOwn(cells, column.key) ? cells[column.key] : undefined;
		const outcome = column.read((cell ?? column.write(card, names)).trim(), names);
		if (outcome.ok) details = { ...details, ...outcome.value };
		else problems.push(...outcome.problems.map((problem) => ({ ...problem, field: column.name })));
	}
	return problems.length > 0 ? bad(problems) : good(details);
}
