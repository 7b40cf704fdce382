import { at } from '../../at.ts';
import { foldRuns } from '../fold-runs.ts';
import {
	formatCardNumber,
	normalCardNumber,
	parseCardNumber,
	runStem,
	type CardNumber
} from '../numbers/card-number.ts';
import { isNamed } from '../card-selector.ts';
import { sortByCardNumber } from '../numbers/compare-card-numbers.ts';
import { hasLetters } from '../numbers/letter-number.ts';
import type { Section } from '../section.ts';
import { numberingsOf, seriesOf, type NumberedCard, type Numbering } from '../numbering.ts';
import type { Release } from '../release.ts';
import type { Finding } from './finding.ts';

/** Past so many missing numbers a gap is a border between runs, not cards forgotten. */
const WIDEST_GAP = 50;
/** A run that begins later than this is meant to. */
const LATEST_BEGIN = 10;

/** Gaps, numbers outside their numbering, repeated titles, and totals that do not match. */
export function findNumberFaults(release: Release): readonly Finding[] {
	return numberingsOf(release).flatMap((numbering) => {
		const s = release.sections.findIndex(({ key }) => key === numbering.key);
		return [
			...findGaps(release, numbering, s),
			...findStrays(release, numbering),
			...findRepeatedTitles(numbering, s),
			...findTotal(numbering, s)
		];
	});
}

/** All numbers that cards bear, the second one of a dual number too, in order. */
function bornBy(cards: readonly NumberedCard[]): readonly CardNumber[] {
	const numbers = cards.flatMap(({ card }) =>
		card.number === null ? [] : [card.number, ...card.otherNumbers].flatMap(singles)
	);
	return sortByCardNumber(
		[...new Set(numbers)],
		(number) => number,
		() => 0
	).map(parseCardNumber);
}

/** A dual number as the two it is: "5/6" is 5 and 6. */
function singles(number: string): readonly string[] {
	const parts = number.split(/[/&+]/).map((part) => part.trim());
	return parts.every((part) => parseCardNumber(part).digits !== null) ? parts : [number];
}

/** Where the cards that an edition repeats begin: it may begin there too, however late that is. */
function firstOfRepeated(release: Release, { edition }: Section): number | null {
	if (!edition) return null;
	const digits = release.sections
		.filter(({ key }) => edition.of.includes(key))
		.flatMap(({ cards }) => cards)
		.filter((card) => !edition.without.some((name) => isNamed(card, name)))
		.flatMap(({ number }) => parseCardNumber(number ?? '').digits ?? []);
	return digits.length === 0 ? null : digits.reduce((least, each) => Math.min(least, each));
}

function findGaps(release: Release, { owner, cards }: Numbering, s: number): Finding[] {
	const missing: string[] = [];
	let before: CardNumber | null = null;
	const begins = firstOfRepeated(release, owner);
	const areLetters = hasLetters(cards.map(({ card }) => card.number));
	for (const number of bornBy(cards)) {
		if (number.digits === null || (areLetters && number.roman)) continue;
		const follows =
			before !== null && runStem({ ...before, suffix: '' }) === runStem({ ...number, suffix: '' });
		// A run may begin at 101; one that begins at 2 has lost its first card.
		const isLate = number.digits > LATEST_BEGIN || number.digits === begins;
		const begin = isLate ? number.digits : 1;
		const from = follows ? (before?.digits ?? 0) + 1 : begin;
		if (number.digits - from <= WIDEST_GAP) {
			for (let digits = from; digits < number.digits; digits++) {
				missing.push(formatCardNumber({ ...number, digits, suffix: '', zeros: 0 }));
			}
		}
		before = number;
	}
	const left = new Set(owner.edition?.without.map(normalCardNumber));
	const lost = missing.filter((number) => !left.has(normalCardNumber(number)));
	if (lost.length === 0) return [];
	return [
		{
			code: 'gap',
			weight: 'odd',
			message: `${owner.name} has no ${foldRuns(lost)}`,
			pointer: `/sections/${s}`,
			cards: [],
			mend: { kind: 'add cards', section: owner.key, numbers: lost }
		}
	];
}

/** Cards of subsets beyond what the numbering says of itself: its series, or its stated total. */
function findStrays(release: Release, { owner, cards }: Numbering): Finding[] {
	const strays = cards.filter(({ card, section }) => {
		if (section.key === owner.key || card.number === null) return false;
		if (owner.series.length > 0) return seriesOf(owner, card.number) === undefined;
		const digits = parseCardNumber(card.number).digits ?? 0;
		return owner.statedTotal !== undefined && digits > owner.statedTotal;
	});
	const sections = new Set(strays.map(({ section }) => section));
	return [...sections].map((section) => {
		const inSection = strays.filter((stray) => stray.section === section);
		return {
			code: 'outside its numbering',
			weight: 'wrong',
			message: `${section.name} has ${numbersOf(inSection)}, outside the numbers of ${owner.name}`,
			pointer: `/sections/${release.sections.findIndex(({ key }) => key === section.key)}`,
			cards: inSection.map(({ card }) => card.key)
		};
	});
}

function findRepeatedTitles({ owner, cards }: Numbering, s: number): Finding[] {
	const byTitle = new Map<string, NumberedCard[]>();
	for (const found of cards) {
		// A panel bears the titles of its singles.
		if (found.card.title === '' || found.card.panelOf.length > 0) continue;
		const place = `${found.section.key} ${found.card.title.toLowerCase()}`;
		const list = byTitle.get(place);
		if (list) list.push(found);
		else byTitle.set(place, [found]);
	}
	return [...byTitle.values()]
		.filter((list) => list.length > 1)
		.map((list) => ({
			code: 'repeated title',
			weight: 'odd',
			message: `"${at(list, 0).card.title}" stands ${list.length} times in ${owner.name}: ${numbersOf(list) || 'without numbers'}`,
			pointer: `/sections/${s}`,
			cards: list.map(({ card }) => card.key)
		}));
}

/** "The card says 120, you have 131: here are the 11." */
function findTotal({ owner, cards }: Numbering, s: number): Finding[] {
	const stated = owner.statedTotal;
	if (stated === undefined) return [];
	// A total over sections that the checklist card leaves out is meant of them all the same.
	const counts = owner.listed ? ({ section }: NumberedCard) => section.listed : () => true;
	const listed = cards.filter((found) => counts(found) && found.card.panelOf.length === 0);
	if (listed.length === stated) return [];
	const beyond = listed.filter(
		({ card }) => (parseCardNumber(card.number ?? '').digits ?? 0) > stated
	);
	// Where no number gives them away, the last ones are the likeliest.
	const surplus = listed.length - stated;
	const extra = beyond.length === surplus ? beyond : listed.slice(Math.max(0, stated));
	const what =
		surplus > 0
			? `here ${surplus === 1 ? 'is the 1' : `are the ${surplus}`}: ${numbersOf(extra) || extra.map(({ card }) => card.title).join(', ')}`
			: `${-surplus} ${surplus === -1 ? 'is' : 'are'} not entered`;
	return [
		{
			code: 'stated total differs',
			weight: 'wrong',
			message: `the checklist card says ${stated} for ${owner.name}, you have ${listed.length}: ${what}`,
			pointer: `/sections/${s}/statedTotal`,
			cards: surplus > 0 ? extra.map(({ card }) => card.key) : []
		}
	];
}

function numbersOf(cards: readonly NumberedCard[]): string {
	return foldRuns(cards.flatMap(({ card }) => card.number ?? []));
}
