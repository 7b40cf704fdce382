import { wholeSections } from '$lib/core/checklist/edition';
import { lackingInPacks } from '$lib/core/packs/finishes/lacking-in-packs';
import { packFinder, packFinishes } from '$lib/core/packs/finishes/pack-finishes';
import { versionNamer } from '$lib/core/copies/name-version';
import { theCollection } from '$lib/server/collection';
import { stackSlots } from '$lib/server/goals/stack-slots';
import { loadRelease } from '$lib/server/releases/load-release';
import { usualRelease } from '$lib/server/releases/usual-release';

/** Open slots that are shown one by one. */
const MOST_SHOWN = 200;

/** Which finishes each kind of pack of `?release=` may hold, and which packs may hold what its goals lack. */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const key = url.searchParams.get('release') ?? (await usualRelease(db)) ?? '';
	const stored = await loadRelease(db, key);
	if (!stored) return { release: null };
	const { release } = stored;
	const slots = await stackSlots(db, [stored.id]);
	const open = new Map(
		slots
			.filter(({ heldRank }) => heldRank === null)
			.map(({ versions }) => [versions.join(' '), versions])
	);
	const nameOf = versionNamer(release);
	const lacking = lackingInPacks(
		packFinder(release),
		[...open.values()],
		release.packTypes.map(({ key: pack }) => pack)
	);
	const sections = new Map(wholeSections(release).map((section) => [section.key, section.name]));
	return {
		release: { key: release.key, name: release.name },
		packTypes: release.packTypes.map(({ key: pack, name }) => ({ key: pack, name })),
		finishes: packFinishes(release).map((source) => ({
			...source,
			section: sections.get(source.sectionKey) ?? source.sectionKey,
			finish: release.parallels.find((each) => each.key === source.parallelKey)?.name ?? 'Base'
		})),
		prospects: lacking.prospects,
		open: open.size,
		slots: lacking.slots.slice(0, MOST_SHOWN).map(({ versions, packs }) => ({
			key: versions.join(' '),
			name: [nameOf(versions[0] ?? '').name, nameOf(versions[0] ?? '').title]
				.filter((part, i, all) => all.indexOf(part) === i)
				.join(' '),
			packs: packs.map(({ pack, chance }) => ({ pack, chance }))
		}))
	};
};
