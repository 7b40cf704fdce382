import { at } from '../at.ts';
import { rollup } from 'd3-array';
import { normalCardNumber } from '../checklist/numbers/card-number.ts';
import { BESIDE_NAME, isBeside, withCollectibles } from '../checklist/with-collectibles.ts';
import { versionMaker } from '../checklist/versions/expand.ts';
import type { Release } from '../checklist/release.ts';
import { formatVersionKey } from '../checklist/versions/version-key.ts';
import { checkCopy } from '../copies/check-copy.ts';
import { indexCards, normalTitle, type IndexedCard } from '../shorthand/card-index.ts';
import { normalPhrase, vocabularyOf } from '../shorthand/vocabulary.ts';
import { PRINTING_UNSEEN, type HoldingFields, type HoldingRow } from './holding-row.ts';
import { likeness, matchSet, sureOf, type NamedSet, type SetCandidate } from './match-sets.ts';

/** A row that is a copy of a known version. */
export interface MatchedHolding {
	readonly line: number;
	readonly version: string;
	readonly fields: HoldingFields & { readonly attributes: readonly string[] };
}

/** A row that is kept to be settled, with the reason. */
export interface UnmatchedHolding {
	readonly line: number;
	readonly reason: string;
}

/** A set that the list names, with what it may be and what it was taken for. */
export interface MatchedSet extends NamedSet {
	readonly name: string;
	readonly rows: number;
	readonly candidates: readonly SetCandidate[];
	/** Key of the release; null where a person has to choose. */
	readonly release: string | null;
}

export interface HoldingsMatch {
	readonly sets: readonly MatchedSet[];
	readonly matched: readonly MatchedHolding[];
	readonly unmatched: readonly UnmatchedHolding[];
}

/** The name by which a choice for a set is remembered. */
function setName({ year, maker, set }: NamedSet): string {
	return [year, maker, set].map((part) => part.trim()).join('|');
}

/**
 * Gives the rows of a list to the cards of checklists. Nothing is dropped and nothing is guessed
 * silently: a row is matched, or kept with the reason why not.
 *
 * @param choices name of a set → key of the release that a person chose for it, '' for none
 */
export function matchHoldings(
	rows: readonly HoldingRow[],
	releases: readonly Release[],
	choices: Readonly<Record<string, string>> = {}
): HoldingsMatch {
	const named = new Map<string, { row: HoldingRow; rows: number }>();
	for (const row of rows) {
		const known = named.get(setName(row));
		if (known) known.rows++;
		else named.set(setName(row), { row, rows: 1 });
	}
	const sets = [...named].map(([name, { row, rows: count }]): MatchedSet => {
		const { year, maker, set } = row;
		const candidates = matchSet(row, releases).slice(0, 5);
		const choice = Object.hasOwn(choices, name) ? choices[name] : undefined;
		const release = choice === undefined ? sureOf(candidates) : choice || null;
		return { name, year, maker, set, rows: count, candidates, release };
	});
	const chosen = new Map(sets.map(({ name, release }) => [name, release]));
	const finders = new Map<string, ReturnType<typeof cardFinder>>();
	const matched: MatchedHolding[] = [];
	const unmatched: UnmatchedHolding[] = [];
	const byKey = new Map(releases.map((release) => [release.key, release]));
	for (const row of rows) {
		const release = byKey.get(chosen.get(setName(row)) ?? '');
		if (!release) {
			unmatched.push({ line: row.line, reason: `which release is "${row.set}"?` });
			continue;
		}
		const find = finders.get(release.key) ?? cardFinder(release);
		finders.set(release.key, find);
		const found = find(row);
		if ('reason' in found) unmatched.push({ line: row.line, reason: found.reason });
		else matched.push({ line: row.line, ...found });
	}
	return { sets, matched, unmatched };
}

/** Below this a subject that a row names and the card's own have nothing to do with each other. */
const LEAST_LIKENESS = 0.3;

function indexSubjects(
	index: ReturnType<typeof indexCards>
): ReadonlyMap<string, readonly IndexedCard[]> {
	const all = index.numberings.flatMap((numbering) =>
		numbering.cards.flatMap((found) =>
			[...new Set(found.card.subjects.map(normalTitle))].map((subject) => ({
				subject,
				found: { ...found, numbering }
			}))
		)
	);
	return rollup(
		all,
		(entries) => entries.map(({ found }) => found),
		({ subject }) => subject
	);
}

type Found = Omit<MatchedHolding, 'line'> | { readonly reason: string };

function cardFinder(release: Release): (row: HoldingRow) => Found {
	const index = indexCards(withCollectibles(release));
	const versionsOf = versionMaker(release);
	const { meanings } = vocabularyOf(release);
	let subjects: ReadonlyMap<string, readonly IndexedCard[]> | undefined;
	const bySubject = () => (subjects ??= indexSubjects(index));
	return (row) => {
		// A poster has the name of a card: it is meant where its section is said.
		const isBesideMeant = normalPhrase(row.section) === normalPhrase(BESIDE_NAME);
		const candidates = candidatesOf(row).filter(
			({ section }) => isBeside(section) === isBesideMeant
		);
		const cards = narrow(candidates, row);
		const [card] = cards;
		if (!card) {
			const what = row.number || row.subject || 'a card without number and subject';
			return { reason: `${release.name} has no ${what}` };
		}
		if (cards.length > 1) {
			const places = [...new Set(cards.map(({ section }) => section.name))].join(', ');
			return { reason: `${row.number || row.subject} stands in several places: ${places}` };
		}
		const other = strangerTo(card, row);
		if (other) return { reason: other };
		return versionOf(card, row);
	};

	/** What a row says against a card that has its number: another subject altogether. */
	function strangerTo({ card }: IndexedCard, { number, subject }: HoldingRow): string | null {
		if (number === '' || subject === '') return null;
		const names = [card.title, ...card.subjects].filter(Boolean);
		const isLike = names.some((name) => likeness(name, subject) >= LEAST_LIKENESS);
		return names.length === 0 || isLike
			? null
			: `${number} is ${at(names, 0)} here, not ${subject}`;
	}

	function candidatesOf({ number, subject }: HoldingRow): readonly IndexedCard[] {
		const plain = number.replace(/^#/, '').trim();
		if (plain !== '') return index.byNumber.get(normalCardNumber(plain)) ?? [];
		if (subject === '') return [];
		const byTitle = index.byTitle.get(normalTitle(subject)) ?? [];
		if (byTitle.length > 0) return byTitle;
		return bySubject().get(normalTitle(subject)) ?? [];
	}

	/** Of several cards with the number, those whose section or subject the row names. */
	function narrow(cards: readonly IndexedCard[], row: HoldingRow): readonly IndexedCard[] {
		if (cards.length < 2) return cards;
		const words = [row.section, row.set, ...row.attributes].map(normalPhrase);
		const bySection = cards.filter(({ section, numbering }) =>
			[section.name, numbering.name].some((name) => words.includes(normalPhrase(name)))
		);
		const named = bySection.length > 0 ? bySection : cards;
		const bySubject = named.filter(({ card }) =>
			[card.title, ...card.subjects].some(
				(name) => row.subject !== '' && normalTitle(name) === normalTitle(row.subject)
			)
		);
		return bySubject.length > 0 ? bySubject : named;
	}

	function versionOf(found: IndexedCard, row: HoldingRow): Found {
		const words = [row.parallel, ...row.attributes].filter(Boolean);
		const meant = words.map((word) => ({ word, meaning: meanings.get(normalPhrase(word)) }));
		const parallels = meant.filter(({ meaning }) => meaning?.kind === 'parallel');
		const unknown = row.parallel !== '' && meanings.get(normalPhrase(row.parallel)) === undefined;
		const isBase = /^(base|none|-)$/i.test(row.parallel);
		if (unknown && !isBase) return { reason: `${release.name} has no parallel "${row.parallel}"` };
		const [first, second] = parallels;
		if (second && first?.word !== second.word) {
			return { reason: `${first?.word ?? ''} and ${second.word}: which finish is it?` };
		}
		const made = versionsOf(found.numbering.key, found.section, found.card);
		const finishes = [...new Set(made.map(({ parallelKey }) => parallelKey))];
		const isPlain = first === undefined;
		if (isPlain && finishes.length > 1 && !finishes.includes(null)) {
			const names = finishes.flatMap(
				(key) => release.parallels.find((parallel) => parallel.key === key)?.name ?? []
			);
			return { reason: `there is no base finish: is it ${names.join(' or ')}?` };
		}
		const parallel =
			first?.meaning?.kind === 'parallel' ? first.meaning.key : (finishes[0] ?? null);
		const variantOf = (name: string) =>
			made.find(
				(candidate) =>
					candidate.parallelKey === parallel &&
					candidate.variantKey !== null &&
					release.variants.some(
						(variant) =>
							variant.key === candidate.variantKey &&
							(variant.name === name || variant.kind === name)
					)
			)?.variantKey ?? null;
		const shown = new Map(
			meant.flatMap(({ word, meaning }) => {
				const key = meaning?.kind === 'variant' ? variantOf(meaning.name) : null;
				return key === null ? [] : [[word, key] as const];
			})
		);
		const [variantKey = null, ...alsoVariants] = new Set(shown.values());
		const isPrintingUnseen = words.some(
			(word) => normalPhrase(word) === normalPhrase(PRINTING_UNSEEN)
		);
		const version = formatVersionKey({
			release: release.key,
			card: found.card.key,
			parallel,
			variant: variantKey
		});
		const exact = made.find(({ key }) => key === version);
		const card = found.card.number ?? found.card.title;
		if (!exact) return { reason: `${first?.word ?? 'this finish'} was not made of ${card}` };
		const [problem] = checkCopy(row.fields, exact.printRun);
		if (problem) return { reason: problem.message };
		// A word that says nothing of the version, or of the state, is kept as the person's own.
		const said = meant.find(({ meaning }) => meaning?.kind === 'condition')?.meaning;
		const condition =
			row.fields.condition ?? (said?.kind === 'condition' ? said.condition : undefined);
		const attributes = meant.flatMap(({ word, meaning }) => {
			const isUsed =
				meaning?.kind === 'parallel' ||
				meaning?.kind === 'section' ||
				(meaning?.kind === 'condition' && meaning.condition === condition) ||
				shown.has(word) ||
				normalPhrase(word) === normalPhrase(PRINTING_UNSEEN);
			return isUsed || word === row.parallel ? [] : [word];
		});
		return {
			version,
			fields: {
				...row.fields,
				...(condition ? { condition } : {}),
				...(alsoVariants.length > 0 ? { alsoVariants } : {}),
				...(isPrintingUnseen ? { isPrintingUnseen } : {}),
				attributes
			}
		};
	}
}
