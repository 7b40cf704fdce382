import { error, fail } from '@sveltejs/kit';
import { desc, eq } from 'drizzle-orm';
import { rowId } from '$lib/core/row-id';
import { OFFER_COLUMNS, type OfferColumn } from '$lib/formats/read-offers';
import { DropOfferRowSchema, SettleOfferSchema } from '$lib/schemas/forms/buying';
import { OffersFileFormSchema } from '$lib/schemas/forms/files';
import {
	dropOfferRow,
	importOffers,
	listOfferRows,
	matchOffersInCollection,
	settleOfferRow
} from '$lib/server/buying/offers/import-offers';
import { listSellers } from '$lib/server/buying/plan/read-problem';
import { theCollection } from '$lib/server/collection';
import { offers } from '$lib/server/database/tables';
import { readForm, readFormFile, readFormOf } from '$lib/server/read-form';
import { listReleases, nameReleases } from '$lib/server/releases/list-releases';
import { readOffersFile } from '$lib/server/workers/read-file';
import type { PageServerLoad } from './$types';

const MOST_SHOWN = 100;

export const load: PageServerLoad = async ({ url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const asked = Number(url.searchParams.get('seller') ?? 0);
	const seller = (await listSellers(db)).find(({ id }) => id === asked);
	if (!seller) error(404, 'There is no such seller.');
	const rows = await listOfferRows(db, seller.id);
	const known = (await listReleases(db)).map(({ key, name }) => ({ key, name }));
	const [last] = await db
		.select({ version: offers.version })
		.from(offers)
		.where(eq(offers.sellerId, seller.id))
		.orderBy(desc(offers.id))
		.limit(1);
	const lastKey = last?.version.split('/')[0];
	return {
		/** The release of what was written down there last. */
		usual: known.find(({ key }) => key === lastKey)?.name ?? known[0]?.name ?? '',
		seller,
		releases: known,
		rows: rows.slice(0, MOST_SHOWN),
		waiting: rows.length
	};
};

/** The list a form brings, with what was chosen for its columns and sets. */
async function readList(request: Request) {
	const form = await request.formData();
	const fields = readForm(form, OffersFileFormSchema);
	if (!fields.ok) {
		return { seller: null, source: 'the form', choices: {}, outcome: fields, table: null };
	}
	const choice = fields.value;
	const { source, bytes } = await readFormFile(form, choice.text ?? '');
	const { db } = await theCollection();
	const seller = (await listSellers(db)).find(({ id }) => id === choice.seller);
	const columns = choice.column.map(
		(word) => (OFFER_COLUMNS.find((column) => column === word) ?? null) as OfferColumn | null
	);
	const reading = await readOffersFile(
		bytes,
		{
			...{ sheet: choice.sheet ?? '', usualSet: choice.usualSet },
			currency: seller?.currency ?? 'EUR',
			...(columns.length > 0 ? { columns } : {})
		},
		request.signal
	);
	const choices = Object.fromEntries(choice.set.map((name, i) => [name, choice.release[i] ?? '']));
	return { seller: rowId<'sellers'>(choice.seller), source, choices, ...reading };
}

export const actions = {
	preview: async ({ request }) => {
		const { source, choices, outcome, table } = await readList(request);
		if (!outcome.ok) return fail(400, { source, table, problems: outcome.problems });
		const { db } = await theCollection();
		const { sets, offers, review } = await matchOffersInCollection(db, outcome.value, choices);
		const keys = sets.flatMap(({ candidates }) => candidates.map(({ key }) => key));
		return {
			...{ source, table, problems: [] },
			preview: {
				...{ rows: outcome.value.length, offers: offers.length, left: review.length, sets },
				review: review.slice(0, MOST_SHOWN),
				names: Object.fromEntries(await nameReleases(db, keys))
			}
		};
	},
	create: async ({ request }) => {
		const { seller, source, choices, outcome, table } = await readList(request);
		if (!outcome.ok) return fail(400, { source, table, problems: outcome.problems });
		if (seller === null) return fail(400, { source, table, problems: [] });
		const done = await importOffers(await theCollection(), seller, source, outcome.value, choices);
		if (!done.ok) return fail(400, { source, table: null, problems: done.problems });
		return { source, table: null, problems: [], done: done.value };
	},
	settle: async ({ request }) => {
		const form = await readFormOf(request, SettleOfferSchema);
		if (!form.ok) return fail(400, { settling: null, problems: form.problems });
		const { row, release, line } = form.value;
		const settled = await settleOfferRow(await theCollection(), row, release, line);
		return settled.ok ? { problems: [] } : fail(400, { settling: row, problems: settled.problems });
	},
	drop: async ({ request }) => {
		const form = await readFormOf(request, DropOfferRowSchema);
		if (!form.ok) return fail(400, { settling: null, problems: form.problems });
		const dropped = await dropOfferRow(await theCollection(), form.value.row);
		return dropped.ok
			? { problems: [] }
			: fail(400, { settling: form.value.row, problems: dropped.problems });
	}
};
