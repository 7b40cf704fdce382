import type { Card } from './card.ts';
import { parseCardNumber, runStem } from './numbers/card-number.ts';
import { cardNumberOrder } from './numbers/compare-card-numbers.ts';
import { hasLetters, letterPlace } from './numbers/letter-number.ts';

/**
 * Folds card numbers into runs as people write them: three or more in a row become a run.
 * The numbers may come in any order; repeats count once. Numbers that bear no digits stand alone.
 *
 * @example foldRuns(['1', '2', '3', '14', '20', '21']) // '1–3, 14, 20, 21'
 */
export function foldRuns(numbers: readonly string[]): string {
	return foldedRuns(numbers)
		.map((run) => {
			const [first, ...rest] = run;
			const last = rest.at(-1);
			return run.length < 3 ? run.join(', ') : `${first ?? ''}–${last ?? ''}`;
		})
		.join(', ');
}

/** Cards as people list them: folded numbers, then quoted titles where there is no number. */
export function foldCards(cards: readonly Card[]): string {
	const numbers = cards.flatMap((card) => card.number ?? []);
	const titles = cards.filter((card) => card.number === null).map((card) => `"${card.title}"`);
	return [foldRuns(numbers), ...titles].filter(Boolean).join(', ');
}

/** The runs that numbers form, in their order: each as its numbers. */
export function foldedRuns(numbers: readonly string[]): readonly (readonly string[])[] {
	const runs: string[][] = [];
	let lastStem = '';
	let lastDigits: number | null = null;
	const distinct = [...new Set(numbers)];
	const areLetters = hasLetters(distinct);
	for (const text of distinct.sort(cardNumberOrder(distinct))) {
		const letter = areLetters ? letterPlace(text) : null;
		const parsed = parseCardNumber(text);
		const number = letter === null ? parsed : { ...parsed, digits: letter, suffix: '' };
		const stem = letter === null ? runStem(number) : 'letters';
		const follows =
			number.digits !== null &&
			number.suffix === '' &&
			lastDigits !== null &&
			stem === lastStem &&
			number.digits === lastDigits + 1;
		if (follows) runs.at(-1)?.push(text);
		else runs.push([text]);
		lastStem = stem;
		lastDigits = number.suffix === '' ? number.digits : null;
	}
	return runs;
}
