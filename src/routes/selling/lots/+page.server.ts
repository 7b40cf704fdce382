import { rowId } from '$lib/core/row-id';
import { bad } from '$lib/core/problem';
import { LotsFormSchema, SellingRulesFormSchema } from '$lib/schemas/forms/selling';
import { answer } from '$lib/server/answer';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { makeListings, type ListingDraft } from '$lib/server/selling/listings/make-listings';
import { setSellingRules } from '$lib/server/selling/selling-rules';
import { pageTask } from '$lib/server/workers/file-task';
import { countOf } from '$lib/ui/numerals';

/** `?release=key`: of that release alone; `?release=`: of all, however many there are. */
export const load = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { now } = await theCollection();
	const release = url.searchParams.get('release')?.slice(0, 420) ?? null;
	return pageTask('lotsView', { release, today: now().slice(0, 10) }, request.signal);
};

/** "12 1, 14 2": copies, and how many of each; null: not that. */
function readCards(text: string): ListingDraft['picks'] | null {
	const parts = text.split(', ').map((part) => /^([1-9]\d{0,14}) ([1-9]\d{0,6})$/.exec(part));
	if (parts.some((part) => part === null)) return null;
	return parts.map((part) => ({
		copyId: rowId<'copies'>(Number(part?.[1])),
		quantity: Number(part?.[2])
	}));
}

export const actions = {
	list: async ({ request }) => {
		const form = await readFormOf(request, LotsFormSchema);
		if (!form.ok) return answer('list', form);
		const { lot = [], as, channel, cards, asking, floor } = form.value;
		const drafts = lot.flatMap((i): ListingDraft[] => {
			const picks = readCards(cards[i] ?? '');
			const kind = as[i];
			if (!picks || !kind) return [];
			const [where = '', ask = '', least = ''] = [channel[i], asking[i], floor[i]];
			return [{ kind, channel: where, asking: ask, floor: least, picks, title: '' }];
		});
		if (drafts.length < lot.length) {
			return answer('list', bad([{ message: 'a lot is misread', remedy: 'Reload the page.' }]));
		}
		const collection = await theCollection();
		const { currency } = await readPreference(collection.db, BUYING_RULES);
		const done = await makeListings(collection, drafts, currency);
		return answer('list', done, `${countOf(drafts.length, 'listing')} ready.`);
	},
	rules: async ({ request }) => {
		const form = await readFormOf(request, SellingRulesFormSchema);
		if (!form.ok) return answer('rules', form);
		const { sellsInserts, sellsDoubles, ...typed } = form.value;
		const done = await setSellingRules(await theCollection(), {
			...typed,
			sellsInserts: sellsInserts === 'yes',
			sellsDoubles: sellsDoubles === 'yes'
		});
		return answer('rules', done, 'Kept.');
	}
};
