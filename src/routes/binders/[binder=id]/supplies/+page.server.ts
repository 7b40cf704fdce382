import { error, fail } from '@sveltejs/kit';
import { binderSupplies } from '$lib/server/binders/binder-supplies';
import { readBinder } from '$lib/server/binders/read-binder';
import { readPrices, setPrices } from '$lib/server/binders/supply-prices';
import { theCollection } from '$lib/server/collection';
import { PricesFormSchema } from '$lib/schemas/forms/binders';
import { readFormOf } from '$lib/server/read-form';
import { rowId } from '$lib/core/row-id';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const state = await readBinder(db, rowId(Number(params.binder)));
	if (!state) error(404, 'There is no such binder.');
	return { supplies: await binderSupplies(db, state) };
};

export const actions = {
	default: async ({ request }) => {
		const form = await readFormOf(request, PricesFormSchema);
		const prices = form.ok ? readPrices(form.value) : form;
		if (!prices.ok) return fail(400, { problems: prices.problems });
		await setPrices(await theCollection(), prices.value);
		return { saved: true };
	}
};
