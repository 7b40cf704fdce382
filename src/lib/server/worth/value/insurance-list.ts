import { sum } from 'd3-array';
import { formatQuality } from '../../../core/copies/quality-label.ts';
import { formatMinor } from '../../../core/money/minor-units.ts';
import type { Paper } from '../../../core/print/paper.ts';
import { setWorth } from '../../../core/worth/value/set-worth.ts';
import { formatCsv } from '../../../formats/csv-cells.ts';
import { drawPhotos } from '../../../formats/pdf/draw-photos.ts';
import { drawTable } from '../../../formats/pdf/draw-table.ts';
import { drawPdf } from '../../../formats/pdf/open-pdf.ts';
import { writeXlsx } from '../../../formats/xlsx.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import { readPriceBook } from '../../buying/prices/read-price-book.ts';
import type { Reader } from '../../database/open.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { printFonts } from '../../print/fonts.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { WORTH_RULES, worthRulesOf } from '../worth-rules.ts';
import { photosOfLines } from './photos-of-lines.ts';
import { readWorthCopies, type WorthScope } from './read-worth-copies.ts';

export interface InsuranceAsk {
	readonly scope: WorthScope;
	/** Copies worth less are one sum at the end, in minor units. */
	readonly leastMinor: number;
	readonly form: 'csv' | 'xlsx' | 'pdf';
	readonly paper: Paper;
	/** ISO 8601 moment */
	readonly now: string;
}

const BASIS_WORDS = {
	sales: 'sales',
	said: 'own estimate',
	asking: 'asked for',
	estimate: 'estimate',
	unknown: 'not known'
} as const;

/** What is there and what it is worth, for an insurer: copy by copy from a value on, with their photos, the rest as a sum, and what nobody has priced. */
export async function insuranceList(
	db: Reader,
	{ scope, leastMinor, form, paper, now }: InsuranceAsk
): Promise<string | Uint8Array<ArrayBuffer>> {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const rules = worthRulesOf(await readPreference(db, WORTH_RULES));
	const { copies, releases } = await readWorthCopies(db, scope, { currency, rates });
	const book = await readPriceBook(db, releases, currency);
	const worth = setWorth(copies, [...book.points.values()].flat(), now.slice(0, 10), rules);
	const known = worth.lines
		.map((line, i) => ({ line, copy: copies[i] }))
		.filter(({ line }) => line.basis !== 'unknown');
	const listed = known
		.filter(({ line }) => line.eachMinor >= leastMinor)
		.sort((a, b) => b.line.eachMinor - a.line.eachMinor);
	const rest = known.filter(({ line }) => line.eachMinor < leastMinor);
	const names = await nameVersions(
		db,
		listed.map(({ line }) => line.version)
	);
	const amount = (minor: number) => formatMinor(minor, currency);
	const total = (some: typeof known) => sum(some, ({ line }) => line.eachMinor * line.quantity);
	const count = (some: typeof known) => sum(some, ({ line }) => line.quantity);
	const header = [
		...['Release', 'Card', 'Condition or grade', 'House', 'Copies', `Each, ${currency}`],
		...[`Together, ${currency}`, 'Known by', 'As of']
	];
	const rows = listed.map(({ line, copy }) => [
		names.get(line.version)?.release ?? '',
		names.get(line.version)?.card ?? line.version,
		copy ? formatQuality(copy) : '',
		copy?.house ?? '',
		`${line.quantity}`,
		amount(line.eachMinor),
		amount(line.eachMinor * line.quantity),
		BASIS_WORDS[line.basis],
		line.on ?? ''
	]);
	const blank = (label: string, copiesOf: number, minor: number | null) => [
		...['', label, '', '', `${copiesOf}`, '', minor === null ? '' : amount(minor), '', '']
	];
	const sums = [
		...(rest.length > 0 ? [blank('Cards worth less each', count(rest), total(rest))] : []),
		...(worth.unpriced > 0 ? [blank('Without a known price', worth.unpriced, null)] : []),
		blank('All', worth.copies, worth.totalMinor)
	];
	if (form === 'csv') return formatCsv([header, ...rows, ...sums]);
	const photos = await photosOfLines(
		db,
		listed.flatMap(({ line, copy }, row) =>
			copy ? [{ ...copy, version: line.version, row }] : []
		),
		(version) => names.get(version)?.card ?? version
	);
	if (form === 'xlsx') return writeXlsx('Insurance', [header, ...rows, ...sums], photos);
	return drawPdf(
		paper,
		await printFonts(),
		{ title: 'Insurance list', madeAt: new Date(now) },
		(sheet) => {
			drawTable(sheet, {
				title: 'Insurance list',
				note: `What is there as of ${now.slice(0, 10)}, in ${currency}: the median of the last sales of cards like it, or its owner's estimate. An insurer may ask for an appraisal.`,
				columns: [
					{ title: 'Release', share: 4 },
					{ title: 'Card', share: 5 },
					{ title: 'Condition', share: 2 },
					{ title: 'House', share: 2 },
					{ title: 'Copies', share: 1.2, align: 'right' },
					{ title: 'Each', share: 2, align: 'right' },
					{ title: 'Together', share: 2, align: 'right' },
					{ title: 'Known by', share: 2 },
					{ title: 'As of', share: 2 }
				],
				rows: [...rows, ...sums]
			});
			drawPhotos(sheet, 'Insurance list: photos', photos);
		}
	);
}
