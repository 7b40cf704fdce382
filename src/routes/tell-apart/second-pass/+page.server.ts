import { fail } from '@sveltejs/kit';
import { PrintingFormSchema } from '$lib/schemas/forms/tell-apart';
import { theCollection } from '$lib/server/collection';
import { readFormOf } from '$lib/server/read-form';
import { loadRelease } from '$lib/server/releases/load-release';
import { MOST_LOOKED_AT, readSecondPass, settlePrinting } from '$lib/server/telling/second-pass';

/** `?release=` only of one; `?all` what was looked at as well. */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const key = url.searchParams.get('release');
	const stored = key === null ? null : await loadRelease(db, key);
	const all = url.searchParams.has('all') && stored !== null;
	return {
		lines: await readSecondPass(db, { release: stored?.release.key ?? null, all }),
		most: MOST_LOOKED_AT,
		release: stored && { key: stored.release.key, name: stored.release.name },
		all
	};
};

export const actions = {
	/** So many of a copy are of this printing. */
	settle: async ({ request }) => {
		const form = await readFormOf(request, PrintingFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { copy, version, quantity } = form.value;
		const outcome = await settlePrinting(await theCollection(), copy, version, quantity);
		return outcome.ok ? { problems: [] } : fail(409, { problems: outcome.problems });
	}
};
