import type { SectionKind } from '../section.ts';
import { formatOdds, PACK_AND_ODDS, parseOdds } from '../odds.ts';
import { CARD_SHAPES, type CardFormat } from '../card-format.ts';
import { parseCardSize } from '../parse-card-size.ts';
import { isNumberOfSeries } from './is-card-number.ts';
import type { Reader } from './line-reader.ts';
import type { NumberRun, OutlineLine, SectionOptions } from './outline.ts';
import { isPrintRun, partsOf, readRun } from './read-runs.ts';

/** A section with its name and, behind the colon, what is said of it. */
export function readSection(
	match: RegExpExecArray,
	tail: string,
	reader: Reader
): OutlineLine | null {
	const [, kind = '', name = '', numberedIn, of] = match;
	const options = readOptions(tail, reader);
	if (!options) return null;
	return {
		kind: 'section',
		section: kind.toLowerCase() as SectionKind,
		name,
		...(numberedIn ? { numberedIn } : {}),
		...(of ? { editionOf: of.split(/\s*\+\s*/) } : {}),
		...options
	};
}

function readOptions(tail: string, reader: Reader): SectionOptions | null {
	const runs: NumberRun[] = [];
	const without: NumberRun[] = [];
	const odds: { pack: string; odds: string }[] = [];
	const rest: {
		count?: number;
		printRun?: number;
		statedTotal?: number;
		listed?: boolean;
		grid?: { columns: number; rows: number };
		strip?: number;
		noBaseFinish?: true;
		takesPlaceOf?: string | null;
		from?: string;
		format?: CardFormat;
	} = {};
	for (const part of partsOf(tail)) {
		const [, count] = /^([1-9]\d{0,4}) cards?$/i.exec(part) ?? [];
		const [, printRun] = /^\/\s*(\d+)$/.exec(part) ?? [];
		const [, stated] = /^stated ([1-9]\d{0,4})$/i.exec(part) ?? [];
		const [, columns, rows] = /^grid ([1-9]\d?)\s*x\s*([1-9]\d?)$/i.exec(part) ?? [];
		const [, strip] = /^strip ([1-9]\d?)$/i.exec(part) ?? [];
		const [, left] = /^without (.+)$/i.exec(part) ?? [];
		const [, pack, ratio] = PACK_AND_ODDS.exec(part) ?? [];
		const [, first] = /^from (\S+)$/i.exec(part) ?? [];
		const [, instead] = /^instead of (.+)$/i.exec(part) ?? [];
		const onTop = /^on top$/i.test(part);
		const [, stock] = /^([\d.]+) pt$/i.exec(part) ?? [];
		const [, measures] = /^size (.+)$/i.exec(part) ?? [];
		const size = measures ? parseCardSize(measures) : null;
		const shape = CARD_SHAPES.find((known) => known === part.toLowerCase());
		const leftRun = left ? readRun(left) : null;
		const run = readRun(part);
		if (count) rest.count = Number(count);
		else if (printRun && !isPrintRun(printRun)) {
			reader.wrong(part, `a print run of ${printRun} is none`, 'Write it as /500.');
		} else if (printRun) rest.printRun = Number(printRun);
		else if (stated) rest.statedTotal = Number(stated);
		else if (columns && rows) rest.grid = { columns: Number(columns), rows: Number(rows) };
		else if (strip) rest.strip = Number(strip);
		else if (/^(un)?listed$/i.test(part)) rest.listed = !/^un/i.test(part);
		else if (/^no base finish$/i.test(part)) rest.noBaseFinish = true;
		else if (first && isNumberOfSeries(first)) rest.from = first;
		else if (size) rest.format = { ...rest.format, ...size };
		else if (stock && Number(stock) > 0 && Number(stock) <= 1000) {
			rest.format = { ...rest.format, stockPt: Number(stock) };
		} else if (shape) rest.format = { ...rest.format, shape };
		else if (onTop) rest.takesPlaceOf = null;
		else if (instead) rest.takesPlaceOf = instead;
		else if (leftRun) without.push(leftRun);
		else if (pack && ratio && parseOdds(ratio)) {
			odds.push({ pack, odds: formatOdds(parseOdds(ratio) ?? { cards: 1, packs: 1 }) });
		} else if (run) runs.push(run);
		else {
			reader.wrong(
				part,
				'this is not understood of a section',
				'Write numbers (1-160, F1-F15, 2-1 to 2-18), "10 cards", "hobby 1:6", "hobby 9 a pack", "instead of Base", "on top", "/500", "stated 120", "unlisted", "grid 3x3", "strip 10", "no base finish", "size 2.5 x 3.5 in", "20 pt"; of an edition "without 4", "from 89".'
			);
		}
	}
	return { runs, odds, ...rest, without };
}
