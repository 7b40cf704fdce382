import { fail, redirect } from '@sveltejs/kit';
import { formatPostage } from '$lib/core/buying/offers/parse-postage';
import { rowId } from '$lib/core/row-id';
import { HubFormSchema, SellerFormSchema, SellerIdFormSchema } from '$lib/schemas/forms/buying';
import { removeSeller, saveHub, saveSeller } from '$lib/server/buying/sellers/edit-sellers';
import { theCollection } from '$lib/server/collection';
import { HUB } from '$lib/server/preferences/hub';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { pageTask } from '$lib/server/workers/file-task';

export const load = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const asked = url.searchParams.get('seller') ?? '';
	const seller = /^[1-9]\d{0,14}$/.test(asked) ? rowId<'sellers'>(Number(asked)) : null;
	const release = url.searchParams.get('release');
	const hub = await readPreference(db, HUB);
	return {
		...(await pageTask('offersView', { seller, release }, request.signal)),
		hub: hub && { ...hub, forwardingText: formatPostage(hub.forwarding, hub.currency) }
	};
};

export const actions = {
	/** A new seller, or one as it is now. */
	seller: async ({ request }) => {
		const form = await readFormOf(request, SellerFormSchema);
		if (!form.ok) return fail(400, { form: 'seller', problems: form.problems });
		const { seller = null, ...draft } = form.value;
		const id = seller === null ? null : rowId<'sellers'>(seller);
		const saved = await saveSeller(await theCollection(), id, draft);
		const which = id === null ? 'new seller' : 'seller';
		if (!saved.ok) return fail(400, { form: which, problems: saved.problems });
		redirect(303, `/buying/offers?seller=${saved.value.id}`);
	},
	remove: async ({ request }) => {
		const form = await readFormOf(request, SellerIdFormSchema);
		if (!form.ok) return fail(400, { form: 'seller', problems: form.problems });
		const removed = await removeSeller(await theCollection(), rowId(form.value.seller));
		if (!removed.ok) return fail(400, { form: 'seller', problems: removed.problems });
		redirect(303, '/buying/offers');
	},
	/** The hub, or none. */
	hub: async ({ request }) => {
		const form = await readFormOf(request, HubFormSchema);
		if (!form.ok) return fail(400, { form: 'hub', problems: form.problems });
		const saved = await saveHub(await theCollection(), form.value);
		return saved.ok
			? { form: 'hub', problems: [] }
			: fail(400, { form: 'hub', problems: saved.problems });
	}
};
