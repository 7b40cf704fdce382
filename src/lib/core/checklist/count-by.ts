import { wholeSections } from './edition.ts';
import type { Card } from './card.ts';
import type { Release } from './release.ts';

/** What cards are counted by: their group, their subjects, or a family of their tags. */
export type CountedBy =
	{ readonly kind: 'group' | 'subject' } | { readonly kind: 'tag'; readonly family: string };

/** How many cards bear a word, column by column. */
export interface CountRow {
	readonly word: string;
	/** In the order of the columns. */
	readonly counts: readonly number[];
	readonly total: number;
}

/** Words of cards counted by section, or by release. */
export interface CountTable {
	/** Keys of the sections, or of the releases. */
	readonly columns: readonly string[];
	/** Most cards first, equal ones in the alphabet. */
	readonly rows: readonly CountRow[];
	/** Cards of each column that bear no such word. */
	readonly without: readonly number[];
}

/** Each group once? Words of a section that stand on several of its cards, and those it lacks. */
export interface RollCall {
	readonly section: string;
	readonly once: readonly string[];
	readonly repeated: readonly { readonly word: string; readonly cards: number }[];
	/** On cards of other sections only. */
	readonly absent: readonly string[];
}

/** What a card is counted as; each word once. */
export function wordsOf({ group, subjects, tags = {} }: Card, by: CountedBy): readonly string[] {
	switch (by.kind) {
		case 'group':
			return group === undefined ? [] : [group];
		case 'subject':
			return [...new Set(subjects)];
		case 'tag':
			return Object.hasOwn(tags, by.family) ? [...new Set(tags[by.family])] : [];
	}
}

/** Cards of a release by word and section; an edition repeats the words of what it repeats. */
export function countBySection(release: Release, by: CountedBy): CountTable {
	return countIn(
		wholeSections(release).map(({ key, cards }) => ({ key, cards })),
		by
	);
}

/**
 * Cards of several releases by word and release: who is in which, and absent elsewhere. Re-issues and
 * foreign editions are left out: they repeat.
 */
export function countByRelease(releases: readonly Release[], by: CountedBy): CountTable {
	return countIn(
		releases.map(({ key, sections }) => ({
			key,
			cards: sections.filter(({ edition }) => !edition).flatMap(({ cards }) => cards)
		})),
		by
	);
}

function countIn(
	columns: readonly { readonly key: string; readonly cards: readonly Card[] }[],
	by: CountedBy
): CountTable {
	const counts = new Map<string, number[]>();
	const without = columns.map(({ cards }, column) => {
		let bare = 0;
		for (const card of cards) {
			const words = wordsOf(card, by);
			if (words.length === 0) bare++;
			for (const word of words) {
				const row = counts.get(word) ?? columns.map(() => 0);
				row[column] = (row[column] ?? 0) + 1;
				counts.set(word, row);
			}
		}
		return bare;
	});
	const rows = [...counts].map(([word, row]) => ({
		word,
		counts: row,
		total: row.reduce((sum, count) => sum + count, 0)
	}));
	return {
		columns: columns.map(({ key }) => key),
		rows: rows.sort((a, b) => b.total - a.total || a.word.localeCompare(b.word, 'en')),
		without
	};
}

/**
 * The roll-call of each section that has two such words or more: which of all the release's words stand
 * in it once, which several times, which not at all.
 */
export function rollCalls({ columns, rows }: CountTable): readonly RollCall[] {
	return columns.flatMap((section, column): readonly RollCall[] => {
		const called = rows.map(({ word, counts }) => ({ word, cards: counts[column] ?? 0 }));
		if (called.filter(({ cards }) => cards > 0).length < 2) return [];
		return [
			{
				section,
				once: called.flatMap(({ word, cards }) => (cards === 1 ? [word] : [])),
				repeated: called.filter(({ cards }) => cards > 1),
				absent: called.flatMap(({ word, cards }) => (cards === 0 ? [word] : []))
			}
		];
	});
}

/** What the cards of releases can be counted by, in the order in which they first bear it. */
export function countable(releases: readonly Release[]): readonly CountedBy[] {
	const cards = releases.flatMap(({ sections }) => sections.flatMap((section) => section.cards));
	const families = new Set(cards.flatMap(({ tags }) => Object.keys(tags ?? {})));
	return [
		...(cards.some(({ group }) => group !== undefined) ? [{ kind: 'group' } as const] : []),
		...(cards.some(({ subjects }) => subjects.length > 0) ? [{ kind: 'subject' } as const] : []),
		...[...families].map((family) => ({ kind: 'tag', family }) as const)
	];
}
