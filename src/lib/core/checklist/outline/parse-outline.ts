import type { Problem } from '../../problem.ts';
import { isCardNumber } from './is-card-number.ts';
import type { NumberRun, OutlineLine, RunTarget, SectionOptions } from './outline.ts';
import { parseOdds, type SectionKind } from '../section.ts';
import { VARIANT_KIND_NAMES, type VariantKindName } from '../variant.ts';

/** A line of an outline with its number in the text, from 1. */
export type PlacedLine = OutlineLine & { readonly line: number };

export interface ParsedOutline {
	readonly lines: readonly PlacedLine[];
	/** Every line and entry that is not understood, with its place in the whole text. */
	readonly problems: readonly Problem[];
}

/** The longest outline that is read, in characters. */
export const LONGEST_OUTLINE = 200_000;

const SECTION = /^(base|subset|insert|extra)\s+(.+?)(?:\s+in\s+(.+?))?(?:\s+of\s+(.+?))?$/i;
const VARIANT = new RegExp(`^(${VARIANT_KIND_NAMES.join('|')})\\s+(.+?)(?:\\s+in\\s+(.+?))?$`, 'i');

/**
 * Reads the sketch of a release, a line a thing (grammar in docs/formats.md). Never fails: what is
 * not understood becomes a problem with its line and place, everything else stands.
 */
export function parseOutline(text: string): ParsedOutline {
	if (text.length > LONGEST_OUTLINE) {
		const message = `the outline is longer than ${LONGEST_OUTLINE} characters`;
		return { lines: [], problems: [{ message, start: 0, end: text.length }] };
	}
	const lines: PlacedLine[] = [];
	const problems: Problem[] = [];
	let start = 0;
	text.split('\n').forEach((raw, i) => {
		const trimmed = raw.trim();
		const at = start + raw.indexOf(trimmed);
		start += raw.length + 1;
		if (trimmed === '') return;
		const reader = readerOf(trimmed, at, i + 1, problems);
		const line = readLine(trimmed, reader);
		if (line) lines.push({ ...line, line: i + 1 });
	});
	return { lines, problems };
}

interface Reader {
	/** Notes a problem with a part of the line; gives null, so that it can be returned. */
	readonly wrong: (part: string, message: string, remedy: string) => null;
}

function readerOf(line: string, start: number, number: number, problems: Problem[]): Reader {
	return {
		wrong(part, message, remedy) {
			const at = start + Math.max(0, line.indexOf(part));
			problems.push({ line: number, start: at, end: at + part.length, message, remedy });
			return null;
		}
	};
}

function readLine(text: string, reader: Reader): OutlineLine | null {
	if (text.startsWith('#')) return { kind: 'comment', text: text.slice(1).trim() };
	const colon = text.indexOf(':');
	const head = (colon < 0 ? text : text.slice(0, colon)).trim();
	const tail = colon < 0 ? '' : text.slice(colon + 1).trim();
	const [, word = '', rest = ''] = /^(\S+)\s*(.*)$/.exec(head) ?? [];
	switch (word.toLowerCase()) {
		case 'release':
			return readRelease(text, reader);
		case 'pack':
			return readPack(rest, tail, reader);
		case 'series':
			return readSeries(rest, tail, reader);
		case 'parallel':
			return readParallel(rest, tail, reader);
	}
	const section = SECTION.exec(head);
	if (section) return readSection(section, tail, reader);
	const variant = VARIANT.exec(head);
	if (variant) return readVariant(variant, tail, reader);
	if (/^[\p{L}\p{N}]/u.test(head) && colon > 0) return readShortVariant(head, tail, reader);
	return reader.wrong(
		text,
		'this line is not understood',
		'Begin with release, pack, base, subset, insert, extra, series, parallel, or the number of a card.'
	);
}

function readRelease(text: string, reader: Reader): OutlineLine | null {
	const parts = text
		.replace(/^release:?\s*/i, '')
		.split(',')
		.map((part) => part.trim());
	const [name = '', maker = '', year = ''] = parts;
	return parts.length === 3 && name && maker && /^\d{4}(-\d{2,4})?$/.test(year)
		? { kind: 'release', name, maker, year }
		: reader.wrong(
				text,
				'a release needs name, maker and year',
				'Write: release Name, Maker, 1994'
			);
}

function readPack(name: string, tail: string, reader: Reader): OutlineLine | null {
	if (name === '')
		return reader.wrong('pack', 'the pack has no name', 'Write: pack Hobby: 10 cards, 36 packs');
	let cards: number | undefined;
	let packs: number | undefined;
	for (const part of partsOf(tail)) {
		const match = /^([1-9]\d{0,3})\s*(cards?|packs?)$/i.exec(part);
		if (!match)
			return reader.wrong(
				part,
				'this is not understood of a pack',
				'Write: pack Hobby: 10 cards, 36 packs'
			);
		if (/^c/i.test(match[2] ?? '')) cards = Number(match[1]);
		else packs = Number(match[1]);
	}
	return { kind: 'pack', name, ...(cards ? { cards } : {}), ...(packs ? { packs } : {}) };
}

function readSeries(name: string, tail: string, reader: Reader): OutlineLine | null {
	const run = readRun(tail);
	if (name === '' || !run) {
		return reader.wrong(
			tail || 'series',
			'a series needs a name and a range',
			'Write: series Series 1: 1-160'
		);
	}
	return { kind: 'series', name, ...run };
}

function readSection(match: RegExpExecArray, tail: string, reader: Reader): OutlineLine | null {
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
	} = {};
	for (const part of partsOf(tail)) {
		const [, count] = /^([1-9]\d{0,4}) cards?$/i.exec(part) ?? [];
		const [, printRun] = /^\/\s*([1-9]\d{0,7})$/.exec(part) ?? [];
		const [, stated] = /^stated ([1-9]\d{0,4})$/i.exec(part) ?? [];
		const [, columns, rows] = /^grid ([1-9]\d?)\s*x\s*([1-9]\d?)$/i.exec(part) ?? [];
		const [, strip] = /^strip ([1-9]\d?)$/i.exec(part) ?? [];
		const [, left] = /^without (.+)$/i.exec(part) ?? [];
		const [, pack, ratio] = /^(.+?)\s+(\d+:\d+)$/.exec(part) ?? [];
		const leftRun = left ? readRun(left) : null;
		const run = readRun(part);
		if (count) rest.count = Number(count);
		else if (printRun) rest.printRun = Number(printRun);
		else if (stated) rest.statedTotal = Number(stated);
		else if (columns && rows) rest.grid = { columns: Number(columns), rows: Number(rows) };
		else if (strip) rest.strip = Number(strip);
		else if (/^(un)?listed$/i.test(part)) rest.listed = !/^un/i.test(part);
		else if (leftRun) without.push(leftRun);
		else if (pack && ratio && parseOdds(ratio)) odds.push({ pack, odds: ratio });
		else if (run) runs.push(run);
		else {
			reader.wrong(
				part,
				'this is not understood of a section',
				'Write numbers (1-160, F1-F15), "10 cards", "hobby 1:6", "/500", "stated 120", "unlisted", "grid 3x3", "strip 10".'
			);
		}
	}
	return { runs, odds, ...rest, without };
}

function readParallel(name: string, tail: string, reader: Reader): OutlineLine | null {
	if (name === '')
		return reader.wrong(
			'parallel',
			'the parallel has no name',
			'Write: parallel Silver: Base /120'
		);
	const targets = partsOf(tail).map((part): RunTarget => {
		const isExcluded = /^not\s+/i.test(part);
		const [, what = '', run] =
			/^(.*?)(?:\s*\/\s*([1-9]\d{0,7}))?$/.exec(part.replace(/^not\s+/i, '')) ?? [];
		const numbers = readRun(what);
		return {
			...(numbers ? { run: numbers } : /^all$/i.test(what) ? {} : { section: what }),
			isExcluded,
			...(run ? { printRun: Number(run) } : {})
		};
	});
	if (targets.length === 0) {
		return reader.wrong(
			name,
			`${name} does not say of what it was made`,
			'Write: parallel Silver: all, or Base /120, Rookies /80'
		);
	}
	return { kind: 'parallel', name, targets };
}

function readVariant(match: RegExpExecArray, tail: string, reader: Reader): OutlineLine | null {
	const [, kind = '', cards = '', section] = match;
	const runs = readRuns(cards);
	if (!runs || tail === '') {
		return reader.wrong(
			tail === '' ? kind : cards,
			'a variant needs cards and a name',
			`Write: ${kind.toLowerCase()} 27: home town`
		);
	}
	const variant = VARIANT_KIND_NAMES.find((name) => name === kind.toLowerCase()) as VariantKindName;
	return { kind: 'variant', variant, runs, ...(section ? { section } : {}), name: tail };
}

/** "27: home town, two printings" is an error that was put right; without that, one that was not. */
function readShortVariant(head: string, tail: string, reader: Reader): OutlineLine | null {
	const runs = readRuns(head);
	const twice = /,\s*two printings$/i;
	const name = tail.replace(twice, '');
	if (!runs || name === '') {
		return reader.wrong(head, 'this line is not understood', 'Write: 27: home town, two printings');
	}
	return { kind: 'variant', variant: twice.test(tail) ? 'error' : 'uncorrected', runs, name };
}

function partsOf(list: string): string[] {
	return list
		.split(',')
		.map((part) => part.trim())
		.filter(Boolean);
}

function readRuns(list: string): readonly NumberRun[] | null {
	const runs = list.split(/\s*[,+]\s*|\s+and\s+/).map(readRun);
	return runs.every((run) => run !== null) ? runs : null;
}

function readRun(text: string): NumberRun | null {
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
