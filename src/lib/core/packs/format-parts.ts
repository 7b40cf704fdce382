import { packsInside, type PackType, type Release } from '../checklist/release.ts';
import { bad, good, type Outcome } from '../problem.ts';
import { heldBy, type PackWant } from './plan-packs.ts';
import type { PackGroup } from './profile/pack-profile.ts';
import { mostOften, packRates } from './profile/pack-rates.ts';
import { profileOfRelease } from './profile/profile-of-release.ts';
import type { PackPart } from './simulate/pack-game.ts';

/** What is opened at a time, with its groups as people call them. */
export interface OpenedTogether {
	readonly parts: readonly PackPart[];
	readonly names: ReadonlyMap<string, string>;
}

/**
 * The packs that are opened at a time: one of a kind, or those that a format is made of. Groups of the same cards bear one
 * key in all of them. Groups that share some of their cards only cannot be followed together.
 */
export function partsOfPack(
	release: Release,
	pack: PackType,
	wants: readonly PackWant[]
): Outcome<OpenedTogether> {
	const kinds = packsInside(pack).flatMap(({ packType, count }) => {
		const kind = release.packTypes.find(({ key }) => key === packType);
		return kind ? [{ kind, count }] : [];
	});
	const settled = settleWants(
		release,
		kinds.map(({ kind }) => kind),
		wants
	);
	const known: { readonly key: string; readonly versions: ReadonlySet<string> }[] = [];
	const names = new Map<string, string>();
	const parts: PackPart[] = [];
	for (const { kind, count } of kinds) {
		const held = heldBy({ release, pack: kind, wants: settled });
		if (!held) continue;
		const keys = new Map<string, string>();
		for (const { key, name, versions } of held.groups) {
			const mine = new Set(versions);
			const same = known.find(
				(other) =>
					other.versions.size === mine.size && versions.every((each) => other.versions.has(each))
			);
			if (same) {
				keys.set(key, same.key);
				continue;
			}
			const torn = known.find((other) => versions.some((each) => other.versions.has(each)));
			if (torn) {
				const message = `${name} of ${kind.name} shares only some of its cards with ${names.get(torn.key) ?? torn.key}`;
				return bad([{ message, remedy: 'Look at each kind of pack by itself.' }]);
			}
			const free = known.some((other) => other.key === key) ? `${kind.name}: ${key}` : key;
			known.push({ key: free, versions: mine });
			keys.set(key, free);
			names.set(free, free === key ? name : free);
		}
		const renamed = (key: string) => keys.get(key) ?? key;
		const groups = held.profile.groups.map((group): PackGroup => ({
			...group,
			key: renamed(group.key),
			...(group.takesPlaceOf === undefined ? {} : { takesPlaceOf: renamed(group.takesPlaceOf) })
		}));
		parts.push({ profile: { ...held.profile, groups }, packs: count });
	}
	return parts.length > 0
		? good({ parts, names })
		: bad([
				{
					message: 'nothing is known of what such packs hold',
					remedy: 'Say how many cards a pack has, and the odds, where the release is edited.'
				}
			]);
}

/** A want that several versions may fill counts for the one that comes most often in any of the packs. */
function settleWants(
	release: Release,
	kinds: readonly PackType[],
	wants: readonly PackWant[]
): readonly PackWant[] {
	const rates = kinds.map((kind) => packRates(profileOfRelease(release, kind, () => 0)));
	return wants.map((want) => {
		const best = mostOften(want.versions, rates);
		return best === undefined ? want : { ...want, versions: [best] };
	});
}
