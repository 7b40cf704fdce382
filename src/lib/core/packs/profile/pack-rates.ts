import type { ReleasePack } from './profile-of-release.ts';

/** How often each version comes in a pack, on average, as far as odds are stated. */
export function packRates({
	profile,
	groups
}: Pick<ReleasePack, 'profile' | 'groups'>): ReadonlyMap<string, number> {
	const comes = new Map(profile.groups.map(({ key, comes: way }) => [key, way]));
	return new Map(
		groups.flatMap(({ key, versions }) => {
			const way = comes.get(key);
			const rate = way?.sort === 'count' ? way.count : way ? way.cards / way.packs : 0;
			return versions.map((version) => [version, rate / versions.length] as const);
		})
	);
}

/** Of versions of which any will do, the one that comes most often; undefined: none comes. */
export const mostOften = (
	versions: readonly string[],
	rates: readonly ReadonlyMap<string, number>[]
): string | undefined => {
	const rateOf = (version: string) => Math.max(0, ...rates.map((each) => each.get(version) ?? 0));
	return versions
		.filter((version) => rates.some((each) => each.has(version)))
		.toSorted((a, b) => rateOf(b) - rateOf(a))[0];
};
