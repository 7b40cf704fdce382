import { parseRoman } from '../checklist/numbers/roman.ts';
import type { EntryItem, EntryItemBody, EntryLine } from './entry-line.ts';

/** The most copies one item may log. */
export const MOST_COPIES = 10_000;
/** The longest line that is read; a longer one is refused whole. */
export const LONGEST_LINE = 20_000;

const WORD =
	/@"(?:[^"]|"")*"|@[^\s,;"]+|"(?:[^"]|"")*"(?:\s*[x×]\s*\d+)?|[^\s,;"]+(?:\s*[–—]\s*|\s+-\s+|\s+to\s+)[^\s,;"]+(?:\s+[x×]\s*\d+)?|[^\s,;"]+(?:(?<=[\d*]\p{L}{0,2})(?<!\/\d{1,7})(?<!(?:^|[\s,;])[x×]\d{1,9})\s+[x×]\s*\d+(?=[\s,;]|$))?|"|[,;]+/giu;
const WHOLE = /^\s*(?:all|everything)(?=[\s:,;]|$)(\s+(?:but|except)(?=[\s:,;]|$))?[\s:,;]*/iu;
/** From one letter to another, where letters are the numbers of cards. */
const LETTERS = /^(\p{L})-(\p{L})$/u;
const QUANTITY = /^(.*?)\s*[x×]\s*(\d+)$/iu;

/**
 * Reads an entry line. Grammar (docs/formats.md has it with examples):
 *
 *     line     = list / "all" [ qualifiers ] / "all but" list
 *     list     = item *( separator item )      ; "," and ";" are items: they end a group
 *     item     = ( number / range / title / [ prefix ] "*" ) [ "x" quantity ] / qualifier
 *     qualifier= word / serial / "@" place / "x" quantity
 *     range    = number dash number / number "to" number
 *     title    = DQUOTE text DQUOTE
 *     separator= spaces [ "," / ";" ]
 *
 * Never fails: what it cannot read becomes an item of kind `unknown` with its place and reason.
 */
export function parseEntryLine(text: string): EntryLine {
	if (text.length > LONGEST_LINE) {
		const reason = `the line is longer than ${LONGEST_LINE} characters`;
		const body = { kind: 'unknown', text: '', reason, quantity: 1 } as const;
		return { form: 'list', items: [{ ...body, start: 0, end: text.length }] };
	}
	const whole = WHOLE.exec(text);
	const begin = whole?.[0].length ?? 0;
	const items: EntryItem[] = [];
	for (const match of text.slice(begin).matchAll(WORD)) {
		const start = begin + match.index;
		const place = { start, end: start + match[0].length };
		if (!/^[,;]/.test(match[0])) items.push({ ...readItem(match[0]), ...place });
		else if (items.length > 0 && items.at(-1)?.kind !== 'break') {
			items.push({ kind: 'break', quantity: 1, ...place });
		}
	}
	if (items.at(-1)?.kind === 'break') items.pop();
	return { form: whole === null ? 'list' : whole[1] === undefined ? 'all' : 'all-but', items };
}

function readItem(word: string): EntryItemBody {
	if (word.startsWith('@')) {
		const place = (/^@"(.*)"$/s.exec(word)?.[1] ?? word.slice(1)).replaceAll('""', '"');
		return place.trim() === ''
			? unknown(word, 'the place has no name')
			: { kind: 'place', place, quantity: 1 };
	}
	const [, times] = /^[x×](\d+)$/iu.exec(word) ?? [];
	if (times !== undefined) {
		const quantity = Number(times);
		return quantity >= 1 && quantity <= MOST_COPIES
			? { kind: 'times', quantity }
			: unknown(word, `a quantity goes from 1 to ${MOST_COPIES}`);
	}
	if (/^\d{1,7}\/\d{1,7}$/.test(word)) return { kind: 'serial', serial: word, quantity: 1 };
	const counted = QUANTITY.exec(word);
	if (counted?.[1] && endsName(counted[1], word)) {
		const quantity = Number(counted[2]);
		if (quantity < 1 || quantity > MOST_COPIES) {
			return unknown(word, `a quantity goes from 1 to ${MOST_COPIES}`);
		}
		return readName(counted[1], quantity);
	}
	return readName(word, 1);
}

/** Whether what stands before an x may be a whole name: it ends in digits, a quote, or is a roman numeral. */
function endsName(name: string, word: string): boolean {
	if (/(?:\d\p{L}{0,2}|["*])$/u.test(name)) return true;
	const last = name.split(/[-–—\s]/).at(-1) ?? '';
	return parseRoman(last) !== null && !/X\s*\d+$/.test(word);
}

function readName(word: string, quantity: number): EntryItemBody {
	if (word.startsWith('"')) {
		const title = word.length > 1 && word.endsWith('"') ? word.slice(1, -1) : null;
		if (title === null) return unknown(word, 'the closing quotation mark is missing');
		if (title.trim() === '') return unknown(word, 'the title is empty');
		return { kind: 'title', title: title.replaceAll('""', '"'), quantity };
	}
	const [, prefix] = /^(\p{L}{0,8}-?)\*$/u.exec(word) ?? [];
	if (prefix !== undefined) return { kind: 'all-of', prefix, quantity };
	const dashed = /^(\S+?)\s*(?:[–—]|\s-\s|\sto\s)\s*(\S+)$/iu.exec(word);
	if (dashed?.[1] && dashed[2]) return range(word, dashed[1], dashed[2], false, quantity);
	const hyphen = splittingHyphen(word);
	if (hyphen >= 0)
		return range(word, word.slice(0, hyphen), word.slice(hyphen + 1), true, quantity);
	const [, first, last] = LETTERS.exec(word) ?? [];
	if (first && last) return { kind: 'range', from: first, to: last, hyphen: true, quantity };
	if (isNumber(word)) return { kind: 'number', number: word, quantity };
	return /^\p{L}[\p{L}\p{M}'’&.-]*$/u.test(word)
		? { kind: 'word', text: word, quantity: 1 }
		: unknown(word, 'this is no card number');
}

function range(
	word: string,
	from: string,
	to: string,
	hyphen: boolean,
	quantity: number
): EntryItemBody {
	const isRun = [from, to].every((end) => isNumber(end) || /^\p{L}$/u.test(end));
	return isRun
		? { kind: 'range', from, to, hyphen, quantity }
		: unknown(word, 'a range needs a number on both sides');
}

/** The hyphen that stands for "to": digits on both sides; of several the middle one ("2-1-2-18"). */
function splittingHyphen(word: string): number {
	const hyphens = [...word.matchAll(/-/g)]
		.map((match) => match.index)
		.filter((at) => [word.slice(0, at), word.slice(at + 1)].every(isNumberLike));
	return hyphens[Math.floor((hyphens.length - 1) / 2)] ?? -1;
}

function isNumberLike(text: string): boolean {
	return /\d/.test(text) || parseRoman(text) !== null;
}

function isNumber(word: string): boolean {
	return (
		parseRoman(word) !== null ||
		(/^(?=.*\d)[\p{L}\p{N}.-]{1,24}$/u.test(word) && !/^-|-$/.test(word))
	);
}

function unknown(text: string, reason: string): EntryItemBody {
	return { kind: 'unknown', text, reason, quantity: 1 };
}
