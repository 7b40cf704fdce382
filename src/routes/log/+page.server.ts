import { readFormOf } from '$lib/server/read-form';
import { PileFormSchema, PileIdFormSchema } from '$lib/schemas/forms/log';
import { countIncoming, countOwned, readCopies } from '$lib/server/copies/read-copies';
import { fail } from '@sveltejs/kit';
import { listSynonyms } from '$lib/server/copies/synonyms';
import { listTrays, removePile, savePile } from '$lib/server/copies/trays';
import { clockFor } from '$lib/server/preferences/sample-clock';
import { theCollection } from '$lib/server/collection';
import { readShelves } from '$lib/server/storage/room/read-storage';
import { findRelease } from '$lib/server/releases/load-release';

export const load = async ({ parent, depends }) => {
	depends('jade:copies');
	const { db, now } = await theCollection();
	const { release } = await parent();
	const id = release === null ? null : await findRelease(db, release.key);
	const nowFor = await clockFor(db, now());
	const copies = id === null ? [] : await readCopies(db, id);
	return {
		owned: [...countOwned(copies)],
		incoming: [...countIncoming(copies)],
		synonyms: await listSynonyms(db),
		shelves: await readShelves(db),
		trays: (await listTrays(db)).map((pile) => ({
			...pile,
			days: daysBetween(pile.since, nowFor(pile.since))
		}))
	};
};

export const actions = {
	pile: async ({ request }) => {
		const form = await readFormOf(request, PileFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { pile, ...said } = form.value;
		const outcome = await savePile(await theCollection(), said, pile ?? undefined);
		return outcome.ok ? { problems: [] } : fail(400, { problems: outcome.problems });
	},
	clear: async ({ request }) => {
		const form = await readFormOf(request, PileIdFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		await removePile(await theCollection(), form.value.pile);
		return { problems: [] };
	}
};

/** Whole days from one ISO 8601 time to another. */
function daysBetween(from: string, to: string): number {
	return Math.max(0, Math.floor((Date.parse(to) - Date.parse(from)) / 86_400_000));
}
