import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import { CARD_MARKS } from '../../checklist/card.ts';
import { SECTION_KINDS } from '../../checklist/section.ts';
import { formatListCell, parseListCell } from '../../checklist/list-cell.ts';
import { COPY_STATUSES } from '../../copies/copy-record.ts';
import { formatAmount, parseAmount } from '../../money/amount.ts';
import type { ClassRule, ClassTest } from './storage-class.ts';

/**
 * Storage classes as people write them, a line each, in the order in which they are tried:
 *
 *     line  = name ":" "all" / name ":" test *( " and " test )
 *     test  = list-word words          ; one of them: subject, group, release, maker, section kind, mark,
 *                                      ; finish, status, attribute
 *           / "tag" family "=" words
 *           / "from" year / "to" year
 *           / "worth" amount           ; so much or more: "worth 20.00 EUR"
 *           / [ "not" ] ( "variant" / "numbered" / "graded" )
 *     words = word *( ";" word )       ; as in the cells of a table
 *
 * " and " inside a word, before what would begin a test, is written " \and ".
 */
export function formatClassLine({ name, where }: ClassRule): string {
	const tests = [
		...LISTS.flatMap(({ word, field }) => {
			const words = where[field];
			return words ? [`${word} ${formatListCell(words)}`] : [];
		}),
		...Object.entries(where.tags ?? {}).map(
			([family, words]) => `tag ${family} = ${formatListCell(words)}`
		),
		...(where.fromYear === undefined ? [] : [`from ${where.fromYear}`]),
		...(where.toYear === undefined ? [] : [`to ${where.toYear}`]),
		...(where.leastValueMinor === undefined
			? []
			: [
					`worth ${formatAmount({ minor: where.leastValueMinor, currency: where.currency ?? USUAL_MONEY })}`
				]),
		...FLAGS.flatMap(({ word, field }) => {
			const wanted = where[field];
			return wanted === undefined ? [] : [wanted ? word : `not ${word}`];
		})
	];
	const written = tests.map((test) => test.replace(LIKE_BETWEEN, ' \\and '));
	return `${name}: ${written.join(' and ') || 'all'}`;
}

/** Reads lines of storage classes; empty ones are passed over. All problems at once, with their line, from 1. */
export function parseClassLines(text: string): Outcome<readonly ClassRule[]> {
	const problems: Problem[] = [];
	const rules = text.split(/\r?\n/).flatMap((line, i): ClassRule[] => {
		if (line.trim() === '') return [];
		const outcome = parseClassLine(line);
		if (outcome.ok) return [outcome.value];
		problems.push(...outcome.problems.map((problem) => ({ ...problem, line: i + 1 })));
		return [];
	});
	return problems.length > 0 ? bad(problems) : good(rules);
}

function parseClassLine(line: string): Outcome<ClassRule> {
	const [, name = '', said = ''] = /^([^:]*):(.*)$/.exec(line) ?? [];
	if (name.trim() === '') {
		const remedy = 'Write its name, a colon and what it asks for: Ada: subject Ada Hale';
		return bad([{ message: 'this is no storage class', remedy }]);
	}
	if (said.trim() === 'all') return good({ name: name.trim(), where: {} });
	const problems: Problem[] = [];
	let where: ClassTest = {};
	for (const part of said.split(BETWEEN_TESTS)) {
		const test = part.replaceAll(' \\and ', ' and ');
		const read = parseTest(test.trim());
		if (!read.ok) problems.push(...read.problems);
		else {
			const [field] = Object.keys(read.value);
			const isTwice = field !== 'tags' && field !== undefined && Object.hasOwn(where, field);
			if (isTwice)
				problems.push({
					message: `"${test.trim()}" asks for the same again`,
					remedy: 'Put both into one list.'
				});
			where = {
				...where,
				...read.value,
				...(where.tags || read.value.tags ? { tags: { ...where.tags, ...read.value.tags } } : {})
			};
		}
	}
	return problems.length > 0 ? bad(problems) : good({ name: name.trim(), where });
}

function parseTest(test: string): Outcome<ClassTest> {
	const flag = /^(not )?(\w+)$/.exec(test);
	const flagField = FLAGS.find(({ word }) => word === flag?.[2])?.field;
	if (flagField) return good({ [flagField]: flag?.[1] === undefined });
	const list = LISTS.find(({ word }) => test.startsWith(`${word} `));
	if (list) {
		const words = parseListCell(test.slice(list.word.length));
		const strange = words.filter((word) => list.among && !list.among.includes(word));
		if (words.length === 0 || strange.length > 0) {
			const message =
				words.length === 0
					? `"${test}" names nothing`
					: `there is no ${list.word} "${strange[0] ?? ''}"`;
			const remedy = list.among
				? `Use: ${list.among.join(', ')}.`
				: 'Write one or several, with ; between.';
			return bad([{ message, remedy }]);
		}
		return good({ [list.field]: words });
	}
	const tag = /^tag ([^=]+)=(.*)$/.exec(test);
	if (tag?.[1] !== undefined && tag[1].trim() !== '') {
		const words = parseListCell(tag[2] ?? '');
		if (words.length > 0) return good({ tags: Object.fromEntries([[tag[1].trim(), words]]) });
	}
	const year = /^(from|to) (\d{4})$/.exec(test);
	if (year) return good({ [year[1] === 'from' ? 'fromYear' : 'toYear']: Number(year[2]) });
	if (test.startsWith('worth ')) {
		const spoken = parseAmount(test.slice(6), null);
		const amount = spoken.ok ? spoken : parseAmount(test.slice(6), USUAL_MONEY);
		if (!amount.ok) return amount;
		return good({ leastValueMinor: amount.value.minor, currency: amount.value.currency });
	}
	const words = [
		...LISTS.map(({ word }) => word),
		'tag',
		'from',
		'to',
		'worth',
		...FLAGS.map(({ word }) => word)
	];
	return bad([
		{ message: `"${test}" is not understood`, remedy: `Begin with: ${words.join(', ')}.` }
	]);
}

/** What amounts without a currency are in. */
const USUAL_MONEY = 'EUR';

type ListField =
	| 'subjects'
	| 'groups'
	| 'releases'
	| 'makers'
	| 'sectionKinds'
	| 'marks'
	| 'finishes'
	| 'statuses'
	| 'attributes';
const LISTS: readonly {
	readonly word: string;
	readonly field: ListField;
	readonly among?: readonly string[];
}[] = [
	{ word: 'subject', field: 'subjects' },
	{ word: 'group', field: 'groups' },
	{ word: 'release', field: 'releases' },
	{ word: 'maker', field: 'makers' },
	{ word: 'section kind', field: 'sectionKinds', among: SECTION_KINDS },
	{ word: 'mark', field: 'marks', among: CARD_MARKS },
	{ word: 'finish', field: 'finishes' },
	{ word: 'status', field: 'statuses', among: COPY_STATUSES },
	{ word: 'attribute', field: 'attributes' }
];
const FLAGS = [
	{ word: 'variant', field: 'isVariant' },
	{ word: 'numbered', field: 'isNumbered' },
	{ word: 'graded', field: 'isGraded' }
] as const;
/** "and" before a word that begins a test; within a name it is a part of it. */
const BETWEEN_TESTS = new RegExp(
	` and (?=(?:${[...LISTS.map(({ word }) => word), 'tag', 'worth'].join('|')}) |(?:from|to) \\d|(?:not )?(?:${FLAGS.map(({ word }) => word).join('|')})(?: and |\\s*$))`,
	'g'
);
/** The same wherever it might be taken for one, whatever comes behind. */
const LIKE_BETWEEN = new RegExp(
	` and (?=(?:${[...LISTS.map(({ word }) => word), ...FLAGS.map(({ word }) => word), 'tag', 'worth', 'from', 'to', 'not'].join('|')})\\b)`,
	'g'
);
