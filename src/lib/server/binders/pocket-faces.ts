import { formatOfCard } from '../../core/checklist/card-format.ts';
import type { PocketCard } from '../../core/binder/pocket-cards.ts';
import type { PocketFace, PocketState } from '../../core/binder/pocket-face.ts';
import { cardsOf, type Release } from '../../core/checklist/release.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { groupName } from '../../core/goal/missing-list.ts';
import type { ScopedSlot } from '../../core/goal/scope-goal.ts';
import type { Reader } from '../database/open.ts';
import { photosOf } from '../media/photos.ts';
import { type CopyId, rowId } from '../../core/row-id.ts';

/** What the pockets of slots show: card, place, whether it is here, and its first photo. */
export async function pocketFaces(
	db: Reader,
	releases: readonly Release[],
	slots: readonly ScopedSlot[],
	cards: ReadonlyMap<string, PocketCard>
): Promise<readonly PocketFace[]> {
	const found = new Map(
		releases.flatMap((release) =>
			cardsOf(release).map(
				(listed) => [`${release.key}/${listed.card.key}`, { release, ...listed }] as const
			)
		)
	);
	const variants = new Map(
		releases.flatMap((release) =>
			release.variants.map(({ key, name }) => [`${release.key} ${key}`, name] as const)
		)
	);
	const lying = new Set([...cards.values()].flatMap((card) => card.inPocket ?? []));
	const ids = [...lying].map((id): CopyId => rowId(Number(id)));
	const fronts = new Map<string, string>();
	const backs = new Map<string, string>();
	for (const { copyId, hash, side } of await photosOf(db, ids)) {
		const shown = side === 'back' ? backs : fronts;
		if (!shown.has(String(copyId))) shown.set(String(copyId), hash);
	}
	return slots.map(({ key, release: home, version }) => {
		const listed = found.get(`${home}/${version.cardKey}`);
		if (!listed) throw new RangeError(`pocketFaces: no card "${version.cardKey}" in ${home}`);
		const { card, section, release } = listed;
		const pocket = cards.get(key);
		const photo = fronts.get(pocket?.inPocket ?? '');
		const backPhoto = backs.get(pocket?.inPocket ?? '');
		const format = formatOfCard(section, card);
		const variant = variants.get(`${release.key} ${version.variantKey}`);
		return {
			slot: key,
			seed: `${release.key}/${card.key}`,
			releaseKey: release.key,
			cardKey: card.key,
			number: card.number,
			title: card.title,
			group: card.group ?? '',
			place: [groupName(release, section, version.parallelKey), variant, card.rarity]
				.filter(Boolean)
				.join(', '),
			finish: version.parallelKey,
			printRun: version.printRun,
			state: stateOf(pocket),
			...(pocket?.pulledOut === undefined ? {} : { kept: pocket.pulledOut }),
			...(photo ? { photo } : {}),
			...(backPhoto ? { backPhoto } : {}),
			...(format ? { format } : {})
		};
	});
}

function stateOf(pocket: PocketCard | undefined): PocketState {
	if (!pocket) return 'missing';
	if (pocket.pulledOut === undefined) return 'here';
	return pocket.inPocket === null ? 'elsewhere' : 'stand-in';
}

/** The version that names a slot: its key but for the set it belongs to and the goal that keeps it. */
export function cardOfSlot(slot: string) {
	return parseVersionKey(slot.replace(/(#\d+)?(@\d+)*$/, ''));
}
