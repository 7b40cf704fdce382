import { parseAmount } from '../../money/amount.ts';
import { formatMinor } from '../../money/minor-units.ts';
import { bad, good, type Outcome, type Problem } from '../../problem.ts';
import type { ParcelKind } from './cheapest-parcels.ts';

const MOST_MM = 5000;
const MOST_GRAMS = 1_000_000;
const MOST_RATES = 30;
const MOST_NAME = 60;

/**
 * Kinds of parcel, a line each. Law: parse(format(x)) = x.
 *
 * @example formatParcelLine({ key: 'medium', lengthMm: 285, widthMm: 245, heightMm: 145, mostGrams: 22500, tareGrams: 150, rates: [{ upToGrams: 22500, priceMinor: 1500 }] }, 'EUR') // 'medium: 285 x 245 x 145 mm, up to 22.5 kg, 150 g empty; flat 15.00'
 */
export function formatParcelLine(kind: ParcelKind, currency: string): string {
	const { key, lengthMm, widthMm, heightMm, mostGrams, tareGrams, rates } = kind;
	const amount = (minor: number) => formatMinor(minor, currency);
	const [only] = rates;
	const said =
		rates.length === 1 && only?.upToGrams === mostGrams
			? `flat ${amount(only.priceMinor)}`
			: rates
					.map(({ upToGrams, priceMinor }) => `${formatGrams(upToGrams)} ${amount(priceMinor)}`)
					.join(', ');
	const empty = tareGrams === 0 ? '' : `, ${formatGrams(tareGrams)} empty`;
	return `${key}: ${lengthMm} x ${widthMm} x ${heightMm} mm, up to ${formatGrams(mostGrams)}${empty}; ${said}`;
}

/**
 * Reads such lines. Grammar:
 *
 *     line   = name ":" mm "x" mm "x" mm [ "mm" ] "," "up to" weight [ "," weight "empty" ] ";" rates
 *     rates  = "flat" amount / weight amount *( "," weight amount )   ; the lightest first
 *     weight = number ( "g" / "kg" )
 *
 * Inner sizes in whole millimetres; weights of what is sent with everything in it.
 */
export function parseParcelLines(text: string, currency: string): Outcome<readonly ParcelKind[]> {
	const problems: Problem[] = [];
	const lines = text
		.split(/\r?\n/)
		.map((line, i) => ({ line: line.trim(), at: i + 1 }))
		.filter(({ line }) => line !== '');
	const kinds = lines.flatMap(({ line, at }): readonly ParcelKind[] => {
		const read = parseParcelLine(line, currency);
		if (read.ok) return [read.value];
		problems.push(
			...read.problems.map((problem) => ({ ...problem, message: `line ${at}: ${problem.message}` }))
		);
		return [];
	});
	const names = kinds.map(({ key }) => key);
	for (const name of new Set(names.filter((each, i) => names.indexOf(each) < i))) {
		problems.push({ message: `"${name}" is there twice`, remedy: 'Name each kind once.' });
	}
	return problems.length > 0 ? bad(problems) : good(kinds);
}

const SIZE = /^(\d{1,4})\s*[x×]\s*(\d{1,4})\s*[x×]\s*(\d{1,4})\s*(?:mm)?$/i;

function parseParcelLine(line: string, currency: string): Outcome<ParcelKind> {
	const shape = 'Write "medium: 285 x 245 x 145 mm, up to 22.5 kg; flat 15.00".';
	const [, key = '', size = '', most = '', empty, rateText = ''] =
		/^([^:]+?)\s*:\s*([^,;]+?)\s*,\s*up\s+to\s+([^,;]+?)\s*(?:,\s*([^,;]+?)\s+empty\s*)?;\s*(.+)$/i.exec(
			line
		) ?? [];
	if (key === '')
		return bad([{ message: `"${line.slice(0, 40)}" is not understood`, remedy: shape }]);
	const problems: Problem[] = [];
	const tell = (message: string, remedy: string) => problems.push({ message, remedy });
	const sides = SIZE.exec(size)?.slice(1).map(Number) ?? [];
	const [lengthMm = 0, widthMm = 0, heightMm = 0] = sides;
	if (sides.length < 3 || sides.some((side) => side < 1 || side > MOST_MM)) {
		tell(`"${size.slice(0, 30)}" is no size`, 'Write three sides in millimetres: 285 x 245 x 145.');
	}
	const gramsOf = (said: string): number => {
		const grams = parseGrams(said);
		if (grams !== null && grams <= MOST_GRAMS) return grams;
		tell(`"${said.slice(0, 30)}" is no weight`, 'Write 500 g or 22.5 kg.');
		return 0;
	};
	if (key.length > MOST_NAME) tell('the name is too long', `At most ${MOST_NAME} letters.`);
	const mostGrams = gramsOf(most);
	const tareGrams = empty === undefined ? 0 : gramsOf(empty);
	const minorOf = (said: string): number => {
		const amount = parseAmount(said, currency);
		if (amount.ok && amount.value.currency === currency) return amount.value.minor;
		tell(`"${said.trim().slice(0, 30)}" is no amount in ${currency}`, 'Write 15.00.');
		return 0;
	};
	const flat = /^flat\s+(.+)$/i.exec(rateText.trim())?.[1];
	const rates =
		flat === undefined
			? rateText.split(/,(?!\d)/).map((rate) => {
					const [, weight = '', amount = ''] =
						/^(\d[\d.,]*\s*k?g)\s+(.+)$/i.exec(rate.trim()) ?? [];
					return { upToGrams: gramsOf(weight || rate.trim()), priceMinor: minorOf(amount || '?') };
				})
			: [{ upToGrams: mostGrams, priceMinor: minorOf(flat) }];
	if (rates.length > MOST_RATES) tell(`${rates.length} rates`, `At most ${MOST_RATES}.`);
	const isRising = rates.every(
		({ upToGrams }, i) => i === 0 || upToGrams > (rates[i - 1]?.upToGrams ?? 0)
	);
	if (problems.length === 0 && !isRising) {
		tell('the rates do not rise by weight', 'Put the lightest first, each weight once.');
	}
	return problems.length > 0
		? bad(problems)
		: good({ key, lengthMm, widthMm, heightMm, mostGrams, tareGrams, rates });
}

/** "22.5 kg" from a whole kilogram on or for halves, else "150 g". */
function formatGrams(grams: number): string {
	return grams >= 1000 && grams % 100 === 0 ? `${grams / 1000} kg` : `${grams} g`;
}

/** Whole grams; null: it is no weight. */
function parseGrams(text: string): number | null {
	const [, number = '', unit = ''] = /^(\d{1,7}(?:[.,]\d{1,3})?)\s*(k?g)$/i.exec(text.trim()) ?? [];
	if (number === '') return null;
	const grams = Number(number.replace(',', '.')) * (unit.toLowerCase() === 'kg' ? 1000 : 1);
	return Number.isInteger(Math.round(grams * 1000) / 1000) && grams >= 1 ? Math.round(grams) : null;
}
