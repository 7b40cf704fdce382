import { isCardNumber, isNumberOfSeries } from './is-card-number.ts';
import type { CardChoice, NumberRun } from './outline.ts';

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

/** "1-160", "F1 to F15", "2-1 to 2-18" or a single number; null where the text is none of these. */
export function readRun(text: string): NumberRun | null {
	const [, from = '', to = from] = /^(\S+?)\s*(?:[–—]|\s-\s|\sto\s)\s*(\S+)$/.exec(text) ?? [];
	if (isNumberOfSeries(from) && isNumberOfSeries(to)) return { from, to };
	if (isCardNumber(text)) return { from: text, to: text };
	const hyphens = [...text.matchAll(/-/g)].map(({ index }) => index);
	for (const isNumber of [isCardNumber, isNumberOfSeries]) {
		for (const at of hyphens) {
			const pair = { from: text.slice(0, at), to: text.slice(at + 1) };
			if (isNumber(pair.from) && isNumber(pair.to)) return pair;
		}
	}
	return null;
}

/** Cards by number, and the section they are in: "1-20, 30 in Dogs"; null where the text names none. */
export function readCardChoice(text: string): CardChoice | null {
	const [, list = '', section] = /^(.+?)(?:\s+in\s+(.+))?$/.exec(text) ?? [];
	const runs = list === '' ? null : readRuns(list);
	return runs && { runs, ...(section ? { section } : {}) };
}
