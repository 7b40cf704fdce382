import { formFields, rawTextOf } from '$lib/server/form-fields';
import { fail } from '@sveltejs/kit';
import { HOLDING_COLUMNS } from '$lib/formats/holdings-columns';
import { theCollection } from '$lib/server/collection';
import {
	dropUnmatched,
	importHoldings,
	listUnmatched,
	matchInCollection
} from '$lib/server/holdings/import-holdings';
import { readHoldingsFile } from '$lib/server/workers/read-file';
import { settleRow } from '$lib/server/holdings/settle-row';
import type { UnmatchedId } from '$lib/core/row-id';

const MOST_SHOWN = 100;

export const load = async ({ depends }) => {
	depends('jade:copies');
	const unmatched = await listUnmatched((await theCollection()).db);
	return { unmatched: unmatched.slice(0, MOST_SHOWN), waiting: unmatched.length };
};

/** The list a form brings, with what was chosen for its columns and sets. */
async function readForm(request: Request) {
	const form = await request.formData();
	const given = (name: string) => rawTextOf(form, name);
	const file = form.get('file');
	const isChosen = file instanceof File && file.size > 0;
	const bytes = isChosen
		? new Uint8Array(await file.arrayBuffer())
		: new TextEncoder().encode(given('text'));
	const columns = form
		.getAll('column')
		.map((word) => HOLDING_COLUMNS.find((column) => column === word) ?? null);
	const choice = {
		sheet: given('sheet'),
		...(given('currency') ? { currency: given('currency').toUpperCase().slice(0, 3) } : {}),
		...(columns.length > 0 ? { columns } : {})
	};
	const reading = await readHoldingsFile(bytes, choice, request.signal);
	const names = form.getAll('set').map(String);
	const chosen = form.getAll('release').map(String);
	const choices = Object.fromEntries(names.map((name, i) => [name, chosen[i] ?? '']));
	return { source: isChosen ? file.name : 'the pasted text', choices, ...reading };
}

export const actions = {
	preview: async ({ request }) => {
		const { source, choices, outcome, table } = await readForm(request);
		if (!outcome.ok) return fail(400, { source, table, problems: outcome.problems });
		const { db } = await theCollection();
		const { sets, matched, unmatched } = await matchInCollection(db, outcome.value, choices);
		return {
			source,
			table,
			problems: [],
			notes: outcome.notes,
			preview: {
				rows: outcome.value.length,
				matched: matched.length,
				unmatched: unmatched.slice(0, MOST_SHOWN),
				left: unmatched.length,
				sets
			}
		};
	},
	create: async ({ request }) => {
		const { source, choices, outcome, table } = await readForm(request);
		if (!outcome.ok) return fail(400, { source, table, problems: outcome.problems });
		const done = await importHoldings(await theCollection(), source, outcome.value, choices);
		return { source, table: null, problems: [], done };
	},
	settle: async ({ request }) => {
		const form = await request.formData();
		const row: UnmatchedId = formFields(form).id('row');
		const outcome = await settleRow(
			await theCollection(),
			row,
			rawTextOf(form, 'release'),
			rawTextOf(form, 'line').slice(0, 200)
		);
		return outcome.ok
			? { settled: row, problems: [] }
			: fail(400, { settling: row, problems: outcome.problems });
	},
	drop: async ({ request }) => {
		const { id } = formFields(await request.formData());
		await dropUnmatched(await theCollection(), id('row'));
		return { problems: [] };
	}
};
