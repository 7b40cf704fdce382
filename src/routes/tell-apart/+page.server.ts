import { fail } from '@sveltejs/kit';
import { numberingsOf } from '$lib/core/checklist/numbering';
import { wholeSections } from '$lib/core/checklist/edition';
import { normalCardNumber } from '$lib/core/checklist/numbers/card-number';
import { versionMaker } from '$lib/core/checklist/versions/expand';
import { tellApartTable } from '$lib/core/telling/tell-apart-table';
import { LookAlikesFormSchema, LookAlikesIdFormSchema } from '$lib/schemas/forms/tell-apart';
import { theCollection } from '$lib/server/collection';
import { readFormOf } from '$lib/server/read-form';
import { loadRelease } from '$lib/server/releases/load-release';
import { usualRelease } from '$lib/server/releases/usual-release';
import {
	dropLookAlikes,
	keepLookAlikes,
	listLookAlikes,
	MOST_ALIKE,
	readLookAlikes
} from '$lib/server/telling/look-alikes';
import { picturesOf } from '$lib/server/telling/reference-pictures';

/** `?of=` names what is compared, `?release=` and `?number=` what may be added to it. */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const asked = url.searchParams.getAll('of');
	const alikes = await readLookAlikes(db, asked.slice(0, MOST_ALIKE));
	const from = url.searchParams.get('release') ?? alikes[0]?.releaseKey ?? (await usualRelease(db));
	const stored = from === null ? null : await loadRelease(db, from);
	const number = (url.searchParams.get('number') ?? '').slice(0, 60);
	const kept = await listLookAlikes(db);
	const keptNames = await readLookAlikes(
		db,
		kept.flatMap(({ keys }) => keys)
	);
	return {
		alikes,
		table: alikes.length > 1 ? tellApartTable(alikes) : null,
		pictures: await picturesOf(
			db,
			alikes.map(({ key }) => key)
		),
		missing: asked.length - alikes.length,
		mostAlike: MOST_ALIKE,
		number,
		from: stored && {
			key: stored.release.key,
			name: stored.release.name,
			sections: wholeSections(stored.release).map(({ key, name }) => ({ key, name })),
			finishes: stored.release.parallels.map(({ key, name }) => ({ key, name })),
			/** Every version of the cards of this number. */
			versions: number === '' ? [] : await versionsOfNumber(db, stored.release.key, number)
		},
		kept: kept.map(({ id, name, note, keys }) => ({
			id,
			name,
			note,
			keys,
			names: keys.flatMap((key) => keptNames.find((each) => each.key === key) ?? [])
		}))
	};
};

async function versionsOfNumber(
	db: Parameters<typeof loadRelease>[0],
	release: string,
	number: string
) {
	const stored = await loadRelease(db, release);
	if (!stored) return [];
	const make = versionMaker(stored.release);
	const keys = numberingsOf(stored.release).flatMap((numbering) =>
		numbering.cards
			.filter(
				({ card }) =>
					card.number !== null && normalCardNumber(card.number) === normalCardNumber(number)
			)
			.flatMap(({ section, card }) => make(numbering.key, section, card))
			.map(({ key }) => key)
	);
	return (await readLookAlikes(db, keys.slice(0, 60))).map(({ key, name }) => ({ key, name }));
}

export const actions = {
	keep: async ({ request }) => {
		const form = await readFormOf(request, LookAlikesFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { name, of, note } = form.value;
		const outcome = await keepLookAlikes(await theCollection(), { name, keys: of, note });
		return outcome.ok ? { problems: [] } : fail(400, { problems: outcome.problems });
	},
	drop: async ({ request }) => {
		const form = await readFormOf(request, LookAlikesIdFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		await dropLookAlikes(await theCollection(), form.value.id);
		return { problems: [] };
	}
};
