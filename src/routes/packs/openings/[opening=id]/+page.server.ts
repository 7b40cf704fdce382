import { error, fail, redirect } from '@sveltejs/kit';
import { resolve } from '$app/paths';
import type { Outcome } from '$lib/core/problem';
import { rowId } from '$lib/core/row-id';
import {
	OpenedPileFormSchema,
	OpeningChangeFormSchema,
	SharesFormSchema
} from '$lib/schemas/forms/packs';
import { theCollection } from '$lib/server/collection';
import {
	agreeShares,
	changeOpening,
	removeOpening,
	takeShare
} from '$lib/server/packs/openings/change-opening';
import { forgetOpened } from '$lib/server/packs/openings/log-opened';
import { readFormOf } from '$lib/server/read-form';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { readPreference } from '$lib/server/preferences/preferences';
import { pageTask } from '$lib/server/workers/file-task';
import type { PageServerLoad } from './$types';

const idOf = (params: { readonly opening: string }) => rowId<'openings'>(Number(params.opening));

export const load: PageServerLoad = async ({ params, depends, request }) => {
	depends('jade:copies');
	const view = await pageTask('openingView', { id: idOf(params) }, request.signal);
	if (!view) error(404, 'This opening is not here, or not any more.');
	return view;
};

const answer = (part: string, done: Outcome<unknown>) =>
	done.ok ? { part, done: true } : fail(400, { part, problems: done.problems });

export const actions = {
	change: async ({ params, request }) => {
		const form = await readFormOf(request, OpeningChangeFormSchema);
		if (!form.ok) return answer('head', form);
		const collection = await theCollection();
		const { currency } = await readPreference(collection.db, BUYING_RULES);
		return answer(
			'head',
			await changeOpening(collection, idOf(params), { ...form.value, currency })
		);
	},
	/** How it is shared out. */
	agree: async ({ params, request }) => {
		const form = await readFormOf(request, SharesFormSchema);
		if (!form.ok) return answer('shares', form);
		return answer('shares', await agreeShares(await theCollection(), idOf(params), form.value));
	},
	/** One's share comes into the collection. */
	take: async ({ params }) =>
		answer('shares', await takeShare(await theCollection(), idOf(params))),
	forget: async ({ request }) => {
		const form = await readFormOf(request, OpenedPileFormSchema);
		if (!form.ok) return answer('piles', form);
		return answer('piles', await forgetOpened(await theCollection(), form.value.pile));
	},
	remove: async ({ params }) => {
		const done = await removeOpening(await theCollection(), idOf(params));
		if (!done.ok) return answer('head', done);
		redirect(303, resolve('/packs/openings'));
	}
};
