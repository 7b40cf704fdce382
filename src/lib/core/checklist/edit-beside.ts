import { bad, good, type Outcome } from '../problem.ts';
import type { Collectible, Hunt } from './beside-cards.ts';
import type { Release } from './release.ts';
import { keyMaker, slug } from './slug.ts';

/** Adds something collected beside the cards; of a kind each name stands once. Texts are trimmed. */
export function addCollectible(
	release: Release,
	{ kind, name, note = '' }: Omit<Collectible, 'key'>
): Outcome<Release> {
	const { collectibles = [] } = release;
	const called = name.trim();
	if (called === '') {
		return bad([{ field: 'name', message: 'it has no name', remedy: 'Write what it is called.' }]);
	}
	if (collectibles.some((known) => known.kind === kind && known.name === called)) {
		const remedy = 'Tell the two apart by their names.';
		return bad([{ field: 'name', message: `the ${kind} "${called}" is there already`, remedy }]);
	}
	const key = keyMaker(new Set(collectibles.map((known) => known.key)))(slug(called));
	const made = { key, kind, name: called, ...(note.trim() ? { note: note.trim() } : {}) };
	return good({ ...release, collectibles: [...collectibles, made] });
}

/** Takes a collectible off the list; copies of it stand in the way where the release is saved. */
export function dropCollectible(
	{ collectibles = [], ...release }: Release,
	key: string
): Outcome<Release> {
	const left = collectibles.filter((known) => known.key !== key);
	if (left.length === collectibles.length) {
		return bad([{ message: 'this is not on the list', remedy: 'Reload the page.' }]);
	}
	return good(left.length > 0 ? { ...release, collectibles: left } : release);
}

/** What is said of a hunt when it is begun; empty texts are left out. */
export type HuntWords = Pick<Hunt, 'name' | 'section' | 'note' | 'source'>;

/** Adds something suspected to exist; a name stands once, and its section must be there. Texts are trimmed. */
export function addHunt(
	release: Release,
	{ name, section, note, source }: HuntWords
): Outcome<Release> {
	const { hunts = [], sections } = release;
	const called = name.trim();
	if (called === '') {
		return bad([{ field: 'name', message: 'it has no name', remedy: 'Write what is looked for.' }]);
	}
	if (hunts.some((known) => known.name === called)) {
		const remedy = 'Say there that it was looked for again.';
		return bad([{ field: 'name', message: `"${called}" is looked for already`, remedy }]);
	}
	if (section && !sections.some(({ key }) => key === section)) {
		return bad([
			{ field: 'section', message: 'there is no such section', remedy: 'Reload the page.' }
		]);
	}
	const key = keyMaker(new Set(hunts.map((known) => known.key)))(slug(called));
	const said = Object.entries({ section, note: note?.trim(), source: source?.trim() });
	const hunt = { key, name: called, ...Object.fromEntries(said.filter(([, text]) => text)) };
	return good({ ...release, hunts: [...hunts, hunt] });
}

/** Takes a hunt off the list: nothing was found, and it is looked for no more. */
export function dropHunt(release: Release, key: string): Outcome<Release> {
	const { hunts = [] } = release;
	return hunts.some((known) => known.key === key)
		? good(
				withHunts(
					release,
					hunts.filter((known) => known.key !== key)
				)
			)
		: bad([{ message: 'this is no longer looked for', remedy: 'Reload the page.' }]);
}

/** A release with other hunts; without any it has no such list. */
export function withHunts({ hunts: _, ...release }: Release, hunts: readonly Hunt[]): Release {
	return hunts.length > 0 ? { ...release, hunts } : release;
}
