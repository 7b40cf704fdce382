import { fail } from '@sveltejs/kit';
import { PairFormSchema } from '$lib/schemas/forms/releases';
import { theCollection } from '$lib/server/collection';
import { compareView, MOST_SIDES } from '$lib/server/compare/compare-view';
import { pairSections } from '$lib/server/compare/counterparts';
import { readFormOf } from '$lib/server/read-form';
import { listReleases, type ReleaseSummary } from '$lib/server/releases/list-releases';
import { usualRelease } from '$lib/server/releases/usual-release';

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

/** `?side=release&side=release/section …`; a single side meets the release that is most like it. */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const asked = url.searchParams.getAll('side');
	const first = asked[0] ?? (await usualRelease(db)) ?? '';
	const [release = ''] = first.split('/');
	const names = asked.length > 1 ? asked : [first, likeliest(await listReleases(db), release)];
	return { ...(await compareView(db, names)), mostSides: MOST_SIDES };
};

export const actions = {
	/** Pairs two sections by hand, or parts them. */
	pair: async ({ request }) => {
		const form = await readFormOf(request, PairFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { first, other, part } = form.value;
		const done = await pairSections(
			await theCollection(),
			nameOf(first),
			nameOf(other),
			part === undefined
		);
		return done.ok ? { problems: [] } : fail(400, { problems: done.problems });
	}
};

function nameOf(text: string) {
	const [release = '', section = ''] = text.split('/');
	return { release, section };
}
