import { conditionOf } from '../../copies/condition-word.ts';
import { GRADES, type Condition } from '../../copies/condition.ts';
import type { Problem } from '../../problem.ts';
import { formatPrice, parsePrice, type Price } from '../../worth/prices/price.ts';

/** One price as it is said: which cards, how much, in which condition, and why it is so. */
export interface PricePhrase {
	/** The cards, as the entry line names them, or "all commons". */
	readonly cards: string;
	readonly price: Price;
	/** Of each card, or one sum for all of them together. */
	readonly of: 'each' | 'together';
	readonly condition?: Condition;
	/** 1 to 10 in halves */
	readonly grade?: number;
	/** Graded as genuine, without a number. */
	readonly isAuthentic?: true;
	/** Why a price is out of line: "also in a fixed product". */
	readonly reason?: string;
}

/** A phrase with its place in the line, in UTF-16 units; `start` is where its cards begin. */
export interface PlacedPhrase extends PricePhrase {
	readonly start: number;
	readonly end: number;
}

/** The longest line of prices that is read. */
export const LONGEST_PRICE_LINE = 20_000;

const PHRASE = /(?:"(?:[^"\n]|"")*"|\([^)\n]*\)?|[^;\n("]|")+/g;
const TWO_WORDS = /^(.*\S)\s+(grade\s+\d{1,2}(?:[.,]5)?|(?:near|very)\s+\p{L}+)$/isu;
const GRADED = /^(.*\S)\s+(grade\s+\d{1,2}(?:[.,]\d)?|authentic)$/isu;
const WORD = /^(.*\S)\s+(\p{L}{1,20})$/su;
const AMOUNT = String.raw`(?:[€$£¥]\s?)?\d[\d.,'’]*(?:\s?[€$£]|\s[A-Z]{3})?`;
const DASHED = new RegExp(`^(.*\\S)\\s+(${AMOUNT}\\s*[–—-]\\s*${AMOUNT})$`, 'su');
const SINGLE = new RegExp(`^(.*\\S)\\s+(${AMOUNT})$`, 'su');

/**
 * Reads a line of prices. Grammar:
 *
 *     line   = phrase *( ";" phrase )                       ; a new line parts phrases as well
 *     phrase = cards [ "grade" grade / "authentic" ] price *( "each" / "together" / condition / "grade" grade / "authentic" ) [ "(" reason ")" ]
 *     cards  = an entry line / "all" [ words ]
 *
 * "all …" is one sum for all of them unless "each" is said; other cards are priced each unless
 * "together" is. Law: parse(format(x)) = x. All problems at once, with their place.
 */
export function parsePriceLine(
	text: string,
	currency: string
): { readonly phrases: readonly PlacedPhrase[]; readonly problems: readonly Problem[] } {
	if (text.length > LONGEST_PRICE_LINE) {
		const message = `the line is longer than ${LONGEST_PRICE_LINE} characters`;
		return { phrases: [], problems: [{ message, remedy: 'Write it as several.' }] };
	}
	const phrases: PlacedPhrase[] = [];
	const problems: Problem[] = [];
	for (const match of text.matchAll(PHRASE)) {
		const body = match[0].trim();
		if (body === '') continue;
		const start = match.index + match[0].indexOf(body);
		const place = { start, end: start + body.length };
		const read = readPhrase(body, currency);
		if ('message' in read) problems.push({ ...place, ...read });
		else phrases.push({ ...read, ...place });
	}
	return { phrases, problems };
}

/**
 * Writes a phrase so that `parsePriceLine` reads it back.
 *
 * @example formatPricePhrase({ cards: '5', price: { lowMinor: 2400, highMinor: 2400 }, of: 'each', condition: 'near mint' }, 'EUR') // '5 24.00 near mint'
 */
export function formatPricePhrase(phrase: PricePhrase, currency: string): string {
	const { cards, price, of, condition, grade, isAuthentic, reason } = phrase;
	const isUsual = of === (isAll(cards) ? 'together' : 'each');
	return [
		cards,
		formatPrice(price, currency),
		isUsual ? '' : of,
		condition ?? '',
		grade === undefined ? '' : `grade ${grade}`,
		isAuthentic ? 'authentic' : '',
		reason === undefined ? '' : `(${reason})`
	]
		.filter(Boolean)
		.join(' ');
}

/** Whether cards are named as a group: "all", "all commons". */
export function isAll(cards: string): boolean {
	return /^all(?=\s|$)/i.test(cards);
}

function readPhrase(
	body: string,
	currency: string
): PricePhrase | Pick<Problem, 'message' | 'remedy'> {
	const [, before = '', reasoned] = /^(.*?)\s*\(([^()]*)\)$/s.exec(body) ?? ['', body];
	const reason = reasoned?.trim() ?? '';
	if (/[()]/.test(before.replace(/"(?:[^"]|"")*"/g, ''))) {
		return { message: 'a bracket is not closed', remedy: 'Write the reason last: (reason).' };
	}
	let rest = before.trim();
	const said: {
		of?: PricePhrase['of'];
		condition?: Condition;
		grade?: number;
		isAuthentic?: true;
	} = {};
	for (;;) {
		const [, left, word = ''] = TWO_WORDS.exec(rest) ?? WORD.exec(rest) ?? [];
		if (left === undefined) break;
		const small = word.toLowerCase();
		const condition = conditionOf(small);
		const grade = /^grade\s+(.*)$/.exec(small)?.[1]?.replace(',', '.');
		if (small === 'each' || small === 'together') {
			if (said.of) return twice(word);
			said.of = small;
		} else if (grade !== undefined) {
			if (said.grade ?? said.isAuthentic) return twice(word);
			if (!GRADES.includes(Number(grade))) {
				return { message: `"${word}" is no grade`, remedy: 'Grades go from 1 to 10 in halves.' };
			}
			said.grade = Number(grade);
		} else if (small === 'authentic') {
			if (said.isAuthentic ?? said.grade) return twice(word);
			said.isAuthentic = true;
		} else if (condition !== null) {
			if (said.condition) return twice(word);
			said.condition = condition;
		} else if (/^[A-Z]{3}$/.test(word)) break;
		else if (!SINGLE.test(left)) return lacks(rest);
		else {
			return {
				message: `"${word}" is said behind the price, and means no condition`,
				remedy: 'Write: cards, price, condition, (reason).'
			};
		}
		rest = left.trimEnd();
	}
	const [, named, amount] = DASHED.exec(rest) ?? SINGLE.exec(rest) ?? [];
	// "27 grade 8 40": people also say the grade with the card.
	const [, bare, gradedAs] = GRADED.exec(named ?? '') ?? [];
	const cards = bare ?? named;
	if (gradedAs !== undefined) {
		if (said.grade ?? said.isAuthentic) return twice(gradedAs);
		const number = Number(/\d.*/.exec(gradedAs)?.[0].replace(',', '.'));
		if (gradedAs.toLowerCase() === 'authentic') said.isAuthentic = true;
		else if (GRADES.includes(number)) said.grade = number;
		else
			return { message: `"${gradedAs}" is no grade`, remedy: 'Grades go from 1 to 10 in halves.' };
	}
	if (cards === undefined || amount === undefined) {
		return /(?:^|\s)-\s?\d/.test(rest)
			? { message: 'a price is below nothing', remedy: 'It is 0 or more.' }
			: { message: `"${clip(rest)}" lacks cards or a price`, remedy: 'Write both: 5 24 nm.' };
	}
	const price = parsePrice(amount, currency);
	if (!price.ok) {
		const [{ message, remedy } = { message: 'this is no price' }] = price.problems;
		return { message, ...(remedy === undefined ? {} : { remedy }) };
	}
	const { of = isAll(cards) ? 'together' : 'each', condition, grade, isAuthentic } = said;
	return {
		cards,
		price: price.value,
		of,
		...(condition ? { condition } : {}),
		...(grade === undefined ? {} : { grade }),
		...(isAuthentic ? { isAuthentic } : {}),
		...(reason === '' ? {} : { reason })
	};
}

function lacks(said: string) {
	return { message: `"${clip(said)}" lacks cards or a price`, remedy: 'Write both: 5 24 nm.' };
}

function twice(word: string) {
	return { message: `"${word}" is said beside another one`, remedy: 'Say it once.' };
}

function clip(text: string): string {
	return text.length > 40 ? `${text.slice(0, 39)}…` : text;
}
