import { parseAmount } from '../../money/amount.ts';
import { formatMinor } from '../../money/minor-units.ts';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import type { BuildPart } from './build-to-sell.ts';
import type { PartOffer } from './cover-sets.ts';

/** The most sets that are reckoned with, and so what one offer without a number is there for. */
export const MOST_BUILT = 200;
const MOST_OFFERS = 20;

/**
 * A part of a set as a line. Law: parse(format(x)) = x.
 *
 * @example formatPartLine({ key: 'Commons', isKey: false, valueMinor: 400, offers: [{ key: '1', priceMinor: 4000, feedsSets: 5, available: 2, hours: 1.5 }] }, 'EUR') // 'Commons worth 4.00: 40.00 for 5 sets, 2 there, 1.5 h'
 */
export function formatPartLine(part: BuildPart, currency: string): string {
	const { key, isKey, valueMinor, offers } = part;
	const amount = (minor: number) => formatMinor(minor, currency);
	const head = `${isKey ? 'key ' : ''}${key}${valueMinor === null ? '' : ` worth ${amount(valueMinor)}`}`;
	const told = offers.map(({ priceMinor, feedsSets, available, hours }) =>
		[
			`${amount(priceMinor)}${feedsSets === 1 ? '' : ` for ${feedsSets} sets`}`,
			...(available === MOST_BUILT ? [] : [`${available} there`]),
			...(hours === 0 ? [] : [`${hours} h`])
		].join(', ')
	);
	return told.length === 0 ? head : `${head}: ${told.join('; ')}`;
}

/**
 * Reads the parts of a set, a line each. Grammar:
 *
 *     line  = [ "key " ] name [ " worth " amount ] [ ":" offer *( ";" offer ) ]
 *     offer = amount [ " for " n " sets" ] [ "," n " there" ] [ "," hours " h" ]
 *
 * A name bears no colon. Without "for" an offer feeds one set, without "there" as many are there as are wanted, without "h" it
 * takes no time. Amounts without a currency are in that of the plan.
 */
export function parsePartLines(text: string, currency: string): Outcome<readonly BuildPart[]> {
	const lines = text.split(/\r?\n/);
	const read = lines
		.map((line, i) => ({ line: line.trim(), at: i + 1 }))
		.filter(({ line }) => line);
	const parts = read.map(({ line, at }) => parsePartLine(line, currency, `line ${at}: `));
	const problems = parts.flatMap((part) => (part.ok ? [] : part.problems));
	const values = parts.flatMap((part) => (part.ok ? [part.value] : []));
	const seen = new Set<string>();
	for (const { key } of values) {
		if (seen.has(key)) {
			problems.push({ message: `"${key}" is there twice`, remedy: 'Join the two lines.' });
		}
		seen.add(key);
	}
	return problems.length > 0 ? bad(problems) : good(values);
}

function parsePartLine(line: string, currency: string, place: string): Outcome<BuildPart> {
	const colon = line.indexOf(':');
	const head = colon < 0 ? line : line.slice(0, colon);
	const said = colon < 0 ? '' : line.slice(colon + 1);
	const [, key = '', name = '', worth] =
		/^(key\s+)?(.*?)(?:\s+worth\s+(.+))?$/i.exec(head.trim()) ?? [];
	const problems: Problem[] = [];
	const tell = (message: string, remedy: string) =>
		problems.push({ message: `${place}${message}`, remedy });
	const minorOf = (text: string): number => {
		const amount = parseAmount(text, currency);
		if (amount.ok && amount.value.currency === currency) return amount.value.minor;
		tell(`"${text.trim().slice(0, 40)}" is no amount in ${currency}`, 'Write 12.50.');
		return 0;
	};
	if (name === '') tell('it has no name', 'Write what it is: "Commons: 40.00 for 5 sets".');
	if (name.length > 120) tell('the name is too long', 'At most 120 letters.');
	const valueMinor = worth === undefined ? null : minorOf(worth);
	const texts = said.split(';').filter((each) => each.trim() !== '');
	if (texts.length > MOST_OFFERS) tell(`${texts.length} offers`, `At most ${MOST_OFFERS}.`);
	const offers = texts.map((each, i): PartOffer => {
		const [price = '', ...more] = each.split(/,(?!\d)/);
		const [, amount = '', feeds] =
			/^(.*?)(?:\s+for\s+(\d{1,3})\s+sets?)?$/i.exec(price.trim()) ?? [];
		let [available, hours] = [MOST_BUILT, 0];
		for (const word of more.map((text) => text.trim())) {
			const count = /^(\d{1,3})\s+there$/i.exec(word)?.[1];
			const time = /^(\d{1,4}(?:[.,]\d{1,2})?)\s*h$/i.exec(word)?.[1];
			if (count !== undefined) available = Math.min(MOST_BUILT, Number(count));
			else if (time !== undefined) hours = Number(time.replace(',', '.'));
			else tell(`"${word.slice(0, 40)}" is not understood`, 'Write "2 there" or "1.5 h".');
		}
		const feedsSets = feeds === undefined ? 1 : Number(feeds);
		if (feedsSets < 1) tell('an offer feeds no set', 'Write "for 1 set", or leave it out.');
		return { key: `${i + 1}`, priceMinor: minorOf(amount), feedsSets, available, hours };
	});
	return problems.length > 0
		? bad(problems)
		: good({ key: name, isKey: key !== '', valueMinor, offers });
}

/** What sets bring: so many at a price, then so many at another. */
export type SaleStep = { readonly sets: number; readonly priceMinor: number };

/**
 * The same as text. Law: parse(format(x)) = x.
 *
 * @example formatSaleSteps([{ sets: 2, priceMinor: 3000 }, { sets: 3, priceMinor: 2500 }], 'EUR') // '2 at 30.00, 3 at 25.00'
 */
export function formatSaleSteps(steps: readonly SaleStep[], currency: string): string {
	return steps
		.map(({ sets, priceMinor }) => `${sets} at ${formatMinor(priceMinor, currency)}`)
		.join(', ');
}

/** Reads such a text: `n " at " amount *( "," n " at " amount )`; empty: nobody buys. */
export function parseSaleSteps(text: string, currency: string): Outcome<readonly SaleStep[]> {
	const parts = text.split(/,(?!\d)/).map((part) => part.trim());
	const steps = parts
		.filter((part) => part !== '')
		.map((part): Outcome<SaleStep> => {
			const [, sets, price] = /^(\d{1,3})\s+at\s+(.+)$/i.exec(part) ?? [];
			const amount = price === undefined ? null : parseAmount(price, currency);
			if (Number(sets) >= 1 && amount?.ok && amount.value.currency === currency) {
				return good({ sets: Number(sets), priceMinor: amount.value.minor });
			}
			const message = `"${part.slice(0, 40)}" is not understood`;
			return bad([{ field: 'sales', message, remedy: 'Write "2 at 30.00, 3 at 25.00".' }]);
		});
	const problems = steps.flatMap((step) => (step.ok ? [] : step.problems));
	return problems.length > 0
		? bad(problems)
		: good(steps.flatMap((step) => (step.ok ? step.value : [])));
}
