import { COLLECTIBLE_KINDS, type CollectibleKind } from './beside-cards.ts';
import type { Release } from './release.ts';
import type { Section } from './section.ts';

/**
 * Key of the section as which the collectibles of a release are told: keys that files and people give begin with
 * a letter or a digit.
 */
const BESIDE = '.beside';
/** What the section is called, on pages and in files. */
export const BESIDE_NAME = 'Beside the cards';
/** With this the keys begin by which copies of collectibles name them, as they name a card by its. */
export const COLLECTIBLE_PREFIX = '.';

/** Whether a section tells of what is collected beside the cards. */
export const isBeside = (section: Pick<Section, 'key'>): boolean => section.key === BESIDE;

/** Whether a version (its key) is a collectible of some release. */
export const isCollectible = (version: string): boolean =>
	version.includes(`/${COLLECTIBLE_PREFIX}`);

/** The key by which copies of a collectible name it. */
export const collectibleCardKey = (key: string): string => COLLECTIBLE_PREFIX + key;

/**
 * A release with its collectibles as a section behind the others, so that they can be owned and asked for:
 * without numbers, in one finish, their kind as the group. Without any of the kinds, the release as it is;
 * asked again, too.
 *
 * @param kinds left out: all of them
 */
export function withCollectibles(
	release: Release,
	kinds: readonly CollectibleKind[] = COLLECTIBLE_KINDS
): Release {
	const { collectibles = [], sections } = release;
	const wanted = collectibles.filter(({ kind }) => kinds.includes(kind));
	if (wanted.length === 0 || sections.some(isBeside)) return release;
	const section: Section = {
		key: BESIDE,
		name: BESIDE_NAME,
		kind: 'extra',
		listed: false,
		series: [],
		odds: [],
		alsoIn: [],
		cards: wanted.map(({ key, kind, name, note }) => ({
			key: collectibleCardKey(key),
			number: null,
			otherNumbers: [],
			title: name,
			subjects: [],
			group: kind,
			marks: [],
			panelOf: [],
			...(note === undefined ? {} : { note })
		}))
	};
	return { ...release, sections: [...sections, section] };
}
