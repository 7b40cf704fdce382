import { formFields, textOf } from '$lib/server/form-fields';
import { countIncoming, countOwned, readCopies } from '$lib/server/copies/read-copies';
import { fail } from '@sveltejs/kit';
import { listSynonyms } from '$lib/server/copies/synonyms';
import { addPile, listTrays, removePile, TRAYS } from '$lib/server/copies/trays';
import { clockFor } from '$lib/server/preferences/sample-clock';
import { theCollection } from '$lib/server/collection';
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
		trays: (await listTrays(db)).map((pile) => ({
			...pile,
			days: daysBetween(pile.since, nowFor(pile.since))
		}))
	};
};

export const actions = {
	pile: async ({ request }) => {
		const form = await request.formData();
		const tray = TRAYS.find((known) => known === form.get('tray')) ?? 'to log';
		const name = textOf(form, 'name').slice(0, 200);
		const outcome = await addPile(await theCollection(), tray, name, Number(form.get('cards')));
		return outcome.ok ? { problems: [] } : fail(400, { problems: outcome.problems });
	},
	clear: async ({ request }) => {
		const { id } = formFields(await request.formData());
		await removePile(await theCollection(), id('pile'));
		return { problems: [] };
	}
};

/** Whole days from one ISO 8601 time to another. */
function daysBetween(from: string, to: string): number {
	return Math.max(0, Math.floor((Date.parse(to) - Date.parse(from)) / 86_400_000));
}
