import { groupLaws } from '../../core/packs/odds/group-law.ts';
import { lastCards, type LastCardsAsked } from '../../core/packs/player/last-cards.ts';
import { slotsOf } from '../../core/packs/profile/pack-profile.ts';
import { profileOfRelease } from '../../core/packs/profile/profile-of-release.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import { loadRelease } from '../releases/load-release.ts';
import { packKinds } from './pack-kinds.ts';

export interface LastCardsAsk {
	/** "release pack": keys; null: the first. */
	readonly pack: string | null;
	/** Key of the group; null: the first. */
	readonly group: string | null;
}

/** Why the last cards of a set cost most: a set of the collection, as packs fill it. */
export async function lastCardsView(db: Reader, ask: LastCardsAsk) {
	const kinds = await packKinds(db);
	const kind = kinds.find(({ key }) => key === ask.pack) ?? kinds[0] ?? null;
	const [releaseKey = '', packKey = ''] = kind?.key.split(' ') ?? [];
	const stored = kind && (await loadRelease(db, releaseKey));
	const pack = stored?.release.packTypes.find(({ key }) => key === packKey);
	if (!kind || !stored || !pack) return { kinds, kind: null, groups: [], group: null, set: null };
	const { profile, groups } = profileOfRelease(stored.release, pack, () => 1);
	const owned = countOwned(await readCopies(db, stored.id));
	const laws = new Map(groupLaws(profile, slotsOf(profile)).map((law) => [law.group.key, law]));
	const sets = groups.flatMap(({ key, name, versions }) => {
		const law = laws.get(key);
		// Drawn singly from fewer cards than a pack has they are no different ones.
		const isFit = law?.draws.every(({ count }) => count <= versions.length) ?? false;
		if (!law || !isFit) return [];
		const here = versions.filter((version) => (owned.get(version) ?? 0) > 0).length;
		return [{ key, name, asked: { cards: versions.length, owned: here, draws: law.draws } }];
	});
	const set = sets.find(({ key }) => key === ask.group) ?? sets[0] ?? null;
	// A set that is complete is played from nothing.
	const isComplete = set !== null && set.asked.owned === set.asked.cards;
	const asked: LastCardsAsked | null = set && {
		...set.asked,
		owned: isComplete ? 0 : set.asked.owned
	};
	return {
		...{ kinds, kind, packName: pack.name, packsPerBox: pack.packsPerBox ?? null },
		groups: sets.map(({ key, name }) => ({ key, name })),
		group: set && { key: set.key, name: set.name, isComplete },
		set: asked && { asked, told: lastCards(asked) }
	};
}
