import { error } from '@sveltejs/kit';
import { versionMaker } from '$lib/core/checklist/versions/expand';
import { numberingsOf } from '$lib/core/checklist/numbering';
import { expectedLettering } from '$lib/core/checklist/strip-lettering';
import { isBeside, withCollectibles } from '$lib/core/checklist/with-collectibles';
import { variantsOf } from '$lib/core/checklist/variant';
import { parseVersionKey } from '$lib/core/checklist/versions/version-key';
import { repeatedSerials } from '$lib/core/copies/check-copy';
import { candidatesOf } from '$lib/core/telling/candidates-of';
import { nameVersion } from '$lib/core/copies/name-version';
import { placesOfCopies } from '$lib/server/places/places-of';
import { stackSlots } from '$lib/server/goals/stack-slots';
import { theCollection } from '$lib/server/collection';
import { countOwned, readCopies } from '$lib/server/copies/read-copies';
import { openOutings } from '$lib/server/copies/outings';
import { photosOf } from '$lib/server/media/photos';
import { nameVersions } from '$lib/server/releases/name-versions';
import { leadsOf } from '$lib/server/worth/leads-of';
import { listLookAlikes } from '$lib/server/telling/look-alikes';
import { loadRelease } from '$lib/server/releases/load-release';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const stored = await loadRelease(db, params.release);
	const places = stored ? numberingsOf(withCollectibles(stored.release)) : [];
	const numbering = places.find(({ cards }) => cards.some(({ card }) => card.key === params.card));
	const at = numbering?.cards.findIndex(({ card }) => card.key === params.card) ?? -1;
	const found = numbering?.cards[at];
	if (!stored || !numbering || !found) error(404, 'This card is not in the checklist.');
	const { release } = stored;
	const { card, section } = found;
	const copies = await readCopies(db, stored.id);
	const ofCard = copies.filter(({ version }) => parseVersionKey(version)?.card === card.key);
	const photos = await photosOf(
		db,
		ofCard.map(({ id }) => id)
	);
	const placeOf = await placesOfCopies(
		db,
		ofCard.map(({ id }) => id)
	);
	const out = await openOutings(
		db,
		ofCard.map(({ id }) => id)
	);
	const deviations = isBeside(section) ? [] : variantsOf(release.variants, section, card);
	const made = versionMaker(release)(numbering.key, section, card);
	const neighbour = (step: 1 | -1) => numbering.cards[at + step]?.card ?? null;
	return {
		card,
		section: {
			key: section.key,
			name: section.name,
			howToTell: section.howToTell,
			lettering: expectedLettering(section, card)
		},
		/** What each version shows, where anything tells them apart. */
		candidates: candidatesOf(
			made.map((version) => ({ release, section, card, version })),
			countOwned(copies)
		),
		versions: made.map((version) => ({
			...version,
			finish:
				release.parallels.find(({ key }) => key === version.parallelKey)?.name ?? 'Base finish',
			howToTell: release.parallels.find(({ key }) => key === version.parallelKey)?.howToTell ?? '',
			variant:
				release.variants.find(({ key }) => key === version.variantKey)?.name ??
				// The regular side has a name where its variant gives it one.
				deviations.find(({ regularName }) => regularName)?.regularName ??
				''
		})),
		variants: deviations,
		/** Names of the cards it is said to be like, by "release/card". */
		alike: Object.fromEntries(
			[...(await nameVersions(db, [...(card.sameAs ?? []), ...(card.samePictureAs ?? [])]))].map(
				([key, named]) => [key, `${named.card}, ${named.release}`]
			)
		),
		copies: ofCard.map((copy) => ({
			...copy,
			photos: photos.filter(({ copyId }) => copyId === copy.id),
			/** Boxes and binders it is in. */
			places: placeOf.get(copy.id) ?? [],
			/** With whom it is, while it is out. */
			out: out.filter(({ copyId }) => copyId === copy.id)
		})),
		/** Sets of look-alikes that it is in. */
		mistaken: (await listLookAlikes(db, { release: release.key, card: card.key })).map(
			({ id, name, keys }) => ({ id, name, keys })
		),
		repeated: repeatedSerials(ofCard),
		/** What goals make of it, slot by slot. */
		wanted: (await stackSlots(db, [stored.id]))
			.filter(({ versions }) =>
				versions.some((version) => parseVersionKey(version)?.card === card.key)
			)
			.map(({ key, goal, versions, heldRank }) => ({
				key,
				goal,
				isFilled: heldRank !== null,
				version: nameVersion(release, versions[0] ?? '')
			})),
		leads: await leadsOf(db, stored.id, card),
		before: neighbour(-1),
		after: neighbour(1)
	};
};
