import { error } from '@sveltejs/kit';
import { countable, countByRelease } from '$lib/core/checklist/count-by';
import { theCollection } from '$lib/server/collection';
import { releasesOfYear } from '$lib/server/releases/load-release';

/** Rows that are shown; the others are counted. */
const SHOWN = 300;
/** The most releases that are laid beside each other. */
const MOST_RELEASES = 40;

export const load = async ({ params, url }) => {
	if (!/^\d{4}$/.test(params.year)) error(404, 'A year has four digits.');
	const { db } = await theCollection();
	const releases = await releasesOfYear(db, params.year, MOST_RELEASES);
	const ways = countable(releases);
	const chosen = Number(url.searchParams.get('by') ?? 0);
	const subject = ways.findIndex(({ kind }) => kind === 'subject');
	const at = url.searchParams.has('by') && ways[chosen] ? chosen : Math.max(0, subject);
	const by = ways[at];
	const table = by ? countByRelease(releases, by) : null;
	return {
		year: params.year,
		releases: releases.map(({ key, name }) => ({ key, name })),
		ways: ways.map((way) => (way.kind === 'tag' ? way.family : way.kind)),
		at,
		rows: table?.rows.slice(0, SHOWN) ?? [],
		more: Math.max(0, (table?.rows.length ?? 0) - SHOWN)
	};
};
