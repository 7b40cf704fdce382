import { rowId, type CopyId } from '$lib/core/row-id';
import {
	ListingEditFormSchema,
	ListingFormSchema,
	ListingIdFormSchema,
	ListingStepFormSchema,
	SetListingFormSchema
} from '$lib/schemas/forms/selling';
import { answer } from '$lib/server/answer';
import { BUYING_RULES } from '$lib/server/buying/buying-rules';
import { theCollection } from '$lib/server/collection';
import { readPreference } from '$lib/server/preferences/preferences';
import { readFormOf } from '$lib/server/read-form';
import { editListing } from '$lib/server/selling/listings/edit-listing';
import { copiesOfSet } from '$lib/server/selling/listings/list-set';
import { listingsView } from '$lib/server/selling/listings/listings-view';
import { makeListings, type ListingDraft } from '$lib/server/selling/listings/make-listings';
import { removeListing, stepListing } from '$lib/server/selling/listings/step-listing';

/** `?q=words&copy=12`: copies that could be listed. */
export const load = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const ids = url.searchParams.getAll('copy').filter((id) => /^[1-9]\d{0,14}$/.test(id));
	return listingsView(db, {
		words: (url.searchParams.get('q') ?? '').slice(0, 200),
		copies: ids.slice(0, 100).map((id): CopyId => rowId(Number(id)))
	});
};

const make = async (draft: ListingDraft) => {
	const collection = await theCollection();
	const { currency } = await readPreference(collection.db, BUYING_RULES);
	return makeListings(collection, [draft], currency);
};

export const actions = {
	make: async ({ request }) => {
		const form = await readFormOf(request, ListingFormSchema);
		if (!form.ok) return answer('make', form);
		const { copy = [], quantity = [], ...head } = form.value;
		const picks = copy.map((copyId, i) => ({ copyId, quantity: quantity[i] ?? 1 }));
		return answer('make', await make({ ...head, picks }), 'It is ready to be listed.');
	},
	set: async ({ request }) => {
		const form = await readFormOf(request, SetListingFormSchema);
		if (!form.ok) return answer('set', form);
		const { goal, set, ...head } = form.value;
		const { db } = await theCollection();
		const picks = await copiesOfSet(db, goal, set);
		if (!picks.ok) return answer('set', picks);
		const done = await make({ ...head, kind: 'set', title: '', picks: picks.value });
		const notes = picks.notes.map(({ message }) => ` ${message}.`).join('');
		return answer('set', done, `The set is ready to be listed.${notes}`);
	},
	step: async ({ request }) => {
		const form = await readFormOf(request, ListingStepFormSchema);
		if (!form.ok) return answer('step', form);
		const { listing, step, ...typed } = form.value;
		const done = await stepListing(await theCollection(), listing, step, typed);
		return answer('step', done, 'Done.');
	},
	edit: async ({ request }) => {
		const form = await readFormOf(request, ListingEditFormSchema);
		if (!form.ok) return answer('step', form);
		const { listing, ...typed } = form.value;
		return answer('step', await editListing(await theCollection(), listing, typed), 'Kept.');
	},
	remove: async ({ request }) => {
		const form = await readFormOf(request, ListingIdFormSchema);
		if (!form.ok) return answer('step', form);
		const done = await removeListing(await theCollection(), form.value.listing);
		return answer('step', done, 'Removed; its cards stay, to be sold.');
	}
};
