import { isCardNumber } from './is-card-number.ts';
import type { NumberRun } from './outline.ts';

/** The entries of a list, parted by commas. */
export function partsOf(list: string): string[] {
	return list
		.split(',')
		.map((part) => part.trim())
		.filter(Boolean);
}

/** Whether digits are a print run: from 1, at most eight of them. */
export function isPrintRun(digits: string): boolean {
	return /^[1-9]\d{0,7}$/.test(digits);
}

/** Several runs of card numbers; null where one of them is none. */
export function readRuns(list: string): readonly NumberRun[] | null {
	const runs = list.split(/\s*[,+]\s*|\s+and\s+/).map(readRun);
	return runs.every((run) => run !== null) ? runs : null;
}

/** "1-160", "F1 to F15" or a single number; null where the text is none of these. */
export function readRun(text: string): NumberRun | null {
	const [, from = '', to = from] = /^(\S+?)\s*(?:[–—]|\s-\s|\sto\s)\s*(\S+)$/.exec(text) ?? [];
	if (isCardNumber(from) && isCardNumber(to)) return { from, to };
	if (isCardNumber(text)) return { from: text, to: text };
	const hyphens = [...text.matchAll(/-/g)].map(({ index }) => index);
	for (const at of hyphens) {
		const pair = { from: text.slice(0, at), to: text.slice(at + 1) };
		if (isCardNumber(pair.from) && isCardNumber(pair.to)) return pair;
	}
	return null;
}
