import { theCollection } from '$lib/server/collection';
import { usualRelease } from '$lib/server/releases/usual-release';
import { listReleases, type ReleaseSummary } from '$lib/server/releases/list-releases';
import { loadRelease } from '$lib/server/releases/load-release';

/** The release that looks most like this one: of the same maker, and the nearest in years. */
function likeliest(releases: readonly ReleaseSummary[], key: string): string {
	const named = releases.find((release) => release.key === key);
	const yearsApart = ({ year }: ReleaseSummary) =>
		Math.abs(parseInt(year, 10) - parseInt(named?.year ?? year, 10));
	const distance = (release: ReleaseSummary) =>
		(release.maker === named?.maker ? 0 : 1000) + yearsApart(release);
	const others = releases.filter((release) => release.key !== key);
	return others.sort((a, b) => distance(a) - distance(b))[0]?.key ?? '';
}

export const load = async ({ url }) => {
	const { db } = await theCollection();
	const releases = await listReleases(db);
	const left = url.searchParams.get('left') ?? (await usualRelease(db)) ?? '';
	const other = likeliest(releases, left);
	const right = url.searchParams.get('right') ?? other;
	return {
		left: (await loadRelease(db, left))?.release ?? null,
		right: (await loadRelease(db, right))?.release ?? null
	};
};
