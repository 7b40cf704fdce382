import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import { parseAmount } from '../../money/amount.ts';
import { formatMinor } from '../../money/minor-units.ts';
import type { PriceBreak } from './price-breaks.ts';

const LOT =
	/(\d{1,6})\s*(?:for|:|=)\s*((?:[€$£¥]\s?)?\d+(?:[.,]\d+)*(?:\s?(?:[€$£¥]|[A-Z]{3}\b))?)/giu;

/**
 * Reads what several cards of an offer cost together:
 *
 *     lots = lot *( ("," / ";") lot )
 *     lot  = count ( "for" / ":" / "=" ) amount      ; two cards and more
 *
 * Law: parse(format(x)) = x. All problems at once.
 *
 * @param currency what the seller sells in; an amount must not say another one
 * @example parsePriceBreaks('5 for 1.50, 10 for 2.80', 'EUR') // { ok: true, value: [{ count: 5, minor: 150 }, { count: 10, minor: 280 }], notes: [] }
 */
export function parsePriceBreaks(text: string, currency: string): Outcome<readonly PriceBreak[]> {
	const problems: Problem[] = [];
	const lots: PriceBreak[] = [];
	for (const [, count = '', amount = ''] of text.matchAll(LOT)) {
		const read = parseAmount(amount, currency);
		if (Number(count) < 2) {
			problems.push({ message: `${count} is no lot`, remedy: 'A lot is two cards and more.' });
		} else if (lots.some((lot) => lot.count === Number(count))) {
			problems.push({ message: `lots of ${count} stand twice`, remedy: 'Say one price.' });
		} else if (!read.ok) problems.push(...read.problems);
		else lots.push({ count: Number(count), minor: read.value.minor });
	}
	const rest = text
		.replaceAll(LOT, '')
		.replace(/[,;\s]+/g, ' ')
		.trim();
	if (rest !== '' || (lots.length === 0 && problems.length === 0)) {
		const message = `"${(rest || text).slice(0, 60)}" is no price for several cards`;
		problems.push({ message, remedy: 'Write: 5 for 1.50, 10 for 2.80.' });
	}
	return problems.length > 0 ? bad(problems) : good(lots.sort((a, b) => a.count - b.count));
}

/** Writes lots of two cards and more as `parsePriceBreaks` reads them; empty: there is none. */
export const formatPriceBreaks = (breaks: readonly PriceBreak[], currency: string): string =>
	breaks
		.filter(({ count }) => count > 1)
		.map(({ count, minor }) => `${count} for ${formatMinor(minor, currency)}`)
		.join(', ');

/** Whether a remark behind a price is about lots: "5 for 1.50". */
export const isAboutLots = (remark: string): boolean =>
	/^\s*\d{1,6}\s*(?:for|:|=)\s*[\d€$£¥]/i.test(remark);
