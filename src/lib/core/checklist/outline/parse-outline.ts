import type { Problem } from '../../problem.ts';
import { readerOf, type Reader } from './line-reader.ts';
import type { OutlineLine, RunTarget } from './outline.ts';
import { isPrintRun, partsOf, readCardChoice, readRun, readRuns } from './read-runs.ts';
import { readPack } from './read-pack-line.ts';
import { readPanels } from './read-panels-line.ts';
import { readSection } from './read-section-line.ts';
import { CARD_MARKS, type CardMark } from '../card.ts';
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

const MARK = new RegExp(`^(${CARD_MARKS.join('|')})(?:\\s+(.+))?$`, 'i');

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
		const line = readLine(reader);
		if (line) lines.push({ ...line, line: i + 1 });
	});
	return { lines, problems };
}

function readLine(reader: Reader): OutlineLine | null {
	const { text } = reader;
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
		case 'panels':
			return readPanels(rest, tail, reader);
		case 'tag':
			return readTag(rest, tail, reader);
		case 'note':
		case 'tell':
			return readText(word.toLowerCase() as 'note' | 'tell', text.slice(word.length), reader);
	}
	// "short print 5: name" records a variant, "short print 5" marks a card.
	const [, mark, cards] = MARK.exec(head) ?? [];
	if (mark && (colon < 0 || cards === undefined))
		return readMark(mark.toLowerCase(), cards ?? tail, reader);
	const section = SECTION.exec(head);
	if (section) return readSection(section, tail, reader);
	const variant = VARIANT.exec(head);
	if (variant) return readVariant(variant, tail, reader);
	if (/^[\p{L}\p{N}]/u.test(head) && colon > 0) return readShortVariant(head, tail, reader);
	return reader.wrong(
		text,
		'this line is not understood',
		'Begin with release, pack, base, subset, insert, extra, series, parallel, panels, tag, note, tell, rookie, key, or the number of a card.'
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

/** "rookie 1-20", "key 57, 69 in Base". */
function readMark(word: string, cards: string, reader: Reader): OutlineLine | null {
	const mark = CARD_MARKS.find((known) => known === word) as CardMark;
	const choice = readCardChoice(cards);
	return choice
		? { kind: 'mark', mark, ...choice }
		: reader.wrong(
				cards || word,
				'the cards are not understood',
				`Write: ${word} 1-20, or ${word} 57, 69 in Base`
			);
}

/** "tag role = keeper: 1-20, 30". */
function readTag(name: string, tail: string, reader: Reader): OutlineLine | null {
	const [, family, word] = /^(.+?)\s*=\s*(.+)$/.exec(name) ?? [];
	const choice = readCardChoice(tail);
	return family && word && choice
		? { kind: 'tag', family, word, ...choice }
		: reader.wrong(
				name || 'tag',
				'a tag needs its family, a word and cards',
				'Write: tag role = keeper: 1-20, 30'
			);
}

function readText(kind: 'note' | 'tell', rest: string, reader: Reader): OutlineLine | null {
	const text = rest.replace(/^\s*:?\s*/, '');
	return text === ''
		? reader.wrong(
				reader.text,
				'there are no words behind it',
				`Write: ${kind}: what there is to say`
			)
		: { kind, text };
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

function readParallel(name: string, tail: string, reader: Reader): OutlineLine | null {
	if (name === '')
		return reader.wrong(
			'parallel',
			'the parallel has no name',
			'Write: parallel Silver: Base /120'
		);
	const targets = partsOf(tail).flatMap((part): readonly RunTarget[] => {
		const isExcluded = /^not\s+/i.test(part);
		const { what, run } = splitRun(part.replace(/^not\s+/i, ''));
		if (run !== undefined && !isPrintRun(run)) {
			reader.wrong(part, `a print run of ${run || 'nothing'} is none`, 'Write it as Base /120.');
			return [];
		}
		const numbers = readRun(what);
		return [
			{
				...(numbers ? { run: numbers } : /^all$/i.test(what) ? {} : { section: what }),
				isExcluded,
				...(run ? { printRun: Number(run) } : {})
			}
		];
	});
	if (partsOf(tail).length === 0) {
		return reader.wrong(
			name,
			`${name} does not say of what it was made`,
			'Write: parallel Silver: all, or Base /120, Rookies /80'
		);
	}
	return { kind: 'parallel', name, targets };
}

/** "Base /120": what it is made of, and the digits behind the stroke. */
function splitRun(part: string): { readonly what: string; readonly run?: string } {
	const at = part.lastIndexOf('/');
	const run = part.slice(at + 1).trim();
	return at >= 0 && /^\d*$/.test(run) ? { what: part.slice(0, at).trim(), run } : { what: part };
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
