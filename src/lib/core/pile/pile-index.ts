import { normalCardNumber } from '../checklist/numbers/card-number.ts';
import { numberingsOf } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';
import { plainName } from '../checklist/slug.ts';
import { parseVersionKey } from '../checklist/versions/version-key.ts';
import { versionMaker, type Version, type VersionMaker } from '../checklist/versions/expand.ts';
import type { IndexedCard } from '../shorthand/card-index.ts';
import { vocabularyOf, type Vocabulary } from '../shorthand/vocabulary.ts';

/** A card of a release that a card of the pile may be. */
export interface PileEntry {
	readonly of: PileRelease;
	readonly found: IndexedCard;
	/** As they are compared. */
	readonly numbers: readonly string[];
	/** Title, as words are compared: "-ada-hale-". */
	readonly title: string;
	/** What names the card itself: title, subjects, group, tags. */
	readonly about: string;
	/** All that is said of it: title, subjects, group, section, tells, release, maker, year. */
	readonly words: string;
}

/** A release that cards of the pile may be of. */
export interface PileRelease {
	readonly release: Release;
	readonly vocabulary: Vocabulary;
	readonly versionsOf: VersionMaker;
	/** Its place among the releases of the pile: the last used first. */
	readonly place: number;
}

/** Every card that a card of the pile may be. */
export interface PileIndex {
	readonly releases: readonly PileRelease[];
	readonly entries: readonly PileEntry[];
	readonly byNumber: ReadonlyMap<string, readonly PileEntry[]>;
	/** By "release/card". */
	readonly byCard: ReadonlyMap<string, PileEntry>;
}

/** Words as they are compared, each between hyphens. */
export const wordsOf = (texts: readonly (string | undefined)[]): string =>
	`-${plainName(texts.filter(Boolean).join(' '))}-`;

/** Indexes the releases of a pile, the last used first. */
export function indexPile(releases: readonly Release[]): PileIndex {
	const entries: PileEntry[] = [];
	const byNumber = new Map<string, PileEntry[]>();
	const byCard = new Map<string, PileEntry>();
	const of = releases.map((release, place): PileRelease => ({
		release,
		vocabulary: vocabularyOf(release),
		versionsOf: versionMaker(release),
		place
	}));
	for (const known of of) {
		const { name, maker, year } = known.release;
		for (const numbering of numberingsOf(known.release)) {
			for (const placed of numbering.cards) {
				const { card, section } = placed;
				const numbers = [...(card.number === null ? [] : [card.number]), ...card.otherNumbers].map(
					normalCardNumber
				);
				const entry: PileEntry = {
					of: known,
					found: { ...placed, numbering },
					numbers,
					title: wordsOf([card.title]),
					about: wordsOf([
						card.title,
						...card.subjects,
						card.group,
						...Object.values(card.tags ?? {}).flat()
					]),
					words: wordsOf([
						card.title,
						...card.subjects,
						card.group,
						...card.marks,
						...Object.values(card.tags ?? {}).flat(),
						section.name,
						section.howToTell,
						...known.release.parallels.map(({ howToTell }) => howToTell),
						name,
						maker,
						year
					])
				};
				entries.push(entry);
				byCard.set(`${known.release.key}/${card.key}`, entry);
				for (const number of numbers) {
					const list = byNumber.get(number);
					if (list) list.push(entry);
					else byNumber.set(number, [entry]);
				}
			}
		}
	}
	return { releases: of, entries, byNumber, byCard };
}

/** A card of a pile's releases with its version, by the version's key; null where no release has it. */
export function findInIndex(
	index: PileIndex,
	key: string
): { readonly entry: PileEntry; readonly version: Version } | null {
	const name = parseVersionKey(key);
	const entry = name ? index.byCard.get(`${name.release}/${name.card}`) : undefined;
	if (!entry) return null;
	const { numbering, section, card } = entry.found;
	const version = entry.of
		.versionsOf(numbering.key, section, card)
		.find((each) => each.key === key);
	return version ? { entry, version } : null;
}
