import { normalCardNumber } from '../checklist/numbers/card-number.ts';
import { plainName } from '../checklist/slug.ts';
import type { Version } from '../checklist/versions/expand.ts';
import type { Condition } from '../copies/condition.ts';
import { normalPhrase, type Meaning, type Vocabulary } from '../shorthand/vocabulary.ts';
import type { PileEntry, PileIndex } from './pile-index.ts';

/** What narrows the guess while a pile is gone through; empty texts narrow nothing. */
export interface Narrowing {
	readonly year?: string;
	readonly maker?: string;
	/** Keys of releases. */
	readonly releases?: readonly string[];
	/** The finish that the cards have where nothing else is said, by name. */
	readonly finish?: string;
}

/** A card that is meant, as well as what is typed fits it. */
export interface PileMatch {
	readonly entry: PileEntry;
	readonly version: Version;
	readonly condition?: Condition;
	/** As printed: "14/65" */
	readonly serial?: string;
	/** How well: a number or a whole title counts more than a part of one. */
	readonly fit: number;
}

const SERIAL = /^\d{1,7}\/\d{1,7}$/;
const FIT = { number: 8, title: 7, finish: 5, beginning: 4, word: 2, part: 1 } as const;
/** A line for a card is short; longer ones are of another kind. */
const MOST_WORDS = 12;

/**
 * The cards of a pile's releases that a line may mean: a number, words of a title, a subject, a section, a
 * maker, a year or a mark, in any order, with finish, variant, condition and serial number where they
 * matter ("27", "brass 27 vg", "gannaway 1994"). Every word has to say something of the card. Words in
 * quotation marks are one, words of one's own (`synonyms`) stand for others. A line without words means nothing.
 */
export function findOnPile(
	index: PileIndex,
	line: string,
	narrowing: Narrowing = {},
	synonyms: ReadonlyMap<string, string> = new Map()
): readonly PileMatch[] {
	const words = withSynonyms(wordsIn(line), synonyms);
	if (words.length === 0 || words.length > MOST_WORDS) return [];
	const numbers = words.map(normalCardNumber);
	const isNamed = numbers.some((number) => index.byNumber.has(number));
	const entries = isNamed
		? [...new Set(numbers.flatMap((number) => index.byNumber.get(number) ?? []))]
		: index.entries;
	const best = matchAll(entries, words, narrowing);
	// A number may also be a part of a title, or a year: "Storm of 27".
	return best.length > 0 || !isNamed ? best : matchAll(index.entries, words, narrowing);
}

/** The words of a line; words in quotation marks are one. */
function wordsIn(line: string): readonly string[] {
	return (line.match(/"[^"]*"|[^\s,;]+/g) ?? [])
		.map((word) => word.replace(/^"|"$/g, ''))
		.filter((word) => plainName(word) !== '');
}

/** Words of one's own give way to what they stand for, the longest first; what stands there is taken as it is. */
function withSynonyms(
	words: readonly string[],
	synonyms: ReadonlyMap<string, string>
): readonly string[] {
	if (synonyms.size === 0) return words;
	const read: string[] = [];
	for (let at = 0; at < words.length;) {
		const length = [3, 2, 1].find((count) =>
			synonyms.has(normalPhrase(words.slice(at, at + count).join(' ')))
		);
		const phrase = normalPhrase(words.slice(at, at + (length ?? 1)).join(' '));
		read.push(
			...(length === undefined ? words.slice(at, at + 1) : wordsIn(synonyms.get(phrase) ?? ''))
		);
		at += length ?? 1;
	}
	return read;
}

function matchAll(
	entries: readonly PileEntry[],
	words: readonly string[],
	narrowing: Narrowing
): readonly PileMatch[] {
	const readings = new Map<Vocabulary, readonly Reading[]>();
	return entries.flatMap((entry) => {
		if (!isWithin(entry, narrowing)) return [];
		const { vocabulary } = entry.of;
		let known = readings.get(vocabulary);
		if (!known) readings.set(vocabulary, (known = readingsOf(words, vocabulary)));
		// Words with a meaning of their own first; where the card has no such finish they are plain words.
		for (const reading of known) {
			const match = matchEntry(entry, reading, narrowing);
			if (match) return [match];
		}
		return [];
	});
}

function isWithin({ of: { release } }: PileEntry, { year, maker, releases }: Narrowing): boolean {
	if (year && !release.year.startsWith(year.trim())) return false;
	if (maker && !plainName(release.maker).includes(plainName(maker))) return false;
	return !releases || releases.length === 0 || releases.includes(release.key);
}

/** A line parted into what is said of the copy and what names the card. */
interface Reading {
	readonly meanings: readonly Meaning[];
	readonly serial?: string;
	readonly texts: readonly string[];
}

function readingsOf(words: readonly string[], vocabulary: Vocabulary): readonly Reading[] {
	const meanings: Meaning[] = [];
	const texts: string[] = [];
	let serial: string | undefined;
	for (let at = 0; at < words.length;) {
		const phrase = longestPhrase(words, at, vocabulary);
		const word = words[at] ?? '';
		if (phrase) {
			meanings.push(phrase.meaning);
			at += phrase.length;
			continue;
		}
		if (SERIAL.test(word)) serial = word;
		else texts.push(word);
		at++;
	}
	const said = serial === undefined ? {} : { serial };
	const plain: Reading = { meanings: [], texts: words };
	return meanings.length === 0 && serial === undefined
		? [plain]
		: [{ meanings, ...said, texts }, plain];
}

function longestPhrase(words: readonly string[], at: number, { meanings, longest }: Vocabulary) {
	for (let length = Math.min(longest, words.length - at); length > 0; length--) {
		const meaning = meanings.get(normalPhrase(words.slice(at, at + length).join(' ')));
		if (meaning) return { meaning, length };
	}
	return null;
}

function matchEntry(
	entry: PileEntry,
	{ meanings, serial, texts }: Reading,
	narrowing: Narrowing
): PileMatch | null {
	const { found } = entry;
	let fit = 0;
	let isNumbered = false;
	// A maker or a year alone names no card.
	let isNamed = meanings.some(({ kind }) => kind === 'section');
	for (const text of texts) {
		if (!isNumbered && entry.numbers.includes(normalCardNumber(text))) {
			isNumbered = true;
			fit += FIT.number;
			continue;
		}
		const word = plainName(text);
		const part = fitOf(entry, word);
		if (part === 0) return null;
		isNamed ||=
			part === FIT.part || entry.about.includes(/^\d+$/.test(word) ? `-${word}-` : `-${word}`);
		fit += part;
	}
	if (!isNumbered && !isNamed) return null;
	// The whole title beats cards that only begin with it.
	if (!isNumbered && texts.length > 0 && entry.title === `-${plainName(texts.join(' '))}-`) {
		fit += FIT.title;
	}
	const of = <Kind extends Meaning['kind']>(kind: Kind) =>
		meanings.filter(
			(meaning): meaning is Extract<Meaning, { kind: Kind }> => meaning.kind === kind
		);
	for (const { key } of of('section')) {
		if (key !== found.section.key && key !== found.numbering.key) return null;
		fit += FIT.word;
	}
	// That a card was made in the finish typed says more than a word of another's title.
	fit += FIT.finish * (of('parallel').length + of('variant').length);
	const [condition] = of('condition');
	const version = versionOf(entry, of('parallel'), of('variant'), narrowing);
	if (!version) return null;
	return {
		entry,
		version,
		...(condition ? { condition: condition.condition } : {}),
		...(serial === undefined ? {} : { serial }),
		fit
	};
}

function fitOf({ title, words }: PileEntry, text: string): number {
	if (title === `-${text}-`) return FIT.title;
	// A number is no part of a year, or of another number.
	if (/^\d+$/.test(text)) return words.includes(`-${text}-`) ? FIT.word : 0;
	if (title.startsWith(`-${text}`)) return FIT.beginning;
	if (words.includes(`-${text}`)) return FIT.word;
	return title.includes(text) ? FIT.part : 0;
}

/** The version that is meant; null where the card was not made like that. */
function versionOf(
	{ of: { versionsOf, release }, found: { numbering, section, card } }: PileEntry,
	parallels: readonly { readonly key: string }[],
	variants: readonly { readonly name: string }[],
	{ finish }: Narrowing
): Version | null {
	const versions = versionsOf(numbering.key, section, card);
	const [parallel, second] = parallels;
	if (second && second.key !== parallel?.key) return null;
	const usual = finish
		? release.parallels.find(({ name }) => normalPhrase(name) === normalPhrase(finish))?.key
		: undefined;
	const isMade = (key: string | null) => versions.some(({ parallelKey }) => parallelKey === key);
	const wanted =
		parallel?.key ??
		(usual !== undefined && isMade(usual) ? usual : isMade(null) ? null : versions[0]?.parallelKey);
	const names = variants.map(({ name }) => normalPhrase(name));
	return (
		versions.find(({ parallelKey, variantKey }) => {
			if (parallelKey !== wanted) return false;
			const variant = release.variants.find(({ key }) => key === variantKey);
			if (names.length === 0) return variant === undefined;
			return (
				variant !== undefined &&
				names.every((name) =>
					[variant.name, variant.kind].some((each) => normalPhrase(each) === name)
				)
			);
		}) ?? null
	);
}
