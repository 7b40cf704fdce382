import { sum } from 'd3-array';
import { formatOdds } from '../../checklist/odds.ts';
import type { PackType, Release } from '../../checklist/release.ts';
import { freeKey } from '../../checklist/slug.ts';
import type { PackClass, PackGroup, PackProfile, PackWay } from './pack-profile.ts';
import { guaranteesOf, placesOf } from './shared-places.ts';
import { statedOdds, type Stated } from './stated-odds.ts';

/** What a kind of pack of a release holds, as far as odds are stated, with the versions behind each group. */
export interface ReleasePack {
	readonly profile: PackProfile;
	readonly groups: readonly NamedGroup[];
	/** Groups that it may hold, of which nobody states odds: they are in no figure. */
	readonly unstated: readonly { readonly name: string; readonly versions: readonly string[] }[];
}

/** A group of a profile as people call it. */
export interface NamedGroup {
	readonly key: string;
	/** "Base and Storm Watch", "Fresnel, Brass", "Base, short prints" */
	readonly name: string;
	/** Version keys, in checklist order. */
	readonly versions: readonly string[];
}

/**
 * Makes the profile of a kind of pack. Base cards and subsets without odds of their own fill the pack, each as likely as the
 * others and all different; what comes by odds takes the place of one of them, unless its section says otherwise. Where it
 * is stated how many base cards a pack has, inserts take such a place only when the pack has no room beside them. Inserts
 * share places as long as they are not more than a card a pack together; what a box holds for certain has a place of its own.
 *
 * @param pack one that holds cards itself; a format made of other packs has no profile of its own
 * @param lackingOf copies lacking of a version
 */
export function profileOfRelease(
	release: Release,
	pack: PackType,
	lackingOf: (version: string) => number
): ReleasePack {
	const stated = statedOdds(release, pack);
	const known = stated.filter(({ isFill, odds }) => odds !== null || (isFill && pack.cardsPerPack));
	const fill = known.find(({ isFill }) => isFill);
	const inserted = known.filter((each) => each !== fill);
	const named = namesOf(release, known);
	const countOf = (each: Stated) =>
		each.odds && !each.guarantee && each.odds.cards >= each.odds.packs ? wholeOf(each.odds) : 0;
	const always = sum(inserted, countOf);
	const places = fill ? Math.max(0, (pack.cardsPerPack ?? 0) - always) : 0;
	const hosts = known
		.map((each, i) => ({
			stated: each,
			key: named[i]?.key ?? '',
			places: each === fill ? places : countOf(each)
		}))
		.filter((host) => host.places > 0);
	const usual =
		hosts.find((host) => host.stated === fill) ??
		hosts
			.filter(({ stated: { kinds } }) => kinds.has('base') || kinds.has('subset'))
			.sort((a, b) => b.places - a.places)[0] ??
		null;
	const room = fill || pack.cardsPerPack === undefined ? 0 : pack.cardsPerPack - always;
	const slots = placesOf(
		inserted.filter((each) => countOf(each) === 0),
		hosts,
		pack.cardsPerPack === undefined && !fill ? null : usual,
		room
	);
	const groups = named.flatMap((group, i): readonly PackGroup[] => {
		const each = known[i] as Stated;
		const classes = classesOf(group.versions.map(lackingOf));
		if (each === fill) {
			const comes = { sort: 'count' as const, count: places };
			const isAllDifferent = group.versions.length >= places;
			return places > 0 ? [{ key: group.key, classes, comes: { ...comes, isAllDifferent } }] : [];
		}
		const slot = slots.get(each);
		return [
			{
				...{ key: group.key, classes, comes: wayOf(each) },
				...(slot ? { slot: slot.name } : {}),
				...(slot?.takesPlaceOf ? { takesPlaceOf: slot.takesPlaceOf } : {})
			}
		];
	});
	return {
		profile: {
			...{ groups, guarantees: guaranteesOf(slots), packsPerBox: pack.packsPerBox ?? null },
			// What comes on top is not among them.
			cardsPerPack: known.some(({ place }) => place === null) ? null : (pack.cardsPerPack ?? null)
		},
		groups: named.filter(({ key }) => groups.some((group) => group.key === key)),
		unstated: stated
			.filter((each) => !known.includes(each))
			.map((each) => ({ name: nameOf(release, each), versions: each.versions }))
	};
}

const wholeOf = (odds: { readonly cards: number; readonly packs: number }) =>
	Math.floor(odds.cards / odds.packs);

/** So many in each pack, or by odds; what is more than whole cards a pack is left out. */
function wayOf({ odds, versions, guarantee }: Stated): PackWay {
	if (odds === null) throw new RangeError('wayOf: no odds are stated');
	if (guarantee || odds.cards < odds.packs)
		return { sort: 'odds', cards: odds.cards, packs: odds.packs };
	const count = wholeOf(odds);
	return { sort: 'count', count, isAllDifferent: versions.length >= count };
}

/** Cards by how many copies of each are lacking. */
function classesOf(lacking: readonly number[]): readonly PackClass[] {
	return [...new Set(lacking)]
		.sort((a, b) => b - a)
		.map((copies) => ({
			...{ cards: lacking.filter((each) => each === copies).length, weight: 1, lacking: copies }
		}));
}

/** Groups by their names, which are their keys; of those that are called the same, short prints at other odds, each says its odds. */
function namesOf(release: Release, stated: readonly Stated[]): readonly NamedGroup[] {
	const taken = new Set<string>();
	const plain = stated.map((each) => nameOf(release, each));
	return stated.map(({ odds, versions }, i): NamedGroup => {
		const short = plain[i] ?? '';
		const isShared = plain.filter((name) => name === short).length > 1;
		const name = isShared && odds ? `${short}, ${formatOdds(odds)}` : short;
		const key = freeKey(name, taken);
		return { key, name: key, versions };
	});
}

function nameOf(release: Release, { sections, parallel, what }: Stated): string {
	const names = release.sections.flatMap(({ key, name }) => (sections.has(key) ? [name] : []));
	const [first = '', ...others] = names;
	const written =
		others.length > 2
			? `${first} and ${others.length} more`
			: names.length > 1
				? `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`
				: first;
	const finish = release.parallels.find(({ key }) => key === parallel)?.name;
	return [written, finish, what].filter(Boolean).join(', ');
}
